import { EdgeMix } from './edge-mix.ts';

/** The last column of an edge that does not go through the whole row, or not through all of it in the window. */
export const NO_COLUMN = 0x3fffffff;

const NO_MIX = new EdgeMix();
NO_MIX.back = -1;
NO_MIX.ahead = -1;

/**
 * An edge that goes through a row, linked to its neighbours on both sides. An object, as the compiler reads a whole number
 * of one in one step, and an element of a typed array in eight. All lengths are whole subpixels.
 */
export class ActiveEdge {
  next: ActiveEdge = this;
  before: ActiveEdge = this;
  /** Reach of the piece in this row. */
  left = 0;
  right = 0;
  /** The last column it touches, or NO_COLUMN. */
  last = 0;
  /** Where it crosses the bottom of the row, in the copy whose least x lies in the repeat; and the rest of that division. */
  x = 0;
  rest = 0;
  /** How far it goes in a row, by quotient and rest of 256 dx / dy. */
  step = 0;
  stepRest = 0;
  dx = 0;
  dy = 0;
  /** Its beginning, in the copy of x. */
  start = 0;
  top = 0;
  bottom = 0;
  mix = NO_MIX;
  /** Columns on its right in which the line holds its shade already, from the row before. */
  keptFrom = 0;
  keptTo = 0;
}

/** Puts an edge behind another. */
export function link(edge: ActiveEdge, behind: ActiveEdge): void {
  const { next } = behind;
  edge.before = behind;
  edge.next = next;
  behind.next = edge;
  next.before = edge;
}

export function unlink({ before, next }: ActiveEdge): void {
  before.next = next;
  next.before = before;
}

/** The last edge that does not begin right of `left`, looked for from one near it. @param tail  what stands after the last */
export function lastUpTo(left: number, near: ActiveEdge, tail: ActiveEdge): ActiveEdge {
  let edge = near;
  while (edge.left > left) edge = edge.before;
  while (edge.next !== tail && edge.next.left <= left) edge = edge.next;
  return edge;
}
