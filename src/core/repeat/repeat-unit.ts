import type { Shade } from '../colour/shade.ts';
import { rational } from '../exact/rational.ts';
import { nearFraction, root, type Surd, scaleSurd } from '../exact/surd.ts';
import type { Rectangle, Vector } from '../exact/vector.ts';
import type { Cells } from '../thread/cells.ts';
import type { Partition } from '../tiling/partition.ts';
import type { Stack } from '../tiling/stack.ts';

/** Two exact vectors that carry a pattern onto itself. */
export type Lattice = readonly [Vector, Vector];

/** What a unit shows. */
export type Content = Cells | Partition | Stack;

/** The faces that cover everything, where there are any. */
export function facesOf(content: Partition | Stack): Partition {
  return content.kind === 'stack' ? content.base : content;
}

/** A size in millimetres, exact though it may be irrational. */
export interface TrueSize {
  readonly width: Surd;
  readonly height: Surd;
}

/**
 * A pattern, exact and endless. Lattice and repeat are measured in steps of the unit's own grid (threads for
 * cloth, repeats for a partition), `pitch` says how large one step is.
 */
export interface RepeatUnit<C extends Content = Content> {
  readonly lattice: Lattice;
  /** Smallest upright rectangle that repeats; null when the lattice has none. */
  readonly repeat: Rectangle | null;
  /** Millimetres of one step, across and up. */
  readonly pitch: { readonly x: Surd; readonly y: Surd };
  /** What lies under everything; null is clear. */
  readonly ground: Shade | null;
  readonly content: C;
}

/** True size of one repeat, or null when there is none. */
export function repeatSize(unit: RepeatUnit): TrueSize | null {
  if (unit.repeat === null) return null;
  return {
    width: scaleSurd(unit.pitch.x, unit.repeat.width),
    height: scaleSurd(unit.pitch.y, unit.repeat.height),
  };
}

/** A true size in fractions, for counting pixels: exact where it is rational. */
export function nearSize({ width, height }: TrueSize): Rectangle {
  return { width: nearFraction(width), height: nearFraction(height) };
}

/** Cloth laid straight: the repeat is the grid of cells itself. */
export function straightUnit(content: Cells, pitch: Vector): RepeatUnit<Cells> {
  const zero = rational(0);
  const repeat = { width: rational(content.width), height: rational(content.height) };
  const lattice: Lattice = [
    { x: repeat.width, y: zero },
    { x: zero, y: repeat.height },
  ];
  return { lattice, repeat, pitch: { x: root(pitch.x), y: root(pitch.y) }, ground: null, content };
}
