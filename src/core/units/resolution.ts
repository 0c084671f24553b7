import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { divide, multiply, type Rational, rational, round } from '../exact/rational.ts';

/** The finest resolution that is accepted, pixels per inch. */
export const MAX_RESOLUTION = 9600;

const MILLIMETRES_PER_INCH = rational(254, 10);

/**
 * Reads a resolution in pixels per inch, such as "300" or "150".
 * @throws CoreError as `parseExact`, or "resolution/range" {text, most}
 */
export function parseResolution(text: string): Rational {
  const value = parseExact(text.replace(/\s*dpi\s*$/i, ''));
  if (value.n <= 0n || value.n > BigInt(MAX_RESOLUTION) * value.d) {
    throw new CoreError('resolution/range', { text, most: MAX_RESOLUTION });
  }
  return value;
}

/** Exact number of pixels in a length. */
export function pixelsIn(millimetres: Rational, dpi: Rational): Rational {
  return divide(multiply(millimetres, dpi), MILLIMETRES_PER_INCH);
}

/** Pixels per inch at which `pixels` measure `millimetres`. */
export function resolutionFor(pixels: Rational, millimetres: Rational): Rational {
  return divide(multiply(pixels, MILLIMETRES_PER_INCH), millimetres);
}

/**
 * Whole pixels per metre, as a PNG's pHYs chunk wants them; a tie goes up.
 * Source: W3C Portable Network Graphics, third edition, §11.3.4.3. 300 dpi → 11811.
 */
export function pixelsPerMetre(dpi: Rational): number {
  return Number(round(divide(multiply(dpi, rational(10_000)), rational(254))));
}
