import { latticePoint, type PlaneLattice, reduce, reducedLattice, spanOf } from '../exact/lattice.ts';
import { addPoints, dot, ORIGIN, type Point, scalePoint } from '../exact/plane.ts';
import { isWhole, type Rational, rational } from '../exact/rational.ts';
import {
  addSurds,
  equalSurds,
  floorSurd,
  rationalOf,
  type Surd,
  scaleSurd,
  subtractSurds,
  surd,
  surdText,
} from '../exact/surd.ts';
import type { Tiling } from './tiling-form.ts';

/** The seventeen plane groups, by their names in International Tables for Crystallography, vol. A. */
export type PlaneGroup =
  | 'p1'
  | 'p2'
  | 'pm'
  | 'pg'
  | 'cm'
  | 'p2mm'
  | 'p2mg'
  | 'p2gg'
  | 'c2mm'
  | 'p4'
  | 'p4mm'
  | 'p4gm'
  | 'p3'
  | 'p3m1'
  | 'p31m'
  | 'p6'
  | 'p6mm';

/** Whole numbers: a linear map in steps of a lattice, by its two columns. */
type Linear = readonly [number, number, number, number];

/** A map of the plane onto itself that carries a tiling onto itself, in steps of its lattice. */
interface Carrying {
  readonly linear: Linear;
  readonly shift: readonly [Surd, Surd];
}

/** Most faces of a cell whose symmetry is looked for. */
export const MOST_FACES = 80;

/**
 * The plane group of a tiling whose faces are of some kinds.
 *
 * The maps are found by trying: each linear map that keeps the lattice, moved so that a face of the rarest kind lies on
 * each of its like. The group follows from rotations, from reflections that are mirrors, and from whether the lattice is
 * centred for them.
 * Source: D. Schattschneider, The plane symmetry groups: their recognition and notation, Amer. Math. Monthly 85 (1978)
 * 439–450; from memory.
 *
 * @param kindOf  what has to be alike of faces besides their corners, such as a shade
 * @returns       undefined where a cell has more than `MOST_FACES` faces
 */
export function planeGroup(
  tiling: Tiling,
  kindOf: (face: number) => string | number,
): PlaneGroup | undefined {
  if (tiling.faces.length > MOST_FACES) return undefined;
  const kinds = tiling.faces.map((corners, face) => `${corners.length} ${kindOf(face)}`);
  const reduced = { lattice: reducedLattice(tiling.lattice), faces: tiling.faces };
  const maps = mapsOf(reduced, kinds);
  const finer = maps.filter(({ linear }) => isIdentity(linear));
  if (finer.length === 1) return named(maps, reduced.lattice);
  // It repeats in less than the cell that was given: the smallest cell is looked at instead.
  const lattice = spanOf(
    reduced.lattice,
    finer.map(({ shift }) => shift.map((part) => rationalOf(part)!) as [Rational, Rational]),
  );
  const seen = new Set<string>();
  const kept = reduced.faces.flatMap((corners, face) => {
    const name = placeName(middleOf(corners), lattice);
    if (seen.has(name)) return [];
    seen.add(name);
    return [{ corners, kind: kinds[face]! }];
  });
  const smallest = { lattice: reducedLattice(lattice), faces: kept.map(({ corners }) => corners) };
  return named(
    mapsOf(
      smallest,
      kept.map(({ kind }) => kind),
    ),
    smallest.lattice,
  );
}

function middleOf(corners: readonly Point[]): Point {
  return scalePoint(corners.reduce(addPoints, ORIGIN), surd(rational(1, corners.length)));
}

function placeName(point: Point, lattice: PlaneLattice): string {
  const { u, v } = reduce(point, lattice);
  return `${surdText(u)};${surdText(v)}`;
}

/** All maps, up to the lattice, that carry faces onto faces of their kind and corners onto corners. */
function mapsOf({ lattice, faces }: Tiling, kinds: readonly string[]): readonly Carrying[] {
  const within = (point: Point) => {
    const { u, v } = reduce(point, lattice);
    return [u, v] as const;
  };
  const middles = faces.map((corners) => within(middleOf(corners)));
  const known = new Map(middles.map((middle, face) => [nameOf(middle), kinds[face]!]));
  const corners = [
    ...new Map(
      faces.flat().map((corner) => {
        const at = within(corner);
        return [nameOf(at), at] as const;
      }),
    ).values(),
  ];
  const places = new Set(corners.map(nameOf));
  const rarest = rarestOf(kinds);
  const from = middles[kinds.indexOf(rarest)]!;
  return isometries(lattice).flatMap((linear) =>
    middles.flatMap((to, face) => {
      if (kinds[face] !== rarest) return [];
      const shift = minus(to, applied(linear, from));
      const image = (place: readonly [Surd, Surd]) => nameOf(folded(plus(applied(linear, place), shift)));
      const fits =
        middles.every((middle, each) => known.get(image(middle)) === kinds[each]) &&
        corners.every((corner) => places.has(image(corner)));
      return fits ? [{ linear, shift: folded(shift) }] : [];
    }),
  );
}

function rarestOf(kinds: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const kind of kinds) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts].reduce((best, each) => (each[1] < best[1] ? each : best))[0];
}

function nameOf([u, v]: readonly [Surd, Surd]): string {
  return `${surdText(u)};${surdText(v)}`;
}

