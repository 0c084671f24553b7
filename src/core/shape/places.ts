import type { Point } from '../exact/plane.ts';
import { nearNumber } from '../exact/surd.ts';

/** A place in doubles; painting and drawing work with those. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

/** Places of points in repeats, in the unit of a repeat's lengths. */
export function placesOf(points: readonly Point[], pitch: Place): readonly Place[] {
  return points.map(({ x, y }) => ({ x: nearNumber(x) * pitch.x, y: nearNumber(y) * pitch.y }));
}

/** Area of a polygon, above 0 when its corners run counterclockwise. */
export function areaOfPlaces(places: readonly Place[]): number {
  return places.reduce((sum, { x, y }, at) => {
    const next = places[(at + 1) % places.length]!;
    return sum + (x * next.y - next.x * y) / 2;
  }, 0);
}
