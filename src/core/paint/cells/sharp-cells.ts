import { modulo } from '../../exact/modulo.ts';
import type { Cells } from '../../thread/cells.ts';
import { keptRows } from '../kept-rows.ts';
import { packShades } from '../pack-shades.ts';
import type { PaintWindow, RowPainter } from '../painting.ts';

/** Cells at a whole number of pixels each way: no resampling. Rows that show the same cells are painted once. */
export function paintSharpCells(cells: Cells, { tile, width, offset }: PaintWindow): RowPainter {
  const packed = packShades(cells.shades);
  const across = tile.width / cells.width;
  const down = tile.height / cells.height;
  const painted = keptRows<number, Uint32Array>(MOST_BYTES);
  return (row, out, at) => {
    const key = cells.rowAt[Math.floor(modulo(row + offset.y, tile.height) / down)]!;
    const known = painted.get(key);
    if (known !== undefined) {
      out.set(known, at);
      return;
    }
    const line = new Uint32Array(width);
    spread(cells.rows[key]!, packed, across, modulo(offset.x, tile.width), line);
    out.set(painted.keep(key, line), at);
  };
}

/** Bytes of painted rows that are kept. */
const MOST_BYTES = 1 << 26;

/** Writes a row of cells, each `across` pixels wide, from pixel `from` of the tile and round it again. */
function spread(
  row: Uint16Array,
  packed: Uint32Array,
  across: number,
  from: number,
  line: Uint32Array,
): void {
  let cell = Math.floor(from / across);
  let left = across - (from % across);
  for (let x = 0; x < line.length; ) {
    const end = Math.min(line.length, x + left);
    line.fill(packed[row[cell]!]!, x, end);
    x = end;
    cell = cell + 1 === row.length ? 0 : cell + 1;
    left = across;
  }
}
