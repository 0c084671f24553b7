import { gcd } from './rational.ts';

/** Least common multiple of two whole counts ≥ 1, as a safe integer. */
export function commonMultiple(a: number, b: number): number {
  return (a / Number(gcd(BigInt(a), BigInt(b)))) * b;
}
