import {
  cellArea,
  latticePoint,
  type PlaneLattice,
  reduce,
  reducedLattice,
  spanOf,
} from '../exact/lattice.ts';
import { addPoints, dot, middleOf, type Point, pointName, subtractPoints } from '../exact/plane.ts';
import { gcd, isWhole, rational } from '../exact/rational.ts';
import {
  addSurds,
  divideSurds,
  equalSurds,
  floorSurd,
  rationalOf,
  type Surd,
  scaleSurd,
  subtractSurds,
  surd,
  surdToNumber,
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

/** What carries a tiling onto itself. */
export interface PlaneSymmetry {
  readonly group: PlaneGroup;
  /** How often its least turn is done until it is none: 1, 2, 3, 4 or 6; 1 where there is no turn. */
  readonly order: number;
  /** Directions along which it is reflected, sliding or not. */
  readonly reflections: number;
  /** Area of its smallest cell. */
  readonly cell: Surd;
}

/**
 * The index of a subgroup: of how many symmetries one is kept, where the other tiling is this one with shades.
 */
export function keptOneOf(plain: PlaneSymmetry, coloured: PlaneSymmetry): number {
  const cells = Math.round(surdToNumber(divideSurds(coloured.cell, plain.cell)));
  const maps = ({ order, reflections }: PlaneSymmetry) => order * (reflections > 0 ? 2 : 1);
  return (maps(plain) / maps(coloured)) * cells;
}

/** Whole numbers: a linear map in steps of a lattice, by its two columns. */
type Linear = readonly [number, number, number, number];

/** A map of the plane onto itself that carries a tiling onto itself, in steps of its lattice. */
interface Carrying {
  readonly linear: Linear;
  /** In steps of the lattice, 0 ≤ x, y < 1. */
  readonly shift: Point;
}

/** Most faces of a cell whose symmetry is looked for. */
export const MOST_FACES = 80;

/**
 * The plane group of a tiling whose faces are of some kinds, and what it is made of.
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
export function planeSymmetry(
  tiling: Tiling,
  kindOf: (face: number) => string | number,
): PlaneSymmetry | undefined {
  if (tiling.faces.length > MOST_FACES) return undefined;
  const kinds = tiling.faces.map((corners, face) => `${corners.length} ${kindOf(face)}`);
  const reduced = { lattice: reducedLattice(tiling.lattice), faces: tiling.faces };
  const maps = mapsOf(reduced, kinds);
  const finer = maps.filter(({ linear }) => isIdentity(linear));
  if (finer.length === 1) return named(maps, reduced.lattice);
  // It repeats in less than the cell that was given: the smallest cell is looked at instead.
  const lattice = spanOf(
    reduced.lattice,
    finer.map(({ shift }) => [rationalOf(shift.x)!, rationalOf(shift.y)!] as const),
  );
  const seen = new Set<string>();
  const kept = reduced.faces.flatMap((corners, face) => {
    const name = pointName(inSteps(middleOf(corners), lattice));
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

/** Where a point lies in a cell, in steps of the lattice. */
function inSteps(point: Point, lattice: PlaneLattice): Point {
  const { u, v } = reduce(point, lattice);
  return { x: u, y: v };
}

/** A displacement in steps of a lattice. */
function stepsOf(displacement: Point, lattice: PlaneLattice): Point {
  const { u, v, i, j } = reduce(displacement, lattice);
  return { x: addSurds(u, surd(rational(i))), y: addSurds(v, surd(rational(j))) };
}

/** All maps, up to the lattice, that carry every face onto one of its kind. */
function mapsOf({ lattice, faces }: Tiling, kinds: readonly string[]): readonly Carrying[] {
  const middles = faces.map((corners) => inSteps(middleOf(corners), lattice));
  // A face is known by its middle; its kind and its corners, seen from there and in their order, have to be those of the
  // one that comes there. Compared within the cell and in no order, faces that lie otherwise may look alike.
  const outlines = faces.map((corners) => {
    const middle = middleOf(corners);
    return corners.map((corner) => stepsOf(subtractPoints(corner, middle), lattice));
  });
  const looks = new Map(
    middles.map((middle, face) => [pointName(middle), `${kinds[face]} ${roundName(outlines[face]!)}`]),
  );
  const rarest = rarestOf(kinds);
  const from = middles[kinds.indexOf(rarest)]!;
  return isometries(lattice).flatMap((linear) => {
    const turned = outlines.map((corners) => roundName(carried(linear, corners)));
    return middles.flatMap((to, face) => {
      if (kinds[face] !== rarest) return [];
      const shift = subtractPoints(to, applied(linear, from));
      const image = (place: Point) => folded(addPoints(applied(linear, place), shift));
      const fits = middles.every((middle, each) => {
        const there = looks.get(pointName(image(middle)));
        return there === `${kinds[each]} ${turned[each]}`;
      });
      return fits ? [{ linear, shift: folded(shift) }] : [];
    });
  });
}

/** Corners as a map without a shift carries them, counterclockwise again where it is a reflection. */
function carried(linear: Linear, corners: readonly Point[]): readonly Point[] {
  const image = corners.map((corner) => applied(linear, corner));
  const [a, b, c, d] = linear;
  return a * d - b * c === 1 ? image : image.reverse();
}

/** The same text for corners that follow each other the same way round, from whichever they begin. */
function roundName(corners: readonly Point[]): string {
  const names = corners.map(pointName);
  const round = names.map((_, at) => [...names.slice(at), ...names.slice(0, at)].join(' '));
  return round.sort()[0]!;
}

function rarestOf(kinds: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const kind of kinds) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts].reduce((best, each) => (each[1] < best[1] ? each : best))[0];
}

