import type { Band } from './band.ts';

/**
 * Pseudo-random numbers below 2^32, the same for the same seed; 0 is a seed like any other.
 * Source: G. Marsaglia, Xorshift RNGs, Journal of Statistical Software 8 (14), 2003 (13, 17, 5).
 */
export function randomNumbers(seed: number): () => number {
  // A state of zero would stay zero: seeds are spread by the golden ratio's 32 bits, and zero stepped over.
  let state = (Math.imul(seed, 0x9e3779b1) ^ 0x6a09e667) >>> 0 || 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    state >>>= 0;
    return state;
  };
}

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
