import { modulo } from '../exact/modulo.ts';
import { isWhole } from '../exact/rational.ts';
import type { Vector } from '../exact/vector.ts';
import type { PartitionProof } from '../faces/check-partition.ts';
import { type Cells, cellAt } from '../thread/cells.ts';
import type { Lattice } from './repeat-unit.ts';

/** Why the numbers of cells close, or where they do not. */
export interface CellsProof {
  readonly kind: 'cells';
  readonly closed: boolean;
  /** Cells that were compared with the cell one lattice vector away. */
  readonly compared: number;
  /** How many of them differ, for each of the two vectors. */
  readonly differing: readonly [number, number];
  /** What does not follow from the construction's own numbers. */
  readonly misses: number;
}

/** Why plies over each other close: each by itself, and by going whole times into what they have in common. */
export interface PliesProof {
  readonly kind: 'plies';
  readonly closed: boolean;
  /** Of each, the lowest first. */
  readonly plies: readonly PlyProof[];
  /** What does not follow from the construction's own numbers. */
  readonly misses: number;
}

/** A ply's own proof, and how often its repeat goes into the common one. */
export interface PlyProof {
  readonly proof: NumberProof;
  readonly times: { readonly across: number; readonly down: number };
  /** Whether so many of its repeats are as long as the common one, exactly. */
  readonly fits: boolean;
}

/** Why the numbers close, or where they do not; a partition's edges and areas, and what its construction found. */
export type NumberProof =
  | CellsProof
  | PliesProof
  | (PartitionProof & {
      readonly kind: 'partition';
      /** What does not follow from the construction's own numbers. */
      readonly misses: number;
    });

/** A proof, with what does not follow from the construction's own numbers. */
export function withMisses(proof: NumberProof, misses: number): NumberProof {
  return { ...proof, misses, closed: proof.closed && misses === 0 };
}

/**
 * Proves that cells are carried onto themselves by both lattice vectors, by comparing them on the plane.
 * A vector that is not whole cells long carries none of them onto itself.
 */
export function closeCells(cells: Cells, lattice: Lattice): CellsProof {
  const differing = [misses(cells, lattice[0]), misses(cells, lattice[1])] as const;
  return {
    kind: 'cells',
    closed: differing[0] === 0 && differing[1] === 0,
    compared: cells.width * cells.height,
    differing,
    misses: 0,
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
