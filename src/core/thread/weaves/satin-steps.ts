import { gcd } from '../../exact/rational.ts';

/**
 * The steps with which a satin of so many ends can be made: without a common divisor with it, and neither 1 nor one
 * less than it, which are twills.
 */
export function satinSteps(ends: number): readonly number[] {
  if (!(Number.isSafeInteger(ends) && ends >= 5)) return [];
  return Array.from({ length: ends - 3 }, (_, index) => index + 2).filter(
    (step) => gcd(BigInt(step), BigInt(ends)) === 1n,
  );
}
