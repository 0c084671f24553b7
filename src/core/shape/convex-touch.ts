import type { Place } from './places.ts';

/** Whether two convex polygons touch: no line along one of their sides has them on two sides (separating axes). */
export function convexTouch(one: readonly Place[], other: readonly Place[]): boolean {
  return !(hasSideBetween(one, other) || hasSideBetween(other, one));
}

/** Whether all of another polygon lies beyond one of a polygon's sides, whichever way round it is walked. */
function hasSideBetween(polygon: readonly Place[], other: readonly Place[]): boolean {
  return polygon.some((from, at) => {
    const to = polygon[at + 1 < polygon.length ? at + 1 : 0]!;
    // Above 0 on one side of the line, below on the other.
    const besides = (places: readonly Place[]) =>
      places.map(({ x, y }) => (to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x));
    const inside = besides(polygon);
    const outside = besides(other);
    return (
      (inside.every((beside) => beside >= 0) && outside.every((beside) => beside < 0)) ||
      (inside.every((beside) => beside <= 0) && outside.every((beside) => beside > 0))
    );
  });
}
