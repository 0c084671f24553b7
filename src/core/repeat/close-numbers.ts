import { modulo } from '../exact/modulo.ts';
import { isWhole } from '../exact/rational.ts';
import type { Vector } from '../exact/vector.ts';
import { type Cells, cellAt } from '../thread/cells.ts';
import type { RepeatUnit } from './repeat-unit.ts';

/** Why the numbers close, or where they do not. */
export interface NumberProof {
  readonly closed: boolean;
  /** Cells that were compared with the cell one lattice vector away. */
  readonly compared: number;
  /** How many of them differ, for each of the two vectors. */
  readonly differing: readonly [number, number];
}

/**
 * Proves that a unit's content is carried onto itself by both lattice vectors, by comparing cells on the plane.
 * A vector that is not whole cells long carries none of them onto itself.
 */
export function closeNumbers(unit: RepeatUnit): NumberProof {
  const { content, lattice } = unit;
  const differing = [misses(content, lattice[0]), misses(content, lattice[1])] as const;
  return {
    closed: differing[0] === 0 && differing[1] === 0,
    compared: content.width * content.height,
    differing,
  };
}

function misses(cells: Cells, vector: Vector): number {
  if (!isWhole(vector.x) || !isWhole(vector.y)) return cells.width * cells.height;
  const dx = Number(vector.x.n);
  const dy = -Number(vector.y.n);
  const known = new Map<string, number>();
  let count = 0;
  for (let y = 0; y < cells.height; y += 1) {
    const key = `${cells.rowAt[y]} ${cells.rowAt[modulo(y + dy, cells.height)]}`;
    const row = known.get(key) ?? missesInRow(cells, y, dx, dy);
    known.set(key, row);
    count += row;
  }
  return count;
}

function missesInRow(cells: Cells, y: number, dx: number, dy: number): number {
  let count = 0;
  for (let x = 0; x < cells.width; x += 1) {
    if (cellAt(cells, x, y) !== cellAt(cells, x + dx, y + dy)) count += 1;
  }
  return count;
}
