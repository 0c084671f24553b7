import { randomNumbers } from '../exact/random-numbers.ts';
import type { Band } from './band.ts';

/** Counts of an irregular check: narrow lines beside broad grounds. */
const COUNTS = [2, 2, 3, 4, 4, 6, 8, 10, 14, 18, 24];

/**
 * Bands of irregular counts in irregular order, no two neighbours alike, the last and the first neither.
 * @param keys   at least three, so that a band can differ from both its neighbours
 */
export function irregularBands(seed: number, bands: number, keys: readonly string[]): readonly Band[] {
  const next = randomNumbers(seed);
  const made: Band[] = [];
  for (let index = 0; index < bands; index += 1) {
    const last = index === bands - 1 ? made[0]?.shade : undefined;
    const free = keys.filter((key) => key !== made.at(-1)?.shade && key !== last);
    const shade = free[next() % free.length]!;
    made.push({ shade, count: COUNTS[next() % COUNTS.length]! });
  }
  return made;
}
