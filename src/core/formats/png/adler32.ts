/** Largest prime below 2^16. Source: RFC 1950, §8.2. */
const PRIME = 65521;

/** Bytes that can be summed before the sums pass 2^32 (as zlib counts them: NMAX). */
const RUN = 5552;

/** Adler-32 of some bytes, going on from that of the bytes before. Source: RFC 1950, §8.2. */
export function adler32(bytes: Uint8Array, before = 1): number {
  let low = before & 0xffff;
  let high = before >>> 16;
  for (let from = 0; from < bytes.length; from += RUN) {
    const end = Math.min(bytes.length, from + RUN);
    for (let at = from; at < end; at += 1) {
      low += bytes[at]!;
      high += low;
    }
    low %= PRIME;
    high %= PRIME;
  }
  return ((high << 16) | low) >>> 0;
}

/**
 * Adler-32 of two runs of bytes joined, from that of each.
 * The second's sums start from the first's low sum instead of 1, for each of its `length` bytes.
 */
export function joinAdler32(first: number, second: number, length: number): number {
  const carried = (first & 0xffff) - 1;
  const low = ((first & 0xffff) + (second & 0xffff) - 1 + PRIME) % PRIME;
  const high = ((first >>> 16) + (second >>> 16) + (length % PRIME) * (carried + PRIME)) % PRIME;
  return ((high << 16) | low) >>> 0;
}

/** Adler-32 of the same bytes so many times, from that of them once. @param length  bytes of them once */
export function repeatAdler32(once: number, length: number, times: number): number {
  let total = 1;
  let doubled = once;
  let size = length;
  for (let left = times; left > 0; left = Math.floor(left / 2)) {
    if (left % 2 === 1) total = joinAdler32(total, doubled, size);
    doubled = joinAdler32(doubled, doubled, size);
    size *= 2;
  }
  return total;
}
