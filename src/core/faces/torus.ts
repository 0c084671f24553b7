import { type PlaneLattice, reducerOf } from '../exact/lattice.ts';
import { type Point, pointName } from '../exact/plane.ts';
import type { Corner, TorusFaces } from './check-partition.ts';

/**
 * Faces folded onto one cell of its lattice: vertices that the lattice carries onto each other are one, in steps of
 * the lattice's vectors.
 */
export interface Torus extends TorusFaces {
  readonly lattice: PlaneLattice;
}

/** Faces of one cell of a lattice, as they lie. */
export interface CellFaces {
  readonly lattice: PlaneLattice;
  readonly faces: readonly (readonly Point[])[];
}

/** Folds a cell's faces; points are the same exactly when their coordinates are. */
export function foldTiling({ lattice, faces }: CellFaces): Torus {
  const vertices: Point[] = [];
  const known = new Map<string, number>();
  const reduced = reducerOf(lattice);
  const folded = new Map<Point, Corner>();
  /** Faces that share a point's object are spared the sums. */
  const cornerOf = (point: Point): Corner => {
    const done = folded.get(point);
    if (done !== undefined) return done;
    const corner = fold(point);
    folded.set(point, corner);
    return corner;
  };
  const fold = (point: Point): Corner => {
    const { u, v, i, j } = reduced(point);
    const name = pointName({ x: u, y: v });
    let vertex = known.get(name);
    if (vertex === undefined) {
      vertex = vertices.length;
      known.set(name, vertex);
      vertices.push({ x: u, y: v });
    }
    return { vertex, across: Number(i), up: Number(j) };
  };
  return { lattice, vertices, faces: faces.map((face) => ({ corners: face.map(cornerOf) })) };
}
