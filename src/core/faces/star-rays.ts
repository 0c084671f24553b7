import { addPoints, cross, middleOf, type Point, scalePoint, subtractPoints } from '../exact/plane.ts';
import { divide, multiply, type Rational, rational, toNumber } from '../exact/rational.ts';
import {
  addSurds,
  divideSurds,
  negateSurd,
  ONE_SURD,
  root,
  type Surd,
  scaleSurd,
  subtractSurds,
  surd,
  surdToNumber,
} from '../exact/surd.ts';
import type { Place } from '../shape/places.ts';
import type { StrapPoint } from '../shape/straps/strap-line.ts';

/** At which angle to a side two lines leave it into each face, and how far apart, as a part of the side. */
export interface StarRays {
  readonly degrees: Rational;
  readonly apart: Rational;
}

/**
 * The lines of a face, one round each of its corners: from a side's middle to the middle of the next. Each middle sends a
 * line at an angle towards either end of its side, and two that lean to one corner end where they meet. Where they meet
 * beyond the face, or not at all, their starts are joined straight.
 *
 * Sources: E. H. Hankin, The Drawing of Geometric Patterns in Saracenic Art, 1925; C. S. Kaplan, Islamic Star Patterns from
 * Polygons in Contact, Graphics Interface 2005, for two starts apart from each other; from memory. Joining straight is ours.
 *
 * @param corners  counterclockwise, exact
 * @returns        two or three points each, exact for multiples of 7.5°
 */
export function starRays(
  corners: readonly Point[],
  { degrees, apart }: StarRays,
): readonly (readonly StrapPoint[])[] {
  const tangent = tangentOf(degrees);
  const slope = Math.tan((toNumber(degrees) * Math.PI) / 180);
  const places = corners.map(placeOf);
  const near = places.map((from, at) =>
    placeSide(from, places[(at + 1) % places.length]!, toNumber(apart) / 2),
  );
  const exact =
    tangent && corners.map((from, at) => sideOf(from, corners[(at + 1) % corners.length]!, apart));
  return near.map((side, at) => {
    const after = (at + 1) % near.length;
    const next = near[after]!;
    const start: StrapPoint = { place: side.early, exact: exact?.[at]?.early };
    const end: StrapPoint = { place: next.late, exact: exact?.[after]?.late };
    const one = inward(side.way, slope);
    const other = inward(turnedBack(next.way), -slope);
    const meeting = meetingOf(side.early, one, next.late, other);
    if (meeting === undefined || !isInside(meeting, places)) return [start, end];
    const point = exact && exactMeeting(exact[at]!, exact[after]!, tangent);
    return [start, { place: point === undefined ? meeting : placeOf(point), exact: point }, end];
  });
}

interface Side<P> {
  readonly way: P;
  /** Where lines start that lean to the side's end, and to its start. */
  readonly early: P;
  readonly late: P;
}

/** @param half  of what lies between two starts, as a part of the side */
function placeSide(from: Place, to: Place, half: number): Side<Place> {
  const way = { x: to.x - from.x, y: to.y - from.y };
  const at = (part: number) => ({ x: from.x + part * way.x, y: from.y + part * way.y });
  return { way, early: at(1 / 2 - half), late: at(1 / 2 + half) };
}

function sideOf(from: Point, to: Point, apart: Rational): Side<Point> {
  const way = subtractPoints(to, from);
  const middle = middleOf([from, to]);
  const half = scalePoint(way, surd(divide(apart, rational(2))));
  return { way, early: subtractPoints(middle, half), late: addPoints(middle, half) };
}

function exactMeeting(side: Side<Point>, next: Side<Point>, tangent: Surd): Point {
  const lean = ({ x, y }: Point, by: Surd): Point => ({
    x: subtractSurds(x, scaled(y, by)),
    y: addSurds(y, scaled(x, by)),
  });
  const one = lean(side.way, tangent);
  const other = lean({ x: negateSurd(next.way.x), y: negateSurd(next.way.y) }, negateSurd(tangent));
  const part = divideSurds(cross(subtractPoints(next.late, side.early), other), cross(one, other));
  return addPoints(side.early, scalePoint(one, part));
}

function scaled(value: Surd, by: Surd): Surd {
  return scalePoint({ x: value, y: value }, by).x;
}

/** A way turned to its left by an angle of a tangent, longer than it was. */
function inward({ x, y }: Place, slope: number): Place {
  return { x: x - slope * y, y: y + slope * x };
}

function turnedBack({ x, y }: Place): Place {
  return { x: -x, y: -y };
}

/** Where two lines meet ahead of both their starts. */
function meetingOf(p: Place, u: Place, q: Place, v: Place): Place | undefined {
  const area = u.x * v.y - u.y * v.x;
  // Lines that run toward each other on one line, or beside each other, meet nowhere.
  if (Math.abs(area) < NOWHERE * Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y)) return undefined;
  const w = { x: q.x - p.x, y: q.y - p.y };
  const first = (w.x * v.y - w.y * v.x) / area;
  const second = (w.x * u.y - w.y * u.x) / area;
  if (!(first > NOWHERE && second > NOWHERE)) return undefined;
  return { x: p.x + first * u.x, y: p.y + first * u.y };
}

/** Parts of a side before which lines have not left it, and sine of an angle at which they do not meet. */
const NOWHERE = 1e-9;

/** By the crossings of a level line to the right: M. Shimrat, Algorithm 112, Comm. ACM 5 (1962) 434. */
function isInside({ x, y }: Place, corners: readonly Place[]): boolean {
  let inside = false;
  corners.forEach((one, at) => {
    const other = corners[(at + 1) % corners.length]!;
    if (one.y > y === other.y > y) return;
    if (x < one.x + ((y - one.y) / (other.y - one.y)) * (other.x - one.x)) inside = !inside;
  });
  return inside;
}

function placeOf({ x, y }: Point): Place {
  return { x: surdToNumber(x), y: surdToNumber(y) };
}

const [TWO, THREE, SIX] = [root(rational(1), 2), root(rational(1), 3), root(rational(1), 6)];
const sum = (...terms: readonly Surd[]) => terms.reduce(addSurds);
const less = negateSurd;

/** Tangents of 7.5°, 15°, … 82.5°, by halving the angles of √2 and √3; from memory. */
const TANGENTS: readonly Surd[] = [
  sum(SIX, less(THREE), TWO, surd(-2)),
  sum(surd(2), less(THREE)),
  sum(TWO, surd(-1)),
  scaleSurd(THREE, rational(1, 3)),
  sum(SIX, THREE, less(TWO), surd(-2)),
  ONE_SURD,
  sum(SIX, less(THREE), less(TWO), surd(2)),
  THREE,
  sum(TWO, ONE_SURD),
  sum(surd(2), THREE),
  sum(SIX, THREE, TWO, surd(2)),
];

/** @returns undefined for angles that are no multiple of 7.5° */
function tangentOf(degrees: Rational): Surd | undefined {
  const steps = multiply(degrees, rational(2, 15));
  return steps.d === 1n ? TANGENTS[Number(steps.n) - 1] : undefined;
}
