/** Largest integer whose square is not above `value`, by Newton's method from above. */
export function wholeRoot(value: bigint): bigint {
  if (value < 2n) return value;
  let guess = 1n << BigInt(Math.ceil(value.toString(2).length / 2));
  for (;;) {
    const next = (guess + value / guess) / 2n;
    if (next >= guess) return guess;
    guess = next;
  }
}
