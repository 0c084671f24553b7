import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { compare, divide, ONE, type Rational, rational, subtract } from '../exact/rational.ts';
import type { Vector } from '../exact/vector.ts';

/** Largest part of its length that cloth is taken to shrink by. */
const MOST = rational(1, 2);

/** What is sent as it is. */
export const UNSHRUNK: Vector = { x: ONE, y: ONE };

/**
 * Reads by how much cloth shrinks in warp and weft: "4%, 2.5%", "4% 2.5%", "4 x 2.5", "0.04", one part for both. Without a sign
 * a number below 1 is a part, one from 1 on is in hundredths.
 *
 * @returns  what its width and height are multiplied by, so that it is right when it has shrunk: 1/(1 − s), where the weft
 *           runs across and the warp down (common practice)
 * @throws   CoreError "send/shrink" {text}
 */
export function parseShrinkage(text: string): Vector {
  const parts = text
    .trim()
    .replace(/\s+%/g, '%')
    .split(/\s*[,;x×]\s*|\s+/i);
  const [warp, weft = warp, ...more] = parts.map((part) => partOf(part, text));
  if (warp === undefined || more.length > 0) throw new CoreError('send/shrink', { text });
  return { x: grownBy(weft!), y: grownBy(warp) };
}

function partOf(part: string, text: string): Rational {
  const value = part.endsWith('%')
    ? divide(numberOf(part.slice(0, -1), text), rational(100))
    : numberOf(part, text);
  return checked(part.endsWith('%') || compare(value, ONE) < 0 ? value : divide(value, rational(100)), text);
}

function checked(value: Rational, text: string): Rational {
  if (compare(value, rational(0)) < 0 || compare(value, MOST) > 0)
    throw new CoreError('send/shrink', { text });
  return value;
}

function numberOf(part: string, text: string): Rational {
  if (part.trim() === '') throw new CoreError('send/shrink', { text });
  try {
    return parseExact(part);
  } catch (error) {
    // What was typed is told whole, not the part that cannot be read.
    if (error instanceof CoreError) throw new CoreError('send/shrink', { text });
    throw error;
  }
}

function grownBy(part: Rational): Rational {
  return divide(ONE, subtract(ONE, part));
}
