import { CoreError } from '../error.ts';
import { parseExact } from './parse-exact.ts';
import type { Rational } from './rational.ts';

/** Largest angle either way, in degrees; lines at 90 and at −90 are the same. */
const MAX_DEGREES = 90;

/**
 * Reads an angle in degrees, such as "35" or "45/2".
 * @throws CoreError as `parseExact`, "slope/degrees" {text, most} beyond a right angle
 */
export function readDegrees(text: string): Rational {
  const degrees = parseExact(text);
  const most = BigInt(MAX_DEGREES) * degrees.d;
  if (degrees.n > most || degrees.n < -most)
    throw new CoreError('slope/degrees', { text, most: MAX_DEGREES });
  return degrees;
}
