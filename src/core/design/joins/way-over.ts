import type { Join } from '../../repeat/join.ts';
import type { Place } from '../../shape/places.ts';

/** Differences that are smaller are not seen: 1 is about what can just be told apart (common practice). */
export const LEAST_SEEN = 1;

/** Parts of a way that may lie aside of a level or upright one. */
const ASIDE = 0.02;

/** Which way leads over an edge. @param way  square on it */
export function wayOver({ x, y }: Place): Join['over'] {
  const length = Math.hypot(x, y);
  if (Math.abs(y) <= ASIDE * length) return 'across';
  return Math.abs(x) <= ASIDE * length ? 'up' : 'aslant';
}
