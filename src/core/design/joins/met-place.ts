import type { Join } from '../../repeat/join.ts';
import type { Place } from '../../shape/places.ts';

/** A place at which something meets itself, and looks otherwise on either side. */
export interface MetPlace extends Join {
  /** What tells it from others: the same fade or picture. */
  readonly of: string;
}

/** The largest one of each fade or picture, by the way over it; the largest first. */
export function largestOf(places: readonly MetPlace[]): readonly Join[] {
  const largest = new Map<string, MetPlace>();
  for (const place of places) {
    const name = `${place.ply} ${place.of} ${place.over}`;
    const known = largest.get(name);
    if (known === undefined || place.difference > known.difference) largest.set(name, place);
  }
  return [...largest.values()]
    .map(({ of: _, ...join }) => join)
    .sort((one, other) => other.difference - one.difference);
}

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
