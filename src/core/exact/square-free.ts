/** A natural number as outside² × inside, no square being left inside. */
export function squareFree(radicand: number): { readonly outside: number; readonly inside: number } {
  if (!(Number.isSafeInteger(radicand) && radicand >= 1)) {
    throw new Error(`expected a natural number, got ${radicand}`);
  }
  let left = radicand;
  let outside = 1;
  let inside = 1;
  for (let factor = 2; factor ** 3 <= left; factor += 1) {
    for (; left % (factor * factor) === 0; outside *= factor) left /= factor * factor;
    if (left % factor === 0) {
      left /= factor;
      inside *= factor;
    }
  }
  // What is left has at most two prime factors: it is a square, or has none in it.
  const side = Math.round(Math.sqrt(left));
  if (side * side === left) outside *= side;
  else inside *= left;
  return { outside, inside };
}
