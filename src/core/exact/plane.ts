import { rational } from './rational.ts';
import {
  addSurds,
  divideSurds,
  multiplySurds,
  negateSurd,
  ONE_SURD,
  root,
  type Surd,
  scaleSurd,
  subtractSurds,
  surd,
  ZERO_SURD,
} from './surd.ts';
import { surdText } from './surd-text.ts';

/** An exact point or displacement of the plane, x to the right, y upward. */
export interface Point {
  readonly x: Surd;
  readonly y: Surd;
}

export const ORIGIN: Point = { x: ZERO_SURD, y: ZERO_SURD };

/** The same text for points that are the same, and for no others. */
export function pointName({ x, y }: Point): string {
  return `${surdText(x)};${surdText(y)}`;
}

export function addPoints(a: Point, b: Point): Point {
  return { x: addSurds(a.x, b.x), y: addSurds(a.y, b.y) };
}

export function subtractPoints(a: Point, b: Point): Point {
  return { x: subtractSurds(a.x, b.x), y: subtractSurds(a.y, b.y) };
}

export function scalePoint({ x, y }: Point, by: Surd): Point {
  return { x: multiplySurds(x, by), y: multiplySurds(y, by) };
}

/** x₁y₂ − y₁x₂: twice the area of the triangle that two vectors span, above 0 when the second lies to the left. */
export function cross(a: Point, b: Point): Surd {
  return subtractSurds(multiplySurds(a.x, b.y), multiplySurds(a.y, b.x));
}

export function dot(a: Point, b: Point): Surd {
  return addSurds(multiplySurds(a.x, b.x), multiplySurds(a.y, b.y));
}

/** Directions that are a multiple of 15°: 24 of them. */
const DIRECTIONS = 24;

const QUARTER = rational(1, 4);

/** Cosines of 0°, 15°, … 90°: 1, (√6 + √2)/4, √3/2, √2/2, 1/2, (√6 − √2)/4, 0. */
const COSINES: readonly Surd[] = [
  ONE_SURD,
  addSurds(root(QUARTER, 6), root(QUARTER, 2)),
  root(rational(1, 2), 3),
  root(rational(1, 2), 2),
  surd(rational(1, 2)),
  subtractSurds(root(QUARTER, 6), root(QUARTER, 2)),
  ZERO_SURD,
];

/** Cosine of a number of steps of 15°. */
function cosine(steps: number): Surd {
  const turn = ((steps % DIRECTIONS) + DIRECTIONS) % DIRECTIONS;
  const half = turn > 12 ? DIRECTIONS - turn : turn;
  return half <= 6 ? COSINES[half]! : subtractSurds(ZERO_SURD, COSINES[12 - half]!);
}

/** The unit vector in a direction, in steps of 15° counterclockwise from the right. */
export function direction(steps: number): Point {
  return { x: cosine(steps), y: cosine(steps - 6) };
}

/** A vector turned by steps of 15°. */
export function turnPoint({ x, y }: Point, steps: number): Point {
  const c = cosine(steps);
  const s = cosine(steps - 6);
  return {
    x: subtractSurds(multiplySurds(x, c), multiplySurds(y, s)),
    y: addSurds(multiplySurds(x, s), multiplySurds(y, c)),
  };
}

/** The mean of some corners; it lies inside a convex polygon. */
export function middleOf(corners: readonly Point[]): Point {
  return scalePoint(corners.reduce(addPoints, ORIGIN), surd(rational(1, corners.length)));
}

/** Area of a polygon, above 0 when its corners run counterclockwise: the surveyor's formula, Σ x (next y − last y) / 2. */
export function areaOf(corners: readonly Point[]): Surd {
  let twice = ZERO_SURD;
  corners.forEach(({ x }, at) => {
    const next = corners[(at + 1) % corners.length]!;
    const last = corners.at(at - 1)!;
    twice = addSurds(twice, multiplySurds(x, subtractSurds(next.y, last.y)));
  });
  return scaleSurd(twice, HALF);
}

const HALF = rational(1, 2);

/** Where a point lies in steps of two vectors: p = u·a + v·b. */
export interface Steps {
  readonly u: Surd;
  readonly v: Surd;
}

/**
 * Tells where points lie in steps of two vectors; their inverse is worked out once.
 * @throws CoreError "number/zero-divisor" for parallel vectors
 */
export function coordinatesIn(a: Point, b: Point): (p: Point) => Steps {
  const whole = cross(a, b);
  const alongU = { x: divideSurds(b.y, whole), y: divideSurds(negateSurd(b.x), whole) };
  const alongV = { x: divideSurds(negateSurd(a.y), whole), y: divideSurds(a.x, whole) };
  return (p) => ({ u: dot(p, alongU), v: dot(p, alongV) });
}

/** The same of one point. */
export function coordinates(p: Point, a: Point, b: Point): Steps {
  return coordinatesIn(a, b)(p);
}
