import { gcd, type Rational, rational } from './rational.ts';

/** Least common multiple of two whole counts ≥ 1, as a safe integer. */
export function commonMultiple(a: number, b: number): number {
  return (a / Number(gcd(BigInt(a), BigInt(b)))) * b;
}

/** The least common multiple of two fractions above 0: of their tops, over the greatest common divisor of their bottoms. */
export function commonFraction(a: Rational, b: Rational): Rational {
  return rational((a.n * b.n) / gcd(a.n, b.n), gcd(a.d, b.d));
}
