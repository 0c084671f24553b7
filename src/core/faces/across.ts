import { addPoints, cross, dot, type Point, subtractPoints } from '../exact/plane.ts';
import { squareRoot } from '../exact/square-root.ts';
import { compareSurds, divideSurds, type Surd, ZERO_SURD } from '../exact/surd.ts';

/**
 * A convex face's width across its flats: the smallest way between a side and the corner farthest from it.
 * @returns undefined where it is no sum of square roots
 */
export function acrossFlats(corners: readonly Point[]): Surd | undefined {
  const squares = corners.map((corner, at) => {
    const side = subtractPoints(corners[(at + 1) % corners.length]!, corner);
    const farthest = largest(corners.map((point) => cross(side, subtractPoints(point, corner))));
    // The way from a side is the area over it, so its square is the area's over the side's.
    return { area: farthest, side: dot(side, side) };
  });
  const ways = squares.map(({ area, side }) => {
    const length = squareRoot(side);
    return length === undefined ? undefined : divideSurds(area, length);
  });
  const known = ways.filter((way) => way !== undefined);
  if (known.length < ways.length) return undefined;
  return known.reduce((least, way) => (compareSurds(way, least) < 0 ? way : least));
}

/**
 * A face's width across its corners: the longest way between two of them.
 * @returns undefined where it is no sum of square roots
 */
export function acrossCorners(corners: readonly Point[]): Surd | undefined {
  const squares = corners.flatMap((one, at) =>
    corners.slice(at + 1).map((other) => {
      const way = subtractPoints(other, one);
      return dot(way, way);
    }),
  );
  return squareRoot(largest(squares));
}

/**
 * The longest side of some faces, sides that go on straight being one.
 * @returns undefined where it is no sum of square roots
 */
export function longestSide(faces: readonly (readonly Point[])[]): Surd | undefined {
  const squares = faces.flatMap((corners) => {
    const ways = corners.map((corner, at) => subtractPoints(corners[(at + 1) % corners.length]!, corner));
    const turning = ways.findIndex((way, at) => turns(ways.at(at - 1)!, way));
    // From a true corner on, so that no side is parted by the face's beginning.
    const ordered = [...ways.slice(turning), ...ways.slice(0, turning)];
    const sides: Point[] = [];
    for (const way of ordered) {
      const last = sides.at(-1);
      if (last === undefined || turns(last, way)) sides.push(way);
      else sides[sides.length - 1] = addPoints(last, way);
    }
    return sides.map((side) => dot(side, side));
  });
  return squareRoot(largest(squares));
}

function turns(one: Point, other: Point): boolean {
  return cross(one, other).terms.length > 0;
}

function largest(values: readonly Surd[]): Surd {
  return values.reduce((most, value) => (compareSurds(value, most) > 0 ? value : most), ZERO_SURD);
}
