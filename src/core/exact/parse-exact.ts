import { CoreError } from '../error.ts';
import { add, divide, multiply, type Rational, rational, subtract } from './rational.ts';

/** Longest number text that is read; nobody types more, and it bounds the work. */
export const MAX_NUMBER_TEXT = 80;

/** Most decimal places of one number. */
const MAX_DIGITS = 18;

/**
 * Reads a number as people type it: "24", "0.35", "3/4", "1 1/2", "2*12", "(3+5)/2".
 * Every decimal is exact. Sums and products in the usual order; no exponents.
 *
 * @throws CoreError "number/empty" | "number/too-long" | "number/syntax" {text, at} | "number/zero-divisor"
 */
export function parseExact(text: string): Rational {
  if (text.trim() === '') throw new CoreError('number/empty', {});
  if (text.length > MAX_NUMBER_TEXT) throw new CoreError('number/too-long', { most: MAX_NUMBER_TEXT });
  const source: Source = { text, at: 0 };
  const value = readSum(source);
  skipSpace(source);
  if (source.at < text.length) throw syntax(source);
  return value;
}

interface Source {
  readonly text: string;
  at: number;
}

function readSum(source: Source): Rational {
  let value = readProduct(source);
  for (;;) {
    if (take(source, '+')) value = add(value, readProduct(source));
    else if (take(source, '-', '−')) value = subtract(value, readProduct(source));
    else return value;
  }
}

function readProduct(source: Source): Rational {
  let value = readFactor(source);
  for (;;) {
    if (take(source, '*', '×')) value = multiply(value, readFactor(source));
    else if (take(source, '/', '÷')) value = divide(value, readFactor(source));
    else return value;
  }
}

function readFactor(source: Source): Rational {
  if (take(source, '-', '−')) return multiply(rational(-1), readFactor(source));
  if (take(source, '+')) return readFactor(source);
  if (take(source, '(')) {
    const value = readSum(source);
    if (!take(source, ')')) throw syntax(source);
    return value;
  }
  return readNumber(source);
}

/** A decimal, or a mixed number such as "1 1/2". */
function readNumber(source: Source): Rational {
  const whole = readDecimal(source);
  const mixed = /^\s+(\d{1,18})\s*\/\s*(\d{1,18})/.exec(source.text.slice(source.at));
  if (mixed === null) return whole;
  source.at += mixed[0].length;
  return add(whole, rational(BigInt(mixed[1]!), BigInt(mixed[2]!)));
}

function readDecimal(source: Source): Rational {
  skipSpace(source);
  const match = /^(\d*)(?:\.(\d*))?/.exec(source.text.slice(source.at))!;
  const whole = match[1] ?? '';
  const fraction = match[2] ?? '';
  if (whole + fraction === '' || whole.length > MAX_DIGITS || fraction.length > MAX_DIGITS) {
    throw syntax(source);
  }
  source.at += match[0].length;
  return rational(BigInt(whole + fraction), 10n ** BigInt(fraction.length));
}

function take(source: Source, ...signs: readonly string[]): boolean {
  skipSpace(source);
  if (!signs.includes(source.text[source.at] ?? '')) return false;
  source.at += 1;
  return true;
}

function skipSpace(source: Source): void {
  while (/\s/.test(source.text[source.at] ?? '')) source.at += 1;
}

function syntax(source: Source): CoreError {
  return new CoreError('number/syntax', { text: source.text, at: source.at });
}