function applied([a, b, c, d]: Linear, { x, y }: Point): Point {
  return {
    x: addSurds(scaleSurd(x, rational(a)), scaleSurd(y, rational(c))),
    y: addSurds(scaleSurd(x, rational(b)), scaleSurd(y, rational(d))),
  };
}

function folded({ x, y }: Point): Point {
  const fold = (part: Surd) => subtractSurds(part, surd(rational(floorSurd(part))));
  return { x: fold(x), y: fold(y) };
}

/** Linear maps that keep a reduced lattice and all lengths; in such a one they have no entries but −1, 0 and 1. */
function isometries(lattice: PlaneLattice): readonly Linear[] {
  const [a, b] = lattice;
  const aa = dot(a, a);
  const ab = dot(a, b);
  const bb = dot(b, b);
  const few = [-1, 0, 1];
  const found: Linear[] = [];
  for (const m of few)
    for (const n of few)
      for (const p of few)
        for (const q of few) {
          if (Math.abs(m * q - n * p) !== 1) continue;
          const one = latticePoint(lattice, [m, n]);
          const other = latticePoint(lattice, [p, q]);
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
function named(maps: readonly Carrying[], lattice: PlaneLattice): PlaneSymmetry {
  const rotations = maps.filter(({ linear: [a, b, c, d] }) => a * d - b * c === 1);
  const order = Math.max(...rotations.map(({ linear: [a, , , d] }) => ORDERS[a + d]!));
  const turning = maps.filter(({ linear: [a, b, c, d] }) => a * d - b * c === -1).map(reflectionOf);
  const group = groupOf(order, turning, lattice);
  return { group, order, reflections: turning.length, cell: cellArea(lattice) };
}

function groupOf(order: number, turning: readonly Reflection[], lattice: PlaneLattice): PlaneGroup {
  const mirrors = turning.filter(({ mirror }) => mirror);
  const centred = turning.some((reflection) => reflection.centred);
  if (order === 6) return turning.length > 0 ? 'p6mm' : 'p6';
  if (order === 4) return turning.length === 0 ? 'p4' : mirrors.length === 4 ? 'p4mm' : 'p4gm';
  if (order === 3) {
    if (turning.length === 0) return 'p3';
    // A mirror along a shortest vector of the lattice leaves some threefold centres beside it.
    const axis = latticePoint(lattice, turning[0]!.axis);
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
  /** The smallest vector of the lattice along the axis, in its steps. */
  readonly axis: readonly [number, number];
}

/**
 * A reflection done twice moves by (M + 1)t along its axis: it is a mirror when some vector of the lattice, done twice
 * likewise, takes that back.
 */
function reflectionOf({ linear, shift }: Carrying): Reflection {
  const [a, b, c, d] = linear;
  // What the lattice's vectors come to, done twice: whole multiples of one along the axis.
  const columns = [[a + 1, b] as const, [c, d + 1] as const];
  const [i, j] = columns.find(([x, y]) => x !== 0 || y !== 0)!;
  const common = gcdOf(i, j);
  const axis = [i / common, j / common] as const;
  const level = axis[0] !== 0;
  const [one, other] = columns.map(([x, y]) => (level ? x / axis[0] : y / axis[1])) as [number, number];
  const step = gcdOf(one, other);
  const twice = addPoints(applied(linear, shift), shift);
  const steps = rationalOf(
    scaleSurd(level ? twice.x : twice.y, rational(1, step * (level ? axis[0] : axis[1]))),
  );
  return { mirror: steps !== undefined && isWhole(steps), centred: step === 1, axis };
}

function gcdOf(a: number, b: number): number {
  return Number(gcd(BigInt(a), BigInt(b)));
}
