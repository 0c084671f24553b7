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
