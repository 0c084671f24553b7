import { latticePoint, type PlaneLattice } from '../../exact/lattice.ts';
import type { Point } from '../../exact/plane.ts';
import { surdToNumber } from '../../exact/surd.ts';
import type { Motion } from '../../shape/contour.ts';
import type { Place } from '../../shape/places.ts';
import type { Turn } from './exact-turn.ts';

/** What of an old repeat is turned into a new one. */
export interface TurnRoom {
  readonly turn: Turn;
  /** The repeat's two sides, turned, in millimetres. */
  readonly lattice: PlaneLattice;
  /** Which of its steps lie in the new repeat. */
  readonly steps: readonly (readonly [number, number])[];
  /** Millimetres of the repeat, and of the new one. */
  readonly pitch: Place;
  readonly repeat: Place;
  /** A point in repeats, turned and moved by millimetres, in new repeats. */
  readonly map: (point: Point, shift: Point) => Point;
}

/** The old repeats of the new one: how each is moved, exactly and in doubles. */
export function motionsOf({ turn, lattice, steps }: TurnRoom) {
  const a = surdToNumber(turn.cosine);
  const b = surdToNumber(turn.sine);
  return steps.map((step) => {
    const shift = latticePoint(lattice, step);
    const motion: Motion = { a, b, mirrored: false, dx: surdToNumber(shift.x), dy: surdToNumber(shift.y) };
    return { step, shift, motion };
  });
}

export type TurnedPlace = ReturnType<typeof motionsOf>[number];
