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

/**
 * A convex face taken in: all of it that is at least a distance from every side.
 * @param corners  in repeats, counterclockwise
 * @param pitch    lengths of one repeat
 * @returns        corners in the unit of `pitch`, counterclockwise; none where nothing is left
 */
export function takenIn(corners: readonly Point[], pitch: Place, distance: number): readonly Place[] {
  const face = placesOf(corners, pitch);
  let left = face;
  face.forEach((from, at) => {
    const to = face[(at + 1) % face.length]!;
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    // How far inside a side a place lies, less the distance.
    const inside = ({ x, y }: Place) =>
      ((to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x)) / length - distance;
    left = keepInside(left, inside);
  });
  return areaOfPlaces(left) > areaOfPlaces(face) * NOTHING ? left : [];
}

/** The share of a face that is nothing: what doubles leave of a line. */
const NOTHING = 1e-12;

/** Area of a polygon, above 0 when its corners run counterclockwise. */
export function areaOfPlaces(places: readonly Place[]): number {
  return places.reduce((sum, { x, y }, at) => {
    const next = places[(at + 1) % places.length]!;
    return sum + (x * next.y - next.x * y) / 2;
  }, 0);
}

/** A convex polygon cut by a line: what lies where `inside` is not below 0 (Sutherland, Hodgman, 1974). */
function keepInside(polygon: readonly Place[], inside: (place: Place) => number): readonly Place[] {
  return polygon.flatMap((place, at) => {
    const before = polygon.at(at - 1)!;
    const [here, there] = [inside(place), inside(before)];
    const cut = there / (there - here);
    const crossing = { x: before.x + (place.x - before.x) * cut, y: before.y + (place.y - before.y) * cut };
    if (here >= 0) return there >= 0 ? [place] : [crossing, place];
    return there >= 0 ? [crossing] : [];
  });
}

/** A face taken in, with rounded corners: the places that arcs go round, and their radius; none where nothing is left. */
export interface RoundedFace {
  readonly middles: readonly Place[];
  readonly radius: number;
}

/** Halvings in which the largest radius that fits is found. */
const HALVINGS = 40;

/**
 * A convex face taken in by a distance, its corners rounded by a radius, or by the largest that fits.
 * @param corners  in repeats; the rest in the unit of `pitch`
 */
export function roundedFace(
  corners: readonly Point[],
  pitch: Place,
  distance: number,
  radius: number,
): RoundedFace {
  const whole = takenIn(corners, pitch, distance + radius);
  if (whole.length > 0 || radius === 0) return { middles: whole, radius };
  let [fits, middles, low, high] = [0, takenIn(corners, pitch, distance), 0, radius];
  for (let halving = 0; halving < HALVINGS; halving += 1) {
    const tried = (low + high) / 2;
    const left = takenIn(corners, pitch, distance + tried);
    if (left.length > 0) [low, fits, middles] = [tried, tried, left];
    else high = tried;
  }
  return { middles, radius: fits };
}
