/**
 * The smallest p that divides the length and carries the sequence onto itself: ABAB → 2, ABA → 3.
 * By the failure function of D. E. Knuth, J. H. Morris, V. R. Pratt, SIAM J. Comput. 6 (1977) 323–350.
 */
export function smallestPeriod(sequence: Uint16Array): number {
  const length = sequence.length;
  const border = new Uint32Array(length);
  for (let at = 1, matched = 0; at < length; at += 1) {
    while (matched > 0 && sequence[at] !== sequence[matched]) matched = border[matched - 1]!;
    if (sequence[at] === sequence[matched]) matched += 1;
    border[at] = matched;
  }
  const period = length - (border[length - 1] ?? 0);
  return length % period === 0 ? period : length;
}
