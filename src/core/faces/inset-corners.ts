import { addPoints, cross, dot, type Point, scalePoint, subtractPoints } from '../exact/plane.ts';
import { rational } from '../exact/rational.ts';
import { squareRoot } from '../exact/square-root.ts';
import {
  divideSurds,
  isRational,
  nearNumber,
  negateSurd,
  type Surd,
  subtractSurds,
  surd,
} from '../exact/surd.ts';
import { insetPolygon } from '../shape/inset.ts';
import type { Place } from '../shape/places.ts';

/**
 * Where the corners of a convex polygon come to lie when it is made smaller by a distance from every side. Corners whose
 * side is lost come together in one point. Exact where all sides have lengths that are fractions, as those of regular
 * polygons have; else as near as `NEAR` says.
 *
 * @param corners   counterclockwise, in one unit; two sides may lie on one line
 * @param distance  in the same unit, 0 or more
 * @returns         one point a corner, in their order; undefined where nothing is left
 */
export function insetCorners(corners: readonly Point[], distance: Surd): readonly Point[] | undefined {
  const left = insetPolygon(corners, ONE_EACH, nearNumber(distance));
  if (left.length < 3) return undefined;
  const sides = corners.map((from, at) => sideOf(from, corners[(at + 1) % corners.length]!));
  const kept = sides.map((side) => isKept(side, left, nearNumber(distance)));
  const lengths = sides.map(({ way }) => squareRoot(dot(way, way)));
  const isExact = lengths.every((length) => length !== undefined && isRational(length));
  const meet = isExact
    ? exactMeeting(sides, lengths as readonly Surd[], distance)
    : nearMeeting(sides, nearNumber(distance));
  return corners.map((_, at) => {
    let before = (at + sides.length - 1) % sides.length;
    let after = at;
    while (!kept[before]!) before = (before + sides.length - 1) % sides.length;
    while (!kept[after]!) after = (after + 1) % sides.length;
    return meet(before, after);
  });
}

const ONE_EACH: Place = { x: 1, y: 1 };

interface Side {
  readonly from: Point;
  readonly way: Point;
  readonly near: { readonly from: Place; readonly way: Place; readonly length: number };
}

function sideOf(from: Point, to: Point): Side {
  const way = subtractPoints(to, from);
  const near = { from: placeOf(from), way: placeOf(way) };
  return { from, way, near: { ...near, length: Math.hypot(near.way.x, near.way.y) } };
}

function placeOf({ x, y }: Point): Place {
  return { x: nearNumber(x), y: nearNumber(y) };
}

/** Parts of a side by which doubles are off. */
const OFF = 1e-9;

/** Whether something of a side is left, beside the inset as doubles have it. */
function isKept({ near: { from, way, length } }: Side, left: readonly Place[], distance: number): boolean {
  const along = left
    .filter(({ x, y }) => {
      const inside = (way.x * (y - from.y) - way.y * (x - from.x)) / length;
      return Math.abs(inside - distance) < OFF * length;
    })
    .map(({ x, y }) => (way.x * (x - from.x) + way.y * (y - from.y)) / length);
  return along.length > 1 && Math.max(...along) - Math.min(...along) > OFF * length;
}

/** The point in which two sides meet that are moved inward. */
type Meet = (before: number, after: number) => Point;

function exactMeeting(sides: readonly Side[], lengths: readonly Surd[], distance: Surd): Meet {
  // A way turned to its left, as long as the distance.
  const inward = sides.map(({ way: { x, y } }, at) =>
    scalePoint({ x: negateSurd(y), y: x }, divideSurds(distance, lengths[at]!)),
  );
  return (before, after) => {
    const [one, other] = [sides[before]!, sides[after]!];
    const start = addPoints(one.from, inward[before]!);
    const end = addPoints(other.from, inward[after]!);
    const area = cross(one.way, other.way);
    if (area.terms.length === 0) return end;
    const part = divideSurds(cross(subtractPoints(end, start), other.way), area);
    return addPoints(start, scalePoint(one.way, part));
  };
}

/** Doubles are taken to the nearest part of so many, ties up: a micrometre in a thousand kilometres. */
const NEAR = 2 ** 40;

function nearMeeting(sides: readonly Side[], distance: number): Meet {
  const startOf = ({ near: { from, way, length } }: Side): Place => ({
    x: from.x - (way.y / length) * distance,
    y: from.y + (way.x / length) * distance,
  });
  return (before, after) => {
    const [one, other] = [sides[before]!, sides[after]!];
    const start = startOf(one);
    const end = startOf(other);
    const a = one.near.way;
    const b = other.near.way;
    const area = a.x * b.y - a.y * b.x;
    if (Math.abs(area) < OFF * one.near.length * other.near.length) return nearPoint(end);
    const part = ((end.x - start.x) * b.y - (end.y - start.y) * b.x) / area;
    return nearPoint({ x: start.x + part * a.x, y: start.y + part * a.y });
  };
}

function nearPoint({ x, y }: Place): Point {
  const near = (value: number) => surd(rational(BigInt(Math.round(value * NEAR)), BigInt(NEAR)));
  return { x: near(x), y: near(y) };
}

/** By how much corners move, for faces that are the same but for where they lie. */
export function insetWays(corners: readonly Point[], distance: Surd): readonly Point[] | undefined {
  const first = corners[0]!;
  const moved = corners.map((corner) => subtractPoints(corner, first));
  return insetCorners(moved, distance)?.map((to, at) => ({
    x: subtractSurds(to.x, moved[at]!.x),
    y: subtractSurds(to.y, moved[at]!.y),
  }));
}
