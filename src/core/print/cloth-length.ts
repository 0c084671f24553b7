import { CoreError } from '../error.ts';
import { type Rational, toNumber } from '../exact/rational.ts';
import { parseLength } from '../units/length.ts';

/** Shortest and longest cloth that is ordered, in millimetres. */
const LEAST = 1;
const MOST = 1_000_000;

/**
 * Reads the length of cloth that is ordered; a bare number is in millimetres.
 * @param pixel  millimetres of a pixel
 * @returns millimetres
 * @throws CoreError as `parseLength`, or "print/length" {text}
 */
export function parseClothLength(text: string, pixel: Rational): Rational {
  const length = parseLength(text, 'mm', pixel);
  if (toNumber(length) < LEAST || toNumber(length) > MOST) throw new CoreError('print/length', { text });
  return length;
}
