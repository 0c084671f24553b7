import {
  addPoints,
  coordinates,
  coordinatesIn,
  cross,
  dot,
  type Point,
  scalePoint,
  subtractPoints,
} from './plane.ts';
import { gcd, type Rational, rational } from './rational.ts';
import {
  addSurds,
  compareSurds,
  divideSurds,
  floorSurd,
  negateSurd,
  rationalOf,
  roundSurd,
  type Surd,
  scaleSurd,
  signOf,
  subtractSurds,
  surd,
} from './surd.ts';
import { surdText } from './surd-text.ts';

/** Two vectors that carry a pattern onto itself, and with them all their whole combinations. */
export type PlaneLattice = readonly [Point, Point];

/** An upright rectangle. */
export interface Upright {
  readonly width: Surd;
  readonly height: Surd;
}

/**
 * The smallest upright rectangle that repeats. Along an axis lie points of a lattice exactly when the ratio of its
 * vectors' other coordinates is rational.
 *
 * @returns undefined where the lattice has none
 */
export function uprightRepeat([a, b]: PlaneLattice): Upright | undefined {
  const level = alongAxis(a.y, b.y);
  const upright = alongAxis(a.x, b.x);
  if (level === undefined || upright === undefined) return undefined;
  return { width: sized(combine(a.x, b.x, level)), height: sized(combine(a.y, b.y, upright)) };
}

/**
 * One point of a lattice for each of its cells in one of a lattice within it, as whole steps of its vectors, the origin
 * first.
 * @param most  cells; undefined is returned for more
 */
export function pointsIn(
  lattice: PlaneLattice,
  within: PlaneLattice,
  most: number,
): readonly (readonly [i: number, j: number])[] | undefined {
  const level = wholeSteps(within[0], lattice);
  const upright = wholeSteps(within[1], lattice);
  const cells = level[0] * upright[1] - level[1] * upright[0];
  const count = cells < 0n ? -cells : cells;
  // By their Hermite normal form: (p, 0) and (q, r) span the same as both, so 0 ≤ i < p and 0 ≤ j < r are all.
  const rows = gcd(level[1], upright[1]);
  if (count > BigInt(most)) return undefined;
  const columns = Number(count / rows);
  return Array.from({ length: Number(count) }, (_, at) => [at % columns, Math.floor(at / columns)] as const);
}

function wholeSteps(p: Point, [a, b]: PlaneLattice): readonly [bigint, bigint] {
  const { u, v } = coordinates(p, a, b);
  const i = rationalOf(u);
  const j = rationalOf(v);
  if (i?.d !== 1n || j?.d !== 1n)
    throw new Error(`expected a vector of the lattice, got ${surdText(p.x)}, ${surdText(p.y)}`);
  return [i.n, j.n];
}

/** The smallest whole combination whose other coordinate vanishes: m·s + n·t = 0. */
function alongAxis(s: Surd, t: Surd): readonly [bigint, bigint] | undefined {
  if (signOf(s) === 0) return [1n, 0n];
  if (signOf(t) === 0) return [0n, 1n];
  const ratio = rationalOf(divideSurds(t, s));
  return ratio === undefined ? undefined : [-ratio.n, ratio.d];
}

function combine(s: Surd, t: Surd, [m, n]: readonly [bigint, bigint]): Surd {
  return addSurds(scaleSurd(s, rational(m)), scaleSurd(t, rational(n)));
}

function sized(value: Surd): Surd {
  return signOf(value) < 0 ? negateSurd(value) : value;
}

/** A point in steps of a lattice, moved by whole ones so that 0 ≤ u, v < 1, and by how many it was moved. */
export interface Reduced {
  readonly u: Surd;
  readonly v: Surd;
  readonly i: bigint;
  readonly j: bigint;
}

/** Moves points by whole vectors of a lattice into one cell. */
export function reducerOf([a, b]: PlaneLattice): (p: Point) => Reduced {
  const stepsOf = coordinatesIn(a, b);
  return (p) => {
    const { u, v } = stepsOf(p);
    const i = floorSurd(u);
    const j = floorSurd(v);
    return { u: lessWhole(u, i), v: lessWhole(v, j), i, j };
  };
}

/** The same of one point. */
export function reduce(p: Point, lattice: PlaneLattice): Reduced {
  return reducerOf(lattice)(p);
}

function lessWhole(value: Surd, whole: bigint): Surd {
  return whole === 0n ? value : subtractSurds(value, surd(rational(whole)));
}

/** The point at whole steps of a lattice. */
export function latticePoint([a, b]: PlaneLattice, [i, j]: readonly [number, number]): Point {
  return addPoints(scalePoint(a, surd(i)), scalePoint(b, surd(j)));
}

/** Area of one cell of a lattice. */
export function cellArea([a, b]: PlaneLattice): Surd {
  return sized(cross(a, b));
}

/** The same lattice by its two shortest vectors (Lagrange, Gauss): none is made shorter by another. */
export function reducedLattice(lattice: PlaneLattice): PlaneLattice {
  let [a, b] = lattice;
  for (;;) {
    if (compareSurds(dot(b, b), dot(a, a)) < 0) [a, b] = [b, a];
    const times = roundSurd(divideSurds(dot(a, b), dot(a, a)));
    if (times === 0n) return [a, b];
    b = subtractPoints(b, scalePoint(a, surd(rational(times))));
  }
}

/** The lattice that vectors, in fractional steps of another, make up together with it. */
export function spanOf(
  lattice: PlaneLattice,
  vectors: readonly (readonly [Rational, Rational])[],
): PlaneLattice {
  const whole = vectors.flat().reduce((common, { d }) => (common * d) / gcd(common, d), 1n);
  const times = ({ n, d }: Rational) => n * (whole / d);
  let rows = [[whole, 0n], [0n, whole], ...vectors.map(([u, v]) => [times(u), times(v)])] as [
    bigint,
    bigint,
  ][];
  // Euclid on the second numbers until but one is left, then on the first of the others.
  for (;;) {
    const upright = rows.filter(([, j]) => j !== 0n).sort((p, q) => (size(p[1]) < size(q[1]) ? -1 : 1));
    const [least, ...others] = upright;
    if (others.length === 0) {
      const across = rows.filter(([, j]) => j === 0n).reduce((common, [i]) => gcd(common, i), 0n);
      const at = (i: bigint, j: bigint) =>
        addPoints(
          scalePoint(lattice[0], surd(rational(i, whole))),
          scalePoint(lattice[1], surd(rational(j, whole))),
        );
      return [at(across, 0n), at(least![0], least![1])];
    }
    const level = rows.filter(([, j]) => j === 0n);
    rows = [
      ...level,
      least!,
      ...others.map(([i, j]): [bigint, bigint] => [i - (j / least![1]) * least![0], j % least![1]]),
    ];
  }
}

function size(value: bigint): bigint {
  return value < 0n ? -value : value;
}
