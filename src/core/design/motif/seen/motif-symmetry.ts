import { type PlaneLattice, reducedLattice, spanOf } from '../../../exact/lattice.ts';
import type { Point } from '../../../exact/plane.ts';
import { rational } from '../../../exact/rational.ts';
import { scaleSurd, surdToNumber } from '../../../exact/surd.ts';
import type { Marks, RepeatUnit } from '../../../repeat/repeat-unit.ts';
import type { Place } from '../../../shape/places.ts';
import {
  type GroupMap,
  isometries,
  type Linear,
  nameGroup,
  type PlaneSymmetry,
} from '../../../tiling/plane-group.ts';
import { anchorsOf, type ClothSight, sightOf } from './cloth-sight.ts';

/** Most places that one may be carried to. */
const MOST_ANCHORS = 200;

/** Most vectors of the declared lattice that a finer one may have between them. */
const MOST_FINER = 24;

/** What goes on may be carried to between two of its parts. */
const HALVES: readonly Place[] = [
  { x: 0, y: 0 },
  { x: 0.5, y: 0 },
  { x: 0, y: 0.5 },
  { x: 0.5, y: 0.5 },
];

/** Parts of a step of the lattice within which shifts are the same. */
const SAME = 1e-5;

/**
 * The plane group of a motif, found by looking at the cloth and not from how it is laid: each linear map that keeps the
 * lattice, moved so that a figure of the rarest kind comes to lie where another of its kind does, or half a step of the
 * lattice further, is tried on what is seen.
 * What is smaller than a ten-thousandth of a repeat is not told apart.
 *
 * @returns undefined where nothing lies on the ground, or too much to be looked at
 */
export function motifSymmetry(unit: RepeatUnit<Marks>): PlaneSymmetry | undefined {
  const declared = reducedLattice(latticeOf(unit));
  const anchors = anchorsOf(unit);
  if (anchors.length === 0 || anchors.length > MOST_ANCHORS) return undefined;
  const sight = sightOf(unit);
  if (sight === undefined) return undefined;
  const maps = mapsOf(declared, anchors, sight);
  const finer = maps.filter(({ linear }) => isStill(linear));
  if (finer.length === 1) return nameGroup(maps.map(groupMap), declared);
  if (finer.length > MOST_FINER) return undefined;
  // It repeats in less than the cell that was laid: the smallest cell is looked at instead.
  const count = finer.length;
  const parts = finer.map(({ shift }) => [nearest(shift.x, count), nearest(shift.y, count)] as const);
  const lattice = reducedLattice(spanOf(declared, parts));
  return nameGroup(mapsOf(lattice, anchors, sight).map(groupMap), lattice);
}

/** In millimetres. */
function latticeOf({ lattice, pitch }: RepeatUnit): PlaneLattice {
  const point = ({ x, y }: RepeatUnit['lattice'][0]): Point => ({
    x: scaleSurd(pitch.x, x),
    y: scaleSurd(pitch.y, y),
  });
  return [point(lattice[0]), point(lattice[1])];
}

/** So many translations in a cell lie at parts of as many. */
function nearest(part: number, count: number) {
  return rational(Math.round(part * count), count);
}

/** A map that carries the cloth onto itself, in steps of the lattice. */
interface Carrying {
  readonly linear: Linear;
  readonly shift: Place;
}

function mapsOf(lattice: PlaneLattice, anchors: readonly Place[], sight: ClothSight): readonly Carrying[] {
  const steps = stepsIn(lattice);
  const [first] = anchors;
  const from = steps.of(first!);
  return isometries(lattice).flatMap((linear) => {
    const turned = applied(linear, from);
    const shifts = anchors.flatMap((anchor) => {
      const to = steps.of(anchor);
      return HALVES.map((half) => ({
        x: fraction(to.x + half.x - turned.x),
        y: fraction(to.y + half.y - turned.y),
      }));
    });
    return onceEach(shifts).flatMap((shift) => {
      const map = (place: Place) => {
        const { x, y } = applied(linear, steps.of(place));
        return steps.at({ x: x + shift.x, y: y + shift.y });
      };
      return sight.isKeptBy(map) ? [{ linear, shift }] : [];
    });
  });
}

/** Millimetres as steps of a lattice, and back. */
function stepsIn([a, b]: PlaneLattice) {
  const [ax, ay] = [surdToNumber(a.x), surdToNumber(a.y)];
  const [bx, by] = [surdToNumber(b.x), surdToNumber(b.y)];
  const area = ax * by - ay * bx;
  return {
    of: ({ x, y }: Place): Place => ({ x: (x * by - y * bx) / area, y: (y * ax - x * ay) / area }),
    at: ({ x, y }: Place): Place => ({ x: x * ax + y * bx, y: x * ay + y * by }),
  };
}

function applied([a, b, c, d]: Linear, { x, y }: Place): Place {
  return { x: a * x + c * y, y: b * x + d * y };
}

/** 0 … 1; what is nearly whole is 0. */
function fraction(value: number): number {
  const rest = value - Math.floor(value);
  return rest > 1 - SAME || rest < SAME ? 0 : rest;
}

function onceEach(shifts: readonly Place[]): readonly Place[] {
  const near = ({ x, y }: Place) => `${Math.round(x / SAME / 4)} ${Math.round(y / SAME / 4)}`;
  return [...new Map(shifts.map((shift) => [near(shift), shift])).values()];
}

function isStill([a, b, c, d]: Linear): boolean {
  return a === 1 && b === 0 && c === 0 && d === 1;
}

function groupMap({ linear, shift }: Carrying): GroupMap {
  const once = applied(linear, shift);
  const twice = { x: once.x + shift.x, y: once.y + shift.y };
  return {
    linear,
    movesWhole: (along, steps) => {
      const times = twice[along] / steps;
      return Math.abs(times - Math.round(times)) < 10 * SAME;
    },
  };
}
