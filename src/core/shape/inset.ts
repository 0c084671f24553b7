import type { Point } from '../exact/plane.ts';
import { add, compare, type Rational, rational, subtract } from '../exact/rational.ts';
import { areaOfPlaces, type Place, placesOf } from './places.ts';
import type { Frame, Inset } from './shape.ts';

/**
 * The inset of a convex polygon: all of it that is at least a distance from every side.
 * @param corners  in repeats, counterclockwise
 * @param pitch    lengths of one repeat
 * @returns        corners in the unit of `pitch`, counterclockwise; none where nothing is left
 */
export function insetPolygon(corners: readonly Point[], pitch: Place, distance: number): readonly Place[] {
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

/** A convex polygon cut by a line: what lies where `inside` is not below 0 (Sutherland, Hodgman, 1974). */
function keepInside(polygon: readonly Place[], inside: (place: Place) => number): readonly Place[] {
  return polygon.flatMap((place, at) => {
    const before = polygon.at(at - 1)!;
    const here = inside(place);
    const there = inside(before);
    const cut = there / (there - here);
    const crossing = { x: before.x + (place.x - before.x) * cut, y: before.y + (place.y - before.y) * cut };
    if (here >= 0) return there >= 0 ? [place] : [crossing, place];
    return there >= 0 ? [crossing] : [];
  });
}

/** An inset with rounded corners: the places that arcs go round, and their radius; none where nothing is left. */
export interface RoundedInset {
  readonly middles: readonly Place[];
  readonly radius: number;
}

/** Halvings in which the largest radius that fits is found. */
const HALVINGS = 40;

/**
 * The inset of a convex polygon, its corners rounded by a radius, or by the largest that fits.
 * @param corners  in repeats; the rest in the unit of `pitch`
 */
export function roundedInset(
  corners: readonly Point[],
  pitch: Place,
  distance: number,
  radius: number,
): RoundedInset {
  const whole = insetPolygon(corners, pitch, distance + radius);
  if (whole.length > 0 || radius === 0) return { middles: whole, radius };
  let best: RoundedInset = { middles: insetPolygon(corners, pitch, distance), radius: 0 };
  let tooLarge = radius;
  for (let halving = 0; halving < HALVINGS; halving += 1) {
    const tried = (best.radius + tooLarge) / 2;
    const middles = insetPolygon(corners, pitch, distance + tried);
    if (middles.length > 0) best = { middles, radius: tried };
    else tooLarge = tried;
  }
  return best;
}

/** A band as wide everywhere, inward from an inset; beside round corners it is round, as long as its width leaves any. */
export function framed(corners: readonly Point[], outer: Frame['outer'], wide: Rational): Frame {
  const isRound = compare(outer.corner, wide) > 0;
  const corner = isRound ? subtract(outer.corner, wide) : rational(0);
  return { corners, by: add(outer.by, wide), corner, outer };
}

/** An inset, or a band inside one, whose polygon lies elsewhere. */
export function withCorners<Part extends Inset>(part: Part, move: (corner: Point) => Point): Part {
  return { ...part, corners: part.corners.map(move) };
}
