import { addPoints, coordinates, cross, type Point, scalePoint } from './plane.ts';
import { gcd, type Rational } from './rational.ts';
import {
  divideSurds,
  floorSurd,
  negateSurd,
  rationalOf,
  type Surd,
  signOf,
  subtractSurds,
  surd,
} from './surd.ts';

/** Two vectors that carry a pattern onto itself, and with them all their whole combinations. */
export type PlaneLattice = readonly [Point, Point];

/** The smallest upright rectangle that repeats, and how the lattice lies in it. */
export interface UprightRepeat {
  readonly width: Surd;
  readonly height: Surd;
  /** The lattice's points in one rectangle, the origin first, as whole combinations of its vectors. */
  readonly points: readonly (readonly [i: number, j: number])[];
}

/** Most cells of a lattice in one upright rectangle. */
export const MAX_CELLS = 10_000;

/**
 * The smallest upright rectangle that repeats. Along an axis lie points of a lattice exactly when the ratio of its
 * vectors' other coordinates is rational.
 *
 * @returns undefined where the lattice has none, or one of more than `MAX_CELLS` cells
 */
export function uprightRepeat([a, b]: PlaneLattice): UprightRepeat | undefined {
  const level = alongAxis(a.y, b.y);
  const upright = alongAxis(a.x, b.x);
  if (level === undefined || upright === undefined) return undefined;
  const width = combine(a.x, b.x, level);
  const height = combine(a.y, b.y, upright);
  const cells = level[0] * upright[1] - level[1] * upright[0];
  const count = cells < 0n ? -cells : cells;
  if (count > BigInt(MAX_CELLS)) return undefined;
  return {
    width: sized(width),
    height: sized(height),
    points: cosets(level, upright, Number(count)),
  };
}

/** The smallest whole combination whose other coordinate vanishes: m·s + n·t = 0. */
function alongAxis(s: Surd, t: Surd): readonly [bigint, bigint] | undefined {
  if (signOf(s) === 0) return [1n, 0n];
  if (signOf(t) === 0) return [0n, 1n];
  const ratio = rationalOf(divideSurds(t, s));
  return ratio === undefined ? undefined : [-ratio.n, ratio.d];
}

function combine(s: Surd, t: Surd, [m, n]: readonly [bigint, bigint]): Surd {
  return subtractSurds(timesWhole(s, m), timesWhole(t, -n));
}

function timesWhole(value: Surd, whole: bigint): Surd {
  return {
    terms:
      whole === 0n
        ? []
        : value.terms.map(({ coefficient, radicand }) => ({
            coefficient: reduced(coefficient, whole),
            radicand,
          })),
  };
}

function reduced({ n, d }: Rational, whole: bigint): Rational {
  const common = gcd(d, whole);
  return { n: n * (whole / common), d: d / common };
}

function sized(value: Surd): Surd {
  return signOf(value) < 0 ? negateSurd(value) : value;
}

/**
 * One point of each class of whole pairs modulo two of them, by their Hermite normal form: (p, 0) and (q, r) span the
 * same, so 0 ≤ i < p, 0 ≤ j < r are all.
 */
function cosets(
  [, n1]: readonly [bigint, bigint],
  [, n2]: readonly [bigint, bigint],
  count: number,
): readonly (readonly [number, number])[] {
  const rows = Number(gcd(n1, n2));
  const columns = count / rows;
  return Array.from({ length: count }, (_, at) => [at % columns, Math.floor(at / columns)] as const);
}

/** A point moved by whole vectors of a lattice so that 0 ≤ u, v < 1, and by how many it was moved. */
export function reduce(p: Point, [a, b]: PlaneLattice): { u: Surd; v: Surd; i: bigint; j: bigint } {
  const { u, v } = coordinates(p, a, b);
  const [i, j] = [floorSurd(u), floorSurd(v)];
  return { u: lessWhole(u, i), v: lessWhole(v, j), i, j };
}

function lessWhole(value: Surd, whole: bigint): Surd {
  return whole === 0n ? value : subtractSurds(value, surd({ n: whole, d: 1n }));
}

/** The point at whole steps of a lattice. */
export function latticePoint([a, b]: PlaneLattice, [i, j]: readonly [number, number]): Point {
  return addPoints(scalePoint(a, surd(i)), scalePoint(b, surd(j)));
}

/** Area of one cell of a lattice. */
export function cellArea([a, b]: PlaneLattice): Surd {
  return sized(cross(a, b));
}
