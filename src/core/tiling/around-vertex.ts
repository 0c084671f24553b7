import type { Corner, TorusFaces } from '../faces/check-partition.ts';

/** A face that has a vertex as a corner, moved so that the vertex is the one in the torus's first cell. */
export interface FaceThere {
  readonly face: number;
  readonly across: number;
  readonly up: number;
}

/** For each vertex the faces round it, counterclockwise. */
export function facesRound({ vertices, faces }: TorusFaces): readonly (readonly FaceThere[])[] {
  // A face comes in along one edge and leaves along another; counterclockwise, the next one begins where it ends.
  const at = vertices.map(() => new Map<string, { readonly ends: string; readonly there: FaceThere }>());
  faces.forEach(({ corners }, face) => {
    corners.forEach((corner, index) => {
      const before = corners.at(index - 1)!;
      const after = corners[(index + 1) % corners.length]!;
      at[corner.vertex]!.set(seenFrom(corner, after), {
        ends: seenFrom(corner, before),
        there: { face, across: -corner.across, up: -corner.up },
      });
    });
  });
  return at.map((around) => {
    const [start] = around.keys();
    const found: FaceThere[] = [];
    for (let edge = start; edge !== undefined && found.length < around.size; ) {
      const next = around.get(edge);
      if (next === undefined) break;
      found.push(next.there);
      edge = next.ends;
    }
    return found;
  });
}

/** An edge's other end, seen from one of its ends. */
function seenFrom(from: Corner, to: Corner): string {
  return `${to.vertex} ${to.across - from.across} ${to.up - from.up}`;
}

/**
 * For each vertex the numbers of sides of the faces round it, "3.4.6.4", begun and walked so that the name is the
 * smallest.
 */
export function configurations(torus: TorusFaces): readonly string[] {
  return facesRound(torus).map((around) =>
    smallestName(around.map(({ face }) => torus.faces[face]!.corners.length)),
  );
}

function smallestName(sides: readonly number[]): string {
  const turns = [sides, [...sides].reverse()].flatMap((list) =>
    list.map((_, at) => [...list.slice(at), ...list.slice(0, at)]),
  );
  turns.sort((a, b) => a.map((side, at) => side - b[at]!).find((difference) => difference !== 0) ?? 0);
  return (turns[0] ?? []).join('.');
}
