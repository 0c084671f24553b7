import type { Shade } from '../colour/shade.ts';
import { multiply, rational } from '../exact/rational.ts';
import type { Rectangle, Vector } from '../exact/vector.ts';
import type { Cells } from '../thread/cells.ts';

/** Two exact vectors that carry a pattern onto itself. */
export type Lattice = readonly [Vector, Vector];

/** What a unit shows. More kinds come with tilings (Partition) and motifs (Stack). */
export type Content = Cells;

/**
 * A pattern, exact and endless. Lattice and repeat are measured in steps of the unit's own grid (threads for
 * cloth), `pitch` says how large one step is.
 */
export interface RepeatUnit {
  readonly lattice: Lattice;
  /** Smallest upright rectangle that repeats; null when the lattice has none. */
  readonly repeat: Rectangle | null;
  /** Millimetres of one step, across and up. */
  readonly pitch: Vector;
  /** What lies under everything; null is clear. */
  readonly ground: Shade | null;
  readonly content: Content;
}

/** True size of one repeat in millimetres, or null when there is none. */
export function repeatSize(unit: RepeatUnit): Rectangle | null {
  if (unit.repeat === null) return null;
  return {
    width: multiply(unit.repeat.width, unit.pitch.x),
    height: multiply(unit.repeat.height, unit.pitch.y),
  };
}

/** Cloth laid straight: the repeat is the grid of cells itself. */
export function straightUnit(content: Cells, pitch: Vector): RepeatUnit {
  const zero = rational(0);
  const repeat = { width: rational(content.width), height: rational(content.height) };
  const lattice: Lattice = [
    { x: repeat.width, y: zero },
    { x: zero, y: repeat.height },
  ];
  return { lattice, repeat, pitch, ground: null, content };
}
