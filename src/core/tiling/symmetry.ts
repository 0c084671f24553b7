import { type PlaneLattice, reduce, reducedLattice, spanOf } from '../exact/lattice.ts';
import { addPoints, middleOf, type Point, pointName, subtractPoints } from '../exact/plane.ts';
import { isWhole, rational } from '../exact/rational.ts';
import {
  addSurds,
  divideSurds,
  floorSurd,
  rationalOf,
  type Surd,
  scaleSurd,
  subtractSurds,
  surd,
  surdToNumber,
} from '../exact/surd.ts';
import { type GroupMap, isometries, type Linear, nameGroup, type PlaneSymmetry } from './plane-group.ts';
import type { Tiling } from './tiling-form.ts';

/**
 * The index of a subgroup: of how many symmetries one is kept, where the other tiling is this one with shades.
 */
export function keptOneOf(plain: PlaneSymmetry, coloured: PlaneSymmetry): number {
  const cells = Math.round(surdToNumber(divideSurds(coloured.cell, plain.cell)));
  const maps = ({ order, reflections }: PlaneSymmetry) => order * (reflections > 0 ? 2 : 1);
  return (maps(plain) / maps(coloured)) * cells;
}

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
 * each of its like.
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
  if (finer.length === 1) return nameGroup(maps.map(exactMap), reduced.lattice);
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
  const all = mapsOf(
    smallest,
    kept.map(({ kind }) => kind),
  );
  return nameGroup(all.map(exactMap), smallest.lattice);
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

function isIdentity([a, b, c, d]: Linear): boolean {
  return a === 1 && b === 0 && c === 0 && d === 1;
}

function exactMap({ linear, shift }: Carrying): GroupMap {
  const twice = addPoints(applied(linear, shift), shift);
  return {
    linear,
    movesWhole: (along, steps) => {
      const times = rationalOf(scaleSurd(twice[along], rational(1, steps)));
      return times !== undefined && isWhole(times);
    },
  };
}
