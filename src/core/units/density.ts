import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { divide, type Rational, rational } from '../exact/rational.ts';
import { toMillimetres } from './length.ts';

/** What a density counts threads in. */
export const DENSITY_BASES = ['in', 'cm'] as const;
export type DensityBase = (typeof DENSITY_BASES)[number];

/** The closest cloth that is accepted, threads per inch or cm. */
export const MAX_DENSITY = 1000;

/**
 * Reads a density such as "24" or "37/2".
 * @throws CoreError as `parseExact`, or "density/range" {text, most}
 */
export function parseDensity(text: string): Rational {
  const value = parseExact(text);
  if (value.n <= 0n || value.n > BigInt(MAX_DENSITY) * value.d) {
    throw new CoreError('density/range', { text, most: MAX_DENSITY });
  }
  return value;
}

/** Width of one thread in millimetres, exact. */
export function threadPitch(density: Rational, base: DensityBase): Rational {
  return divide(toMillimetres(rational(1), base), density);
}
