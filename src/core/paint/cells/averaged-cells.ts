import { rgbOf } from '../../colour/hex.ts';
import { LINEAR_ONE } from '../../colour/linear.ts';
import { type MixingTables, mixingTables } from '../../colour/mixing.ts';
import { modulo } from '../../exact/modulo.ts';
import type { Cells } from '../../thread/cells.ts';
import { keptRows } from '../kept-rows.ts';
import type { LightPainter } from '../light-rows.ts';
import type { PaintWindow, RowPainter } from '../painting.ts';
import { CHANNELS } from '../row-sums.ts';

/**
 * Cells at a size that is not whole pixels each: every pixel takes the mean light of the cells it covers, by
 * exact shares. Weights are integers and the sums stay below 2^53 (65535 × 10^6 × 10^5), so the result does not
 * depend on where the window lies. Rounded once, at the end, a half up.
 */
export function paintAveragedCells(cells: Cells, { tile, width, offset, mixing }: PaintWindow): RowPainter {
  const tables = mixingTables(mixing);
  const light = lightOf(cells, tables);
  const averaged = keptRows<number, Float64Array>(MOST_BYTES);
  const painted = keptRows<string, Uint32Array>(MOST_BYTES);
  const columns: Columns = {
    from: modulo(offset.x, tile.width),
    count: Math.min(width, tile.width),
    pixels: tile.width,
  };
  const sums = new Float64Array(columns.count * 3);
  const across = (key: number) =>
    averaged.get(key) ?? averaged.keep(key, averageRow(cells.rows[key]!, light, columns));
  return (row, out, at) => {
    const shares = sharesOf(cells, modulo(row + offset.y, tile.height), tile.height);
    const name = shares.map(([key, weight]) => `${key}:${weight}`).join();
    let line = painted.get(name);
    if (line === undefined) {
      const once = mixRows(shares, across, cells.width * cells.height, { sums, byteOf: tables.byteOf });
      line = new Uint32Array(width);
      for (let x = 0; x < width; x += once.length) line.set(once.subarray(0, width - x), x);
      painted.keep(name, line);
    }
    out.set(line, at);
  };
}

/** The light of cells, by the same exact shares. */
export function cellsLight(
  cells: Cells,
  { tile, width, offset }: PaintWindow,
  tables: MixingTables,
): LightPainter {
  const light = lightOf(cells, tables);
  const columns = {
    from: modulo(offset.x, tile.width),
    count: Math.min(width, tile.width),
    pixels: tile.width,
  };
  const averaged = keptRows<number, Float64Array>(MOST_BYTES);
  const total = cells.width * cells.height;
  return (row, line) => {
    line.fill(0);
    for (const [key, weight] of sharesOf(cells, modulo(row + offset.y, tile.height), tile.height)) {
      const sums = averaged.get(key) ?? averaged.keep(key, averageRow(cells.rows[key]!, light, columns));
      for (let from = 0, to = 0; from < sums.length; from += 3, to += CHANNELS) {
        line[to]! += weight * sums[from]!;
        line[to + 1]! += weight * sums[from + 1]!;
        line[to + 2]! += weight * sums[from + 2]!;
      }
    }
    for (let at = 0; at < line.length; at += CHANNELS) {
      line[at]! /= total;
      line[at + 1]! /= total;
      line[at + 2]! /= total;
      line[at + 3] = LINEAR_ONE;
    }
  };
}

/** The columns of the tile that the window shows, from its left edge on and round the tile. */
interface Columns {
  readonly from: number;
  readonly count: number;
  /** Pixels of the whole tile. */
  readonly pixels: number;
}

/** Bytes of rows that are kept, averaged and painted each. */
const MOST_BYTES = 1 << 26;

function lightOf({ shades }: Cells, { levelOf }: MixingTables): Float64Array {
  return Float64Array.from(shades.flatMap((shade) => rgbOf(shade.hex).map((byte) => levelOf[byte]!)));
}

/** The different rows under pixel row `y` of `height`, each with its share; the shares add up to the cell rows. */
function sharesOf(
  cells: Cells,
  y: number,
  height: number,
): readonly (readonly [key: number, weight: number])[] {
  const shares: [number, number][] = [];
  eachShare(y, height, cells.height, (cell, weight) => {
    const key = cells.rowAt[cell]!;
    const last = shares.at(-1);
    if (last?.[0] === key) last[1] += weight;
    else shares.push([key, weight]);
  });
  return shares;
}

/** Light of one row of cells, three sums a column; a column's weights add up to the number of cells. */
function averageRow(row: Uint16Array, light: Float64Array, { from, count, pixels }: Columns): Float64Array {
  const sums = new Float64Array(count * 3);
  for (let x = 0; x < count; x += 1) {
    eachShare((from + x) % pixels, pixels, row.length, (cell, weight) => {
      const shade = row[cell]! * 3;
      sums[x * 3]! += weight * light[shade]!;
      sums[x * 3 + 1]! += weight * light[shade + 1]!;
      sums[x * 3 + 2]! += weight * light[shade + 2]!;
    });
  }
  return sums;
}

/** Cells under pixel `at`, when `pixels` pixels cover `cells` cells; one cell whole has weight `pixels`. */
function eachShare(
  at: number,
  pixels: number,
  cells: number,
  give: (cell: number, weight: number) => void,
): void {
  const start = at * cells;
  const end = start + cells;
  for (let cell = Math.floor(start / pixels); cell * pixels < end; cell += 1) {
    give(cell, Math.min(end, (cell + 1) * pixels) - Math.max(start, cell * pixels));
  }
}

/** One pixel row: the rows under it by their shares, then each sum as a byte. A hot loop, its channels unrolled. */
function mixRows(
  shares: readonly (readonly [key: number, weight: number])[],
  across: (key: number) => Float64Array,
  total: number,
  { sums, byteOf }: { readonly sums: Float64Array; readonly byteOf: Uint8Array },
): Uint32Array {
  sums.fill(0);
  for (const [key, weight] of shares) {
    const row = across(key);
    for (let at = 0; at < sums.length; at += 1) sums[at]! += weight * row[at]!;
  }
  const bytes = new Uint8Array((sums.length / 3) * 4);
  const whole = 2 * total;
  for (let from = 0, to = 0; from < sums.length; from += 3, to += 4) {
    bytes[to] = byteOf[((2 * sums[from]! + total) / whole) | 0]!;
    bytes[to + 1] = byteOf[((2 * sums[from + 1]! + total) / whole) | 0]!;
    bytes[to + 2] = byteOf[((2 * sums[from + 2]! + total) / whole) | 0]!;
    bytes[to + 3] = 255;
  }
  return new Uint32Array(bytes.buffer);
}
