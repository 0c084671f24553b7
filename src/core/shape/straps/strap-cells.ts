import { modulo } from '../../exact/modulo.ts';
import type { Step } from './strap-torus.ts';

/**
 * A lattice within another, by its Hermite normal form: (across, 0) and (shift, up) in vectors of the other, with
 * 0 ≤ shift < across. It has across × up cells of the other in one of its own.
 */
export interface StrapCells {
  readonly across: number;
  readonly shift: number;
  readonly up: number;
}

export const ONE_CELL: StrapCells = { across: 1, shift: 0, up: 1 };

export function cellCount({ across, up }: StrapCells): number {
  return across * up;
}

/** Which cell so many vectors lead to. */
export function cellAt({ across, shift, up }: StrapCells, [i, j]: Step): number {
  const row = modulo(j, up);
  const rows = (j - row) / up;
  return row * across + modulo(i - rows * shift, across);
}

/** Vectors that lead to a cell. */
export function stepOfCell({ across }: StrapCells, cell: number): Step {
  return [cell % across, Math.floor(cell / across)];
}

/** All lattices of so many cells within another, those without a shift first. */
export function latticesOf(count: number): readonly StrapCells[] {
  const all: StrapCells[] = [];
  for (let across = count; across >= 1; across -= 1) {
    if (count % across !== 0) continue;
    for (let shift = 0; shift < across; shift += 1) all.push({ across, shift, up: count / across });
  }
  return all.sort((one, other) => Math.sign(one.shift) - Math.sign(other.shift));
}
