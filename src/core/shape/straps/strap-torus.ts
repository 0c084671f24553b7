import type { PlaneLattice } from '../../exact/lattice.ts';
import { surdToNumber } from '../../exact/surd.ts';
import type { Place } from '../places.ts';

/** So many vectors of a lattice. */
export type Step = readonly [i: number, j: number];

export const NO_STEP: Step = [0, 0];

/** Millimetres within which two places are one. Straight lines are judged exactly where doubles come so near. */
export const SAME_PLACE = 1e-6;

/** One cell of a lattice, whose opposite sides are one: exact, and its two vectors in millimetres. */
export interface StrapTorus {
  readonly lattice: PlaneLattice;
  readonly a: Place;
  readonly b: Place;
}

export function torusOf(lattice: PlaneLattice): StrapTorus {
  const [a, b] = lattice.map(({ x, y }) => ({ x: surdToNumber(x), y: surdToNumber(y) })) as [Place, Place];
  return { lattice, a, b };
}

/** Where a place lies, in vectors of the lattice. */
export function inSteps({ a, b }: StrapTorus, { x, y }: Place): Place {
  const area = a.x * b.y - a.y * b.x;
  return { x: (x * b.y - y * b.x) / area, y: (y * a.x - x * a.y) / area };
}

export function stepped({ a, b }: StrapTorus, { x, y }: Place, [i, j]: Step): Place {
  return { x: x + i * a.x + j * b.x, y: y + i * a.y + j * b.y };
}

export function addSteps([a, b]: Step, [i, j]: Step): Step {
  return [a + i, b + j];
}

export function lessSteps([a, b]: Step, [i, j]: Step): Step {
  return [a - i, b - j];
}

/** A place as it was first met, and by how many vectors another of its kind lies beyond it. */
export interface KnownPlace {
  readonly index: number;
  readonly step: Step;
}

/** Places on the torus, told apart by more than `SAME_PLACE`. */
export class TorusPlaces {
  readonly places: Place[] = [];
  readonly #torus: StrapTorus;
  readonly #buckets = new Map<string, number[]>();

  constructor(torus: StrapTorus) {
    this.#torus = torus;
  }

  /** The number of a place, which is kept where it is new. */
  at(place: Place): KnownPlace {
    const { x, y } = inSteps(this.#torus, place);
    const column = Math.floor((x - Math.floor(x)) * BUCKETS);
    const row = Math.floor((y - Math.floor(y)) * BUCKETS);
    for (const [i, j] of AROUND) {
      const bucket = this.#buckets.get(`${wrapped(column + i)} ${wrapped(row + j)}`) ?? [];
      for (const index of bucket) {
        const step = this.#stepTo(this.places[index]!, place);
        if (step !== undefined) return { index, step };
      }
    }
    const index = this.places.length;
    this.places.push(place);
    const name = `${wrapped(column)} ${wrapped(row)}`;
    this.#buckets.set(name, [...(this.#buckets.get(name) ?? []), index]);
    return { index, step: NO_STEP };
  }

  #stepTo(from: Place, to: Place): Step | undefined {
    const { x, y } = inSteps(this.#torus, { x: to.x - from.x, y: to.y - from.y });
    const step = [Math.round(x) + 0, Math.round(y) + 0] as const;
    const back = stepped(this.#torus, from, step);
    return Math.hypot(to.x - back.x, to.y - back.y) <= SAME_PLACE ? step : undefined;
  }
}

/** Buckets along each side of a cell; places of different ones are far apart but for neighbours. */
const BUCKETS = 512;

const AROUND = [-1, 0, 1].flatMap((i) => [-1, 0, 1].map((j) => [i, j] as const));

function wrapped(bucket: number): number {
  return (bucket + BUCKETS) % BUCKETS;
}
