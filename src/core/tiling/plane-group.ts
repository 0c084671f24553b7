import { cellArea, latticePoint, type PlaneLattice } from '../exact/lattice.ts';
import { dot } from '../exact/plane.ts';
import { gcd } from '../exact/rational.ts';
import { equalSurds, type Surd } from '../exact/surd.ts';

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

/** What carries a pattern onto itself. */
export interface PlaneSymmetry {
  readonly group: PlaneGroup;
  /** How often its least turn is done until it is none: 1, 2, 3, 4 or 6; 1 where there is no turn. */
  readonly order: number;
  /** Directions along which it is reflected, sliding or not. */
  readonly reflections: number;
  /** Area of its smallest cell. */
  readonly cell: Surd;
}

/** Whole numbers: a linear map in steps of a lattice, by its two columns. */
export type Linear = readonly [number, number, number, number];

/** A map that carries a pattern onto itself. */
export interface GroupMap {
  readonly linear: Linear;
  /** Whether what it moves a place by when it is done twice is a whole number of so many steps, across or up the lattice. */
  readonly movesWhole: (along: 'x' | 'y', steps: number) => boolean;
}

/** Linear maps that keep a reduced lattice and all lengths; in such a one they have no entries but −1, 0 and 1. */
export function isometries(lattice: PlaneLattice): readonly Linear[] {
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

/** How often a rotation has to be done until it is none, by its trace. */
const ORDERS: Readonly<Record<number, number>> = { 2: 1, [-2]: 2, [-1]: 3, 0: 4, 1: 6 };

/**
 * The group of all maps that keep something as it is, those of its lattice counted as one. It follows from rotations,
 * from reflections that are mirrors, and from whether the lattice is centred for them.
 * Source: D. Schattschneider, The plane symmetry groups: their recognition and notation, Amer. Math. Monthly 85 (1978)
 * 439–450; from memory.
 *
 * @param lattice  the pattern's own, reduced
 */
export function nameGroup(maps: readonly GroupMap[], lattice: PlaneLattice): PlaneSymmetry {
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
function reflectionOf({ linear, movesWhole }: GroupMap): Reflection {
  const [a, b, c, d] = linear;
  // What the lattice's vectors come to, done twice: whole multiples of one along the axis.
  const columns = [[a + 1, b] as const, [c, d + 1] as const];
  const [i, j] = columns.find(([x, y]) => x !== 0 || y !== 0)!;
  const common = gcdOf(i, j);
  const axis = [i / common, j / common] as const;
  const level = axis[0] !== 0;
  const [one, other] = columns.map(([x, y]) => (level ? x / axis[0] : y / axis[1])) as [number, number];
  const step = gcdOf(one, other);
  const mirror = movesWhole(level ? 'x' : 'y', step * (level ? axis[0] : axis[1]));
  return { mirror, centred: step === 1, axis };
}

function gcdOf(a: number, b: number): number {
  return Number(gcd(BigInt(a), BigInt(b)));
}
