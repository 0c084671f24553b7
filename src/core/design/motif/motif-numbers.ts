import { CoreError } from '../../error.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import { parsePortion } from '../../exact/parse-portion.ts';
import { compare, multiply, type Rational, rational, toNumber } from '../../exact/rational.ts';
import { parseLength } from '../../units/length.ts';

/** What lengths of a motif are typed in. */
export interface MotifScale {
  /** Millimetres of one step of the grid. */
  readonly step: Rational;
  /** Millimetres of a pixel. */
  readonly pixel: Rational;
}

/** Longest length of a motif, in millimetres. */
const MOST = 100_000;

/**
 * Reads a way across or up: steps, or a length with a unit; below 0 to the left or down.
 * @returns millimetres
 * @throws CoreError as `parseExact`, or "motif/far" {text, most}
 */
export function parseWay(text: string, { step, pixel }: MotifScale): Rational {
  const match = /^(.*?)\s*(mm|cm|m|in|inch|inches|"|px|pt)$/i.exec(text.trim());
  const unit = match === null ? step : parseLength(`1 ${match[2]}`, 'mm', pixel);
  const way = multiply(parseExact(match === null ? text : match[1]!), unit);
  if (Math.abs(toNumber(way)) > MOST) throw new CoreError('motif/far', { text, most: MOST / 1000 });
  return way;
}

/** Reads a size: a way above 0. @throws CoreError as `parseWay`, or "length/not-positive" {text} */
export function parseSteps(text: string, scale: MotifScale): Rational {
  const size = parseWay(text, scale);
  if (size.n <= 0n) throw new CoreError('length/not-positive', { text });
  return size;
}

/** Reads a size that may be none. @throws CoreError as `parseWay`, or "length/negative" {text} */
export function parseStepsOrNone(text: string, scale: MotifScale): Rational {
  const size = parseWay(text, scale);
  if (size.n < 0n) throw new CoreError('length/negative', { text });
  return size;
}

/** Most degrees of a turn either way. */
const MOST_DEGREES = 3600;

/** Reads an angle in degrees, counterclockwise. @throws CoreError as `parseExact`, or "motif/degrees" {text, most} */
export function parseDegrees(text: string): Rational {
  const degrees = parseExact(text.replace(/\s*(°|deg|degrees)\s*$/i, ''));
  if (Math.abs(toNumber(degrees)) > MOST_DEGREES)
    throw new CoreError('motif/degrees', { text, most: MOST_DEGREES });
  return degrees;
}

/** Reads the radii of four corners from the upper left clockwise, or one for all. @throws CoreError as `parseStepsOrNone` */
export function parseRadii(text: string, scale: MotifScale): readonly Rational[] {
  const radii = text.split(',').map((each) => parseStepsOrNone(each, scale));
  if (radii.length !== 1 && radii.length !== 4) throw new CoreError('motif/radii', { text });
  return radii.length === 4 ? radii : [radii[0]!, radii[0]!, radii[0]!, radii[0]!];
}

/** Reads a share above 0 and at most all: "2/5", "0.4" or "40%". @throws CoreError as `parseExact`, or "motif/share" {text} */
export function parseShare(text: string): Rational {
  const share = parsePortion(text);
  if (share.n <= 0n || compare(share, rational(1)) > 0) throw new CoreError('motif/share', { text });
  return share;
}

/** A document is right at any scale: what a step and a pixel measure is said beside its numbers. */
export const SOME_SCALE: MotifScale = { step: rational(1), pixel: rational(1, 10) };
