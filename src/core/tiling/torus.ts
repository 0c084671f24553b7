import { type PlaneLattice, reduce } from '../exact/lattice.ts';
import type { Point } from '../exact/plane.ts';
import { surdText } from '../exact/surd.ts';
import type { Corner, TorusFaces } from './check-partition.ts';
import type { Tiling } from './tiling-form.ts';

/**
 * A tiling folded onto one cell of its lattice: vertices that the lattice carries onto each other are one, in steps of
 * the lattice's vectors.
 */
export interface Torus extends TorusFaces {
  readonly lattice: PlaneLattice;
}

/** Folds a tiling's faces; points are the same exactly when their coordinates are. */
export function foldTiling({ lattice, faces }: Tiling): Torus {
  const vertices: Point[] = [];
  const known = new Map<string, number>();
  const cornerOf = (point: Point): Corner => {
    const { u, v, i, j } = reduce(point, lattice);
    const name = `${surdText(u)};${surdText(v)}`;
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

/**
 * The faces round each vertex, by their numbers of sides, counterclockwise: "3.4.6.4", begun so that it is the smallest
 * of its turns and reflections.
 */
export function configurations({ vertices, faces }: Torus): readonly string[] {
  // At a vertex, each face comes in along one edge and leaves along another: the next face comes in where it left.
  const at = vertices.map(() => new Map<string, { leaves: string; sides: number }>());
  for (const { corners } of faces) {
    corners.forEach((corner, index) => {
      const before = corners.at(index - 1)!;
      const after = corners[(index + 1) % corners.length]!;
      at[corner.vertex]!.set(seenFrom(corner, after), {
        leaves: seenFrom(corner, before),
        sides: corners.length,
      });
    });
  }
  return at.map((around) => {
    const [start] = around.keys();
    const sides: number[] = [];
    for (let edge = start; edge !== undefined && sides.length < around.size; ) {
      const face = around.get(edge);
      if (face === undefined) break;
      sides.push(face.sides);
      edge = face.leaves;
    }
    return smallestName(sides);
  });
}

/** An edge's other end, seen from one of its ends. */
function seenFrom(from: Corner, to: Corner): string {
  return `${to.vertex} ${to.across - from.across} ${to.up - from.up}`;
}

function smallestName(sides: readonly number[]): string {
  const turns = [sides, [...sides].reverse()].flatMap((list) =>
    list.map((_, at) => [...list.slice(at), ...list.slice(0, at)]),
  );
  turns.sort((a, b) => a.map((side, at) => side - b[at]!).find((difference) => difference !== 0) ?? 0);
  return (turns[0] ?? []).join('.');
}
