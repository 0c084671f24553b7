import type { Shade } from '../colour/shade.ts';
import { modulo } from '../exact/modulo.ts';

/**
 * A grid of shade indexes on the torus, kept as its different rows, since woven cloth has few.
 * Row 0 is the top of the picture; within a row, left to right.
 */
export interface Cells {
  readonly kind: 'cells';
  readonly width: number;
  readonly height: number;
  readonly shades: readonly Shade[];
  /** The different rows: one shade index a cell, `width` long. */
  readonly rows: readonly Uint16Array[];
  /** For each different row, 1 where the vertical thread lies on top; absent for cells that are no cloth. */
  readonly over?: readonly Uint8Array[];
  /** Which of `rows` stands at each height, `height` long. */
  readonly rowAt: Uint32Array;
}

/** Shade index at column x and row y counted from the top; both may be any whole number. */
export function cellAt(cells: Cells, x: number, y: number): number {
  const row = cells.rows[cells.rowAt[modulo(y, cells.height)]!]!;
  return row[modulo(x, cells.width)]!;
}
