import { CoreError } from '../../error.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import { parsePortion } from '../../exact/parse-portion.ts';
import { compare, ONE, type Rational, rational, toText } from '../../exact/rational.ts';
import { parseLength } from '../../units/length.ts';

/** Largest proportion of a tiling's sides, and largest number that one may be parted by. */
const MOST_PROPORTION = 100;

/**
 * Reads a proportion such as "3/4" or "1.5": above 0, in at most hundredths.
 * @throws CoreError as `parseExact`, or "tiling/proportion" {text, most}
 */
export function parseProportion(text: string): Rational {
  const value = parsePortion(text);
  const most = BigInt(MOST_PROPORTION);
  if (!(value.n > 0n && value.n <= most * value.d && value.d <= most)) {
    throw new CoreError('tiling/proportion', { text, most: MOST_PROPORTION });
  }
  return value;
}

/**
 * Reads a part of a whole, 0 ≤ part < 1, such as "1/2".
 * @throws CoreError as `parseExact`, or "tiling/part" {text}
 */
export function parsePart(text: string): Rational {
  const value = parsePortion(text);
  if (value.n < 0n || compare(value, ONE) >= 0 || value.d > 1000n)
    throw new CoreError('tiling/part', { text });
  return value;
}

/** Reads a small square's side beside one of 1: above 0, at most 1. @throws CoreError "tiling/part" {text} */
export function parseSmall(text: string): Rational {
  const value = parsePortion(text);
  if (value.n <= 0n || compare(value, ONE) > 0 || value.d > 1000n)
    throw new CoreError('tiling/part', { text });
  return value;
}

/** Reads how large a ring is beside its face: above 0, at most 1. @throws CoreError "tiling/part" {text} */
export const parseShare = parseSmall;

/** Where a ring begins: by its size beside the face, or in millimetres inside its sides. */
export type ParsedRingStart = { readonly share: Rational } | { readonly inside: Rational };

/**
 * Reads where a ring begins: "7/8" beside the face, or a length with its unit, such as "2 mm".
 * @throws CoreError as `parseShare`, `parseSize`
 */
export function parseRingStart(text: string, pixel: Rational): ParsedRingStart {
  return /[a-z"]\s*$/i.test(text) ? { inside: parseSize(text, pixel) } : { share: parseShare(text) };
}

/** Whether a ring lies inside another, as far as both are of one sort; what else is wrong is told where it is laid. */
export function isRingWithin(text: string, outside: string, pixel: Rational): boolean {
  const one = parseRingStart(text, pixel);
  const other = parseRingStart(outside, pixel);
  if ('share' in one) return !('share' in other) || compare(one.share, other.share) < 0;
  return !('inside' in other) || compare(one.inside, other.inside) > 0;
}

/** Most rings in a face. */
export const MAX_RINGS = 8;

/** Longest side or repeat, in millimetres. */
const MAX_SIZE = 100_000;

/**
 * Reads a size; a bare number is in millimetres.
 * @param pixel  millimetres of a pixel
 * @throws CoreError as `parseLength`, or "tiling/size" {text, most}
 */
export function parseSize(text: string, pixel: Rational): Rational {
  const size = parseLength(text, 'mm', pixel);
  if (compare(size, rational(MAX_SIZE)) > 0)
    throw new CoreError('tiling/size', { text, most: MAX_SIZE / 1000 });
  return size;
}

/** Reads a part of a whole between two others, both left out. @throws CoreError "tiling/between" {text, low, high} */
function parseBetween(text: string, low: Rational, high: Rational): Rational {
  const value = parsePortion(text);
  if (compare(value, low) <= 0 || compare(value, high) >= 0 || value.d > 1000n) {
    throw new CoreError('tiling/between', { text, low: toText(low), high: toText(high) });
  }
  return value;
}

/** Reads half a slanting side of pentagons: between 0 and 1/2. @throws CoreError as `parseBetween` */
export function parseHalf(text: string): Rational {
  return parseBetween(text, rational(0), rational(1, 2));
}

/** Reads the width of a brick 1 long: between 0 and 1. @throws CoreError as `parseBetween` */
export function parseNarrow(text: string): Rational {
  return parseBetween(text, rational(0), ONE);
}

/** Reads how far something leans: 0, or as a proportion. @throws CoreError as `parseProportion` */
export function parseLean(text: string): Rational {
  const value = parseExact(text);
  return value.n === 0n ? value : parseProportion(text);
}

/** Largest numbers of repeats whose diagonal is made level. */
const MOST_ACROSS = 99n;

/** Reads up/across in whole repeats, 0 for none. @throws CoreError as `parseExact`, or "tiling/diagonal" {text, most} */
export function parseDiagonal(text: string): Rational {
  const value = parseExact(text);
  if (value.n < -MOST_ACROSS || value.n > MOST_ACROSS || value.d > MOST_ACROSS) {
    throw new CoreError('tiling/diagonal', { text, most: Number(MOST_ACROSS) });
  }
  return value;
}

/** Reads a length that may be none. @throws CoreError as `parseLength`, or "tiling/size" {text, most} */
export function parseLengthOrNone(text: string, pixel: Rational): Rational {
  return /^\s*0+(\.0+)?\s*(mm|cm|in|px|pt)?\s*$/i.test(text) ? rational(0) : parseSize(text, pixel);
}
