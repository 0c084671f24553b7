import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { divide, multiply, type Rational, rational } from '../exact/rational.ts';
import { POINT, toMillimetres } from './length.ts';

/** What the bands of a stripe are measured in. */
export const BAND_UNITS = ['mm', 'cm', 'in', 'pt', 'px', 'thread'] as const;
export type BandUnit = (typeof BAND_UNITS)[number];

/** Millimetres of what has no size of its own. */
export interface BandScale {
  readonly pixel: Rational;
  readonly thread: Rational;
}

/** Widest band that is accepted, in millimetres: 100 m. */
export const MAX_WIDTH = 100_000;

/** Exact millimetres of one unit. */
export function unitMillimetres(unit: BandUnit, { pixel, thread }: BandScale): Rational {
  switch (unit) {
    case 'pt':
      return POINT;
    case 'px':
      return pixel;
    case 'thread':
      return thread;
    default:
      return toMillimetres(rational(1), unit);
  }
}

/** A width as it is typed: a number, and a unit where it is another than the stripe's. */
export interface TypedWidth {
  readonly value: Rational;
  readonly unit: BandUnit | undefined;
}

/**
 * Reads "12.5", "1/3", "3/4 in", "6 threads".
 * @throws CoreError as `parseExact`, or "width/not-positive" {text}
 */
export function readWidth(text: string): TypedWidth {
  const match = /^(.*?)\s*(mm|cm|in|"|pt|px|threads?)?$/i.exec(text.trim())!;
  const value = parseExact(match[1]!);
  if (value.n <= 0n) throw new CoreError('width/not-positive', { text });
  const unit = match[2]?.toLowerCase().replace('"', 'in').replace('threads', 'thread');
  return { value, unit: BAND_UNITS.find((each) => each === unit) };
}

/**
 * A typed width in millimetres; a bare number is in `unit`, a width in another unit is converted.
 * @throws CoreError as `readWidth`, or "width/too-wide" {text, most}
 */
export function widthMillimetres(text: string, unit: BandUnit, scale: BandScale): Rational {
  const typed = readWidth(text);
  const width = multiply(typed.value, unitMillimetres(typed.unit ?? unit, scale));
  if (width.n > BigInt(MAX_WIDTH) * width.d) throw new CoreError('width/too-wide', { text, most: MAX_WIDTH });
  return width;
}

/** A typed width in the stripe's unit. */
export function widthIn(text: string, unit: BandUnit, scale: BandScale): Rational {
  const typed = readWidth(text);
  if (typed.unit === undefined || typed.unit === unit) return typed.value;
  return divide(widthMillimetres(text, unit, scale), unitMillimetres(unit, scale));
}
