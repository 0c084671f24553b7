import type { PlaneLattice } from '../exact/lattice.ts';
import { modulo } from '../exact/modulo.ts';
import { addPoints, scalePoint } from '../exact/plane.ts';
import { surd } from '../exact/surd.ts';

/** A lattice within another, by its vectors in steps of that one: (columns, 0) and (lean, rows). */
export interface Within {
  readonly columns: number;
  readonly rows: number;
  readonly lean: number;
}

/** The lattice itself. */
export const ONE_CELL: Within = { columns: 1, rows: 1, lean: 0 };

export function cellsOf({ columns, rows }: Within): number {
  return columns * rows;
}

/** All lattices within one that have so many of its cells (Hermite normal forms). */
export function sublattices(cells: number): readonly Within[] {
  return Array.from({ length: cells }, (_, at) => at + 1)
    .filter((rows) => cells % rows === 0)
    .flatMap((rows) =>
      Array.from({ length: cells / rows }, (_, lean) => ({ columns: cells / rows, rows, lean })),
    );
}

/** The cell, of those of a lattice within, that a cell is like: row by row, from 0. */
export function cellOf({ columns, rows, lean }: Within, i: number, j: number): number {
  const up = Math.floor(j / rows);
  return (j - up * rows) * columns + modulo(i - up * lean, columns);
}

/** Its vectors. */
export function keptLattice([a, b]: PlaneLattice, { columns, rows, lean }: Within): PlaneLattice {
  const at = (i: number, j: number) => addPoints(scalePoint(a, surd(i)), scalePoint(b, surd(j)));
  return [at(columns, 0), at(lean, rows)];
}
