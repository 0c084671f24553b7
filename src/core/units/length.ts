import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { divide, multiply, type Rational, rational } from '../exact/rational.ts';

/** Units of length that designs are measured in. */
export const LENGTH_UNITS = ['mm', 'cm', 'in'] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

/** Millimetres in one unit; 1 in = 25.4 mm exactly (international yard and pound agreement, 1959). */
const MILLIMETRES: Readonly<Record<LengthUnit, Rational>> = {
  mm: rational(1),
  cm: rational(10),
  in: rational(254, 10),
};

/** A printer's point in millimetres: 1/72 in. Source: PostScript Language Reference, 3rd ed. 1999, §4.3.1. */
export const POINT = rational(254, 720);

/** Millimetres in one of whatever may stand behind a number. */
const READ: Readonly<Record<string, Rational>> = {
  ...MILLIMETRES,
  m: rational(1000),
  inch: MILLIMETRES.in,
  inches: MILLIMETRES.in,
  '"': MILLIMETRES.in,
  pt: POINT,
};

/** Exact length in `unit` of a length in millimetres. */
export function fromMillimetres(millimetres: Rational, unit: LengthUnit): Rational {
  return divide(millimetres, MILLIMETRES[unit]);
}

/** Exact length in millimetres of `value` in `unit`. */
export function toMillimetres(value: Rational, unit: LengthUnit): Rational {
  return multiply(value, MILLIMETRES[unit]);
}

/**
 * Reads "12in", "0.35 cm", "3 m", `3/4"`, "720 px", "6 pt"; a bare number is in `unit`.
 * @param pixel  millimetres of a pixel
 * @returns millimetres
 * @throws CoreError as `parseExact`, or "length/not-positive"
 */
export function parseLength(text: string, unit: LengthUnit, pixel: Rational): Rational {
  const match = /^(.*?)\s*(mm|cm|m|in|inch|inches|"|px|pt)?$/i.exec(text.trim())!;
  const named = (match[2] ?? unit).toLowerCase();
  const value = multiply(parseExact(match[1]!), named === 'px' ? pixel : READ[named]!);
  if (value.n <= 0n) throw new CoreError('length/not-positive', { text });
  return value;
}
