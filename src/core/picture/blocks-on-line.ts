import type { BlockGrid } from './block-grid.ts';

/** A place in a picture, in its pixels from the upper left. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

/** A run along a line through one block. */
export interface Piece {
  /** Linear light, 0 … 65535. */
  readonly light: readonly [red: number, green: number, blue: number];
  /** Pixels of the line in it. */
  readonly length: number;
}

/** Shorter pieces are corners that the line only touches: a thousandth of a pixel. */
const TOUCH = 1e-3;

/**
 * The blocks under a line, in its order, each as long as the line lies in it. A line without length is the one block
 * that it stands on.
 * Source of the walk: J. Amanatides, A. Woo, A fast voxel traversal algorithm for ray tracing, Eurographics 1987.
 */
export function blocksOnLine(grid: BlockGrid, from: Place, to: Place): readonly Piece[] {
  const a = inside(grid, from);
  const b = inside(grid, to);
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length < TOUCH) return [{ light: lightAt(grid, a), length: 1 }];
  const cuts = [0, 1];
  for (const [start, end] of [
    [a.x, b.x],
    [a.y, b.y],
  ] as const) {
    const [low, high] = start < end ? [start, end] : [end, start];
    for (let border = Math.floor(low / grid.block + 1) * grid.block; border < high; border += grid.block) {
      cuts.push((border - start) / (end - start));
    }
  }
  cuts.sort((left, right) => left - right);
  return cuts.slice(1).flatMap((cut, index): Piece[] => {
    const before = cuts[index]!;
    const piece = (cut - before) * length;
    if (piece < TOUCH) return [];
    const middle = (cut + before) / 2;
    const place = { x: a.x + (b.x - a.x) * middle, y: a.y + (b.y - a.y) * middle };
    return [{ light: lightAt(grid, place), length: piece }];
  });
}

function inside({ width, height }: BlockGrid, { x, y }: Place): Place {
  return { x: Math.min(width, Math.max(0, x)), y: Math.min(height, Math.max(0, y)) };
}

function lightAt({ block, columns, rows, light }: BlockGrid, { x, y }: Place): Piece['light'] {
  const column = Math.min(columns - 1, Math.floor(x / block));
  const row = Math.min(rows - 1, Math.floor(y / block));
  const at = (row * columns + column) * 3;
  return [light[at]!, light[at + 1]!, light[at + 2]!];
}
