import { CoreError } from '../../error.ts';
import type { Cells } from '../../thread/cells.ts';
import { MAX_REPEAT } from '../../thread/cross.ts';
import type { BoxStand } from './group-blocks.ts';
import { isTransposing } from './stands.ts';

/** Most threads along a side of cells that are turned by a quarter. */
const MAX_TURNED = 4_000;

/**
 * Cells as a stand carries them. Where warp and weft are exchanged, what lay on top as a vertical thread lies there as a
 * level one.
 * @throws CoreError "repeat/too-large" {ends, picks, most}
 */
export function standCells(cells: Cells, stand: BoxStand): Cells {
  if (stand === 'same') return cells;
  return isTransposing(stand) ? turned(cells, stand) : flipped(cells, stand);
}

function flipped({ rows, over, rowAt, ...cells }: Cells, stand: BoxStand): Cells {
  const across = stand !== 'down';
  const down = stand !== 'across';
  return {
    ...cells,
    rows: across ? rows.map((row) => row.slice().reverse()) : rows,
    ...(over && { over: across ? over.map((row) => row.slice().reverse()) : over }),
    rowAt: down ? rowAt.slice().reverse() : rowAt,
  };
}

/** Where the cell at a column and a row from the top comes from, in a square of so many a side. */
const FROM: Readonly<
  Record<string, (x: number, y: number, last: number) => readonly [x: number, y: number]>
> = {
  left: (x, y, last) => [last - y, x],
  right: (x, y, last) => [y, last - x],
  diagonal: (x, y, last) => [last - y, last - x],
  other: (x, y) => [y, x],
};

function turned({ width, height, shades, rows, over, rowAt }: Cells, stand: BoxStand): Cells {
  if (Math.max(width, height) > MAX_TURNED) {
    throw new CoreError('repeat/too-large', {
      ends: width,
      picks: height,
      most: Math.min(MAX_TURNED, MAX_REPEAT),
    });
  }
  const from = FROM[stand]!;
  const lines = Array.from({ length: width }, (_, y) => {
    const row = new Uint16Array(height);
    const face = new Uint8Array(height);
    for (let x = 0; x < height; x += 1) {
      const [column, line] = from(x, y, width - 1);
      row[x] = rows[rowAt[line]!]![column]!;
      face[x] = over?.[rowAt[line]!]?.[column] === 1 ? 0 : 1;
    }
    return { row, face };
  });
  return {
    kind: 'cells',
    width: height,
    height: width,
    shades,
    rows: lines.map(({ row }) => row),
    ...(over && { over: lines.map(({ face }) => face) }),
    rowAt: Uint32Array.from(lines.keys()),
  };
}

/**
 * A square of cells of which one half, below a diagonal, is mirrored in it. Threads on the diagonal itself stay.
 * @param mirror  the diagonal: "diagonal" rises to the right, "other" falls
 */
export function halvedCells(cells: Cells, mirror: 'diagonal' | 'other'): Cells {
  const image = standCells(cells, mirror);
  const last = cells.width - 1;
  const isDrawn = (x: number, y: number) => (mirror === 'diagonal' ? x >= last - y : x <= y);
  const merged = <T extends Uint16Array | Uint8Array>(drawn: T, other: T, y: number): T => {
    const row = drawn.slice() as T;
    for (let x = 0; x <= last; x += 1) if (!isDrawn(x, y)) row[x] = other[x]!;
    return row;
  };
  const lines = Array.from({ length: cells.height }, (_, y) => y);
  const both = cells.over !== undefined && image.over !== undefined;
  return {
    ...cells,
    rows: lines.map((y) => merged(cells.rows[cells.rowAt[y]!]!, image.rows[image.rowAt[y]!]!, y)),
    ...(both && {
      over: lines.map((y) => merged(cells.over![cells.rowAt[y]!]!, image.over![image.rowAt[y]!]!, y)),
    }),
    rowAt: Uint32Array.from(lines),
  };
}
