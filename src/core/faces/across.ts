import { cross, dot, type Point, subtractPoints } from '../exact/plane.ts';
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

function largest(values: readonly Surd[]): Surd {
  return values.reduce((most, value) => (compareSurds(value, most) > 0 ? value : most), ZERO_SURD);
}
