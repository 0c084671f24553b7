import { CoreError } from '../../error.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import { parsePortion } from '../../exact/parse-portion.ts';
import { compare, type Rational, rational } from '../../exact/rational.ts';

/** Most parts of a box that a lay steps by one of. */
export const MOST_STEP_PART = 100;

/** Reads the part by which a lay steps: above 0, below 1, in at most hundredths. @throws CoreError "lay/part" {text} */
export function parseStepPart(text: string): Rational {
  const part = parseExact(text);
  if (part.n <= 0n || compare(part, rational(1)) >= 0 || part.d > BigInt(MOST_STEP_PART)) {
    throw new CoreError('lay/part', { text });
  }
  return part;
}

/** Largest factor that a design is scaled by; the smallest is one part of it. */
export const MAX_SCALE = 1000;

/** Reads what a design is scaled by: "3/10", "0.3" or "30%". @throws CoreError as `parsePortion`, or "lay/scale" {text, most} */
export function parseScale(text: string): Rational {
  const factor = parsePortion(text);
  const most = rational(MAX_SCALE);
  if (
    factor.n <= 0n ||
    compare(factor, most) > 0 ||
    compare(rational(factor.d), rational(factor.n * most.n)) > 0
  ) {
    throw new CoreError('lay/scale', { text, most: MAX_SCALE });
  }
  return factor;
}

/** Reads how often a repeat comes in a length. @throws CoreError as `parseExact`, or "lay/count" {text, most} */
export function parseRepeats(text: string): Rational {
  const count = parseExact(text);
  if (count.n <= 0n || compare(count, rational(MAX_REPEATS)) > 0) {
    throw new CoreError('lay/count', { text, most: MAX_REPEATS });
  }
  return count;
}

const MAX_REPEATS = 10_000;