function applied([a, b, c, d]: Linear, [u, v]: readonly [Surd, Surd]): readonly [Surd, Surd] {
  return [
    addSurds(scaleSurd(u, rational(a)), scaleSurd(v, rational(c))),
    addSurds(scaleSurd(u, rational(b)), scaleSurd(v, rational(d))),
  ];
}

function plus(a: readonly [Surd, Surd], b: readonly [Surd, Surd]): readonly [Surd, Surd] {
  return [addSurds(a[0], b[0]), addSurds(a[1], b[1])];
}

function minus(a: readonly [Surd, Surd], b: readonly [Surd, Surd]): readonly [Surd, Surd] {
  return [subtractSurds(a[0], b[0]), subtractSurds(a[1], b[1])];
}

function folded([u, v]: readonly [Surd, Surd]): readonly [Surd, Surd] {
  const fold = (part: Surd) => subtractSurds(part, surd(rational(floorSurd(part))));
  return [fold(u), fold(v)];
}

/** Linear maps that keep a reduced lattice and all lengths; in such a one they have no entries but −1, 0 and 1. */
function isometries(lattice: PlaneLattice): readonly Linear[] {
  const [a, b] = lattice;
  const [aa, ab, bb] = [dot(a, a), dot(a, b), dot(b, b)];
  const few = [-1, 0, 1];
  const found: Linear[] = [];
  for (const m of few)
    for (const n of few)
      for (const p of few)
        for (const q of few) {
          if (Math.abs(m * q - n * p) !== 1) continue;
          const [one, other] = [latticePoint(lattice, [m, n]), latticePoint(lattice, [p, q])];
          const keeps =
            equalSurds(dot(one, one), aa) &&
            equalSurds(dot(one, other), ab) &&
            equalSurds(dot(other, other), bb);
          if (keeps) found.push([m, n, p, q]);
        }
  return found;
}

function isIdentity([a, b, c, d]: Linear): boolean {
  return a === 1 && b === 0 && c === 0 && d === 1;
}

/** How often a rotation has to be done until it is none, by its trace. */
const ORDERS: Readonly<Record<number, number>> = { 2: 1, [-2]: 2, [-1]: 3, 0: 4, 1: 6 };

/** The group that maps make up, of which those of the lattice alone are but one. */
function named(maps: readonly Carrying[], lattice: PlaneLattice): PlaneGroup {
  const rotations = maps.filter(({ linear: [a, b, c, d] }) => a * d - b * c === 1);
  const order = Math.max(...rotations.map(({ linear: [a, , , d] }) => ORDERS[a + d]!));
  const turning = maps.filter(({ linear: [a, b, c, d] }) => a * d - b * c === -1).map(reflectionOf);
  const mirrors = turning.filter(({ mirror }) => mirror);
  const centred = turning.some((reflection) => reflection.centred);
  if (order === 6) return turning.length > 0 ? 'p6mm' : 'p6';
  if (order === 4) return turning.length === 0 ? 'p4' : mirrors.length === 4 ? 'p4mm' : 'p4gm';
  if (order === 3) {
    if (turning.length === 0) return 'p3';
    // A mirror along a shortest vector of the lattice leaves some threefold centres beside it.
    const [axis] = turning[0]!.along(lattice);
    return equalSurds(dot(axis, axis), dot(lattice[0], lattice[0])) ? 'p31m' : 'p3m1';
  }
  if (order === 2) {
    if (turning.length === 0) return 'p2';
    if (centred) return 'c2mm';
    return mirrors.length === 2 ? 'p2mm' : mirrors.length === 1 ? 'p2mg' : 'p2gg';
  }
  if (turning.length === 0) return 'p1';
  if (centred) return 'cm';
  return mirrors.length > 0 ? 'pm' : 'pg';
}

interface Reflection {
  /** Whether some reflection with this linear part moves nothing along its axis. */
  readonly mirror: boolean;
  /** Whether the lattice has points between those on the axis and beside it. */
  readonly centred: boolean;
  /** The smallest vector of a lattice along the axis. */
  readonly along: (lattice: PlaneLattice) => readonly [Point];
}

/**
 * A reflection done twice moves by (M + 1)t along its axis: it is a mirror when some vector of the lattice, done twice
 * likewise, takes that back.
 */
function reflectionOf({ linear: [a, b, c, d], shift }: Carrying): Reflection {
  const columns = [[a + 1, b] as const, [c, d + 1] as const];
  const [x, y] = columns.find(([i, j]) => i !== 0 || j !== 0)!;
  const common = gcdOf(x, y);
  const axis = [x / common, y / common] as const;
  const times = columns.map(([i, j]) => (axis[0] === 0 ? j / axis[1] : i / axis[0]));
  const step = gcdOf(times[0]!, times[1]!);
  const twice = [
    addSurds(applied([a, b, c, d], shift)[0], shift[0]),
    addSurds(applied([a, b, c, d], shift)[1], shift[1]),
  ] as const;
  const along =
    axis[0] === 0 ? scaleSurd(twice[1], rational(1, axis[1])) : scaleSurd(twice[0], rational(1, axis[0]));
  const steps = rationalOf(scaleSurd(along, rational(1, step)));
  return {
    mirror: steps !== undefined && isWhole(steps),
    centred: step === 1,
    along: (lattice) => [latticePoint(lattice, axis)],
  };
}

function gcdOf(a: number, b: number): number {
  let [x, y] = [Math.abs(a), Math.abs(b)];
  while (y !== 0) [x, y] = [y, x % y];
  return x;
}
