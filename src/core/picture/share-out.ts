/**
 * Shares a whole total out in proportion to some lengths, each at least 1: largest remainders first, an earlier one
 * before a later, so that nothing of the total is lost.
 *
 * @param lengths  above zero, at least one
 * @param total    whole, at least as many as there are lengths; fewer are raised to that
 */
export function shareOut(lengths: readonly number[], total: number): readonly number[] {
  const all = lengths.reduce((sum, length) => sum + length, 0);
  const left = Math.max(0, total - lengths.length);
  const exact = lengths.map((length) => (length / all) * total);
  // One is given to each first; what an exact share has beyond that decides about the rest.
  const beyond = exact.map((share) => Math.max(0, share - 1));
  const sum = beyond.reduce((known, share) => known + share, 0);
  const wished = beyond.map((share) => (sum === 0 ? left / lengths.length : (share / sum) * left));
  const counts = wished.map((share) => Math.floor(share));
  const missing = left - counts.reduce((known, count) => known + count, 0);
  const order = wished
    .map((share, index) => ({ index, rest: share - counts[index]! }))
    .sort((a, b) => b.rest - a.rest || a.index - b.index);
  for (const { index } of order.slice(0, missing)) counts[index]! += 1;
  return counts.map((count) => count + 1);
}
