import type { Place } from './places.ts';

/** Whether two convex polygons touch: no line along one of their sides has them on two sides (separating axes). */
export function convexTouch(one: readonly Place[], other: readonly Place[]): boolean {
  return !(hasSideBetween(one, other) || hasSideBetween(other, one));
}

/** Whether all of another polygon lies beyond one of a polygon's sides, whichever way round it is walked. */
function hasSideBetween(polygon: readonly Place[], other: readonly Place[]): boolean {
  for (let at = 0; at < polygon.length; at += 1) {
    const from = polygon[at]!;
    const to = polygon[at + 1 < polygon.length ? at + 1 : 0]!;
    const along = { x: to.x - from.x, y: to.y - from.y };
    const beside = ({ x, y }: Place) => along.x * (y - from.y) - along.y * (x - from.x);
    const own = polygon.reduce(
      (most, place) => (Math.abs(beside(place)) > Math.abs(most) ? beside(place) : most),
      0,
    );
    if (own !== 0 && other.every((place) => beside(place) * own < 0)) return true;
  }
  return false;
}
