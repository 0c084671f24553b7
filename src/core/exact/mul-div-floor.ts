/**
 * floor(a × b / c) for whole numbers, also where the product is beyond 2^53. Below it the division alone is right: the
 * quotient would have to lie nearer to a whole number than 1/c for rounding to reach it, and n × c < 2^53.
 */
export function mulDivFloor(a: number, b: number, c: number): number {
  const product = a * b;
  if (product < Number.MAX_SAFE_INTEGER && product > -Number.MAX_SAFE_INTEGER) return Math.floor(product / c);
  const top = BigInt(a) * BigInt(b);
  const bottom = BigInt(c);
  const quotient = top / bottom;
  return Number(top % bottom !== 0n && top < 0n !== bottom < 0n ? quotient - 1n : quotient);
}
