import { type PlaneLattice, uprightRepeat } from '../exact/lattice.ts';
import type { Point } from '../exact/plane.ts';
import { add, multiply, type Rational, rational } from '../exact/rational.ts';
import { squareRoot } from '../exact/square-root.ts';
import {
  addSurds,
  divideSurds,
  multiplySurds,
  negateSurd,
  ONE_SURD,
  rationalOf,
  scaleSurd,
  surd,
  ZERO_SURD,
} from '../exact/surd.ts';
import type { Tiling } from './tiling-form.ts';

/** What a linear map makes of (1, 0) and of (0, 1). */
export type LinearMap = readonly [Point, Point];

export const UNCHANGED: LinearMap = [
  { x: ONE_SURD, y: ZERO_SURD },
  { x: ZERO_SURD, y: ONE_SURD },
];

/** The same tiling under a linear map that keeps left and right. */
export function mapTiling({ lattice, faces }: Tiling, [right, up]: LinearMap): Tiling {
  const map = ({ x, y }: Point): Point => ({
    x: addSurds(multiplySurds(x, right.x), multiplySurds(y, up.x)),
    y: addSurds(multiplySurds(x, right.y), multiplySurds(y, up.y)),
  });
  return { lattice: [map(lattice[0]), map(lattice[1])], faces: faces.map((face) => face.map(map)) };
}

/** Heights times a number. */
export function stretch(times: Rational): LinearMap {
  return [UNCHANGED[0], { x: ZERO_SURD, y: surd(times) }];
}

/**
 * Moves what lies one upright repeat higher by a part of the repeat's width, so that all repeats go on meeting.
 * @returns undefined where the lattice has no upright repeat
 */
export function shear(lattice: PlaneLattice, part: Rational): LinearMap | undefined {
  const repeat = uprightRepeat(lattice);
  if (repeat === undefined) return undefined;
  const lean = scaleSurd(divideSurds(repeat.width, repeat.height), part);
  return [UNCHANGED[0], { x: lean, y: ONE_SURD }];
}

/**
 * The turn that makes a diagonal level: so many upright repeats across, so many up. What is turned repeats upright
 * again when the square of the repeat's height to its width is a fraction: then the way across the diagonal holds whole
 * repeats too, and the diagonal's length, √(across² + up²·(height/width)²) widths, is a square root of a fraction.
 *
 * @param slope  up/across; 0 turns nothing
 * @returns      undefined where the lattice has no upright repeat, or none after the turn
 */
export function levelDiagonal(lattice: PlaneLattice, slope: Rational): LinearMap | undefined {
  if (slope.n === 0n) return UNCHANGED;
  const repeat = uprightRepeat(lattice);
  if (repeat === undefined) return undefined;
  const ratio = divideSurds(repeat.height, repeat.width);
  const square = rationalOf(multiplySurds(ratio, ratio));
  if (square === undefined) return undefined;
  const across = rational(slope.d);
  const up = rational(slope.n);
  const length = squareRoot(surd(add(multiply(across, across), multiply(multiply(up, up), square))));
  if (length === undefined) return undefined;
  const cosine = divideSurds(surd(across), length);
  const sine = divideSurds(scaleSurd(ratio, up), length);
  return [
    { x: cosine, y: negateSurd(sine) },
    { x: sine, y: cosine },
  ];
}
