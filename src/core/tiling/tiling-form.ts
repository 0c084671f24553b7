import type { PlaneLattice } from '../exact/lattice.ts';
import { addPoints, direction, ORIGIN, type Point, scalePoint, turnPoint } from '../exact/plane.ts';
import { negateSurd, ONE_SURD } from '../exact/surd.ts';

/**
 * A walk of sides, parted by blanks: a number is a side of length 1 in that direction, in steps of 15° counterclockwise
 * from the right; a letter is a side of the form's own, walked back with a minus before it. "" stays where it is.
 */
export type Walk = string;

/** A face: a regular polygon of side 1, or an outline of its own; both counterclockwise. */
export type FormFace =
  /** On the outer side of a side of the walk: of what lies to its left the neighbour to its right. */
  | { readonly at: Walk; readonly on: number; readonly sides: number }
  /** With its first corner at the end of a walk and its first side in a direction. */
  | { readonly at: Walk; readonly first: number; readonly sides: number }
  | { readonly at: Walk; readonly outline: Walk };

/** A tiling, as data: what carries it onto itself, and the faces of one cell. */
export interface TilingForm {
  readonly lattice: readonly [Walk, Walk];
  readonly faces: readonly FormFace[];
  /** Sides that are not of length 1 or not in steps of 15°. */
  readonly sides?: Readonly<Record<string, Point>>;
}

/** A tiling's faces as exact polygons, in no order but the form's. */
export interface Tiling {
  readonly lattice: PlaneLattice;
  readonly faces: readonly (readonly Point[])[];
}

/** Builds the faces of one cell. An unknown side is a fault of the form. */
export function buildTiling({ lattice, faces, sides = {} }: TilingForm): Tiling {
  const end = (walk: Walk) => stepsOf(walk, sides).reduce(addPoints, ORIGIN);
  return {
    lattice: [end(lattice[0]), end(lattice[1])],
    faces: faces.map((face) => corners(end(face.at), outlineOf(face, sides))),
  };
}

function outlineOf(face: FormFace, sides: Readonly<Record<string, Point>>): readonly Point[] {
  if ('outline' in face) return stepsOf(face.outline, sides);
  const turn = 24 / face.sides;
  const first = 'first' in face ? face.first : face.on + 12 + turn;
  return Array.from({ length: face.sides }, (_, side) => direction(first + side * turn));
}

/** The corners that a walk round a face comes by, from its first; the last side leads back to it. */
function corners(start: Point, outline: readonly Point[]): readonly Point[] {
  const points: Point[] = [start];
  for (const step of outline.slice(0, -1)) points.push(addPoints(points.at(-1)!, step));
  return points;
}

function stepsOf(walk: Walk, sides: Readonly<Record<string, Point>>): readonly Point[] {
  return walk.split(' ').flatMap((word) => {
    if (word === '') return [];
    if (/^\d+$/.test(word)) return [direction(Number(word))];
    const back = word.startsWith('-');
    const side = sides[back ? word.slice(1) : word];
    if (side === undefined) throw new Error(`expected a side, got ${word}`);
    return [back ? scalePoint(side, negateSurd(ONE_SURD)) : side];
  });
}

/** A tiling turned by steps of 15°. */
export function turnTiling({ lattice, faces }: Tiling, steps: number): Tiling {
  const turn = (point: Point) => turnPoint(point, steps);
  return { lattice: [turn(lattice[0]), turn(lattice[1])], faces: faces.map((face) => face.map(turn)) };
}
