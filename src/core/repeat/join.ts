import type { Place } from '../shape/places.ts';

/** Where something that changes along a design meets itself, and looks otherwise on either side. */
export interface Join {
  readonly what: 'fade' | 'picture';
  /** The ply that it is in, counted from 1; undefined where there are none. */
  readonly ply?: number;
  /** The largest difference across it, CIEDE2000, by itself: what lies over it or shows through aside. */
  readonly difference: number;
  /** Where that is, in millimetres from the lower left of its repeat. */
  readonly at: Place;
  /** Which way one goes to come over it. */
  readonly over: 'across' | 'up' | 'aslant';
}

/** What leaves no join that is seen: fades that end with the shade that they begin with, or all of it mirrored both ways. */
export type JoinsClosed = 'ended' | 'mirrored';

/** Joins of a design, and what leaves none of them. */
export interface JoinsFound {
  /** The largest first. */
  readonly joins: readonly Join[];
  readonly closed: readonly JoinsClosed[];
}
