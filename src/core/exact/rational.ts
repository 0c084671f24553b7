import { CoreError } from '../error.ts';

/**
 * An exact quotient in lowest terms with a denominator above zero.
 * Made only by `rational` and the functions below, so that an unreduced value does not exist.
 */
export interface Rational {
  readonly n: bigint;
  readonly d: bigint;
}

const MAX_SAFE = BigInt(Number.MAX_SAFE_INTEGER);

/** Greatest common divisor, never negative; gcd(0, 0) = 0. */
export function gcd(a: bigint, b: bigint): bigint {
  let x = a < 0n ? -a : a;
  let y = b < 0n ? -b : b;
  while (y !== 0n) {
    // Doubles divide small numbers many times faster.
    if (x <= MAX_SAFE && y <= MAX_SAFE) return BigInt(smallGcd(Number(x), Number(y)));
    const rest = x % y;
    x = y;
    y = rest;
  }
  return x;
}

function smallGcd(a: number, b: number): number {
  let x = a;
  let y = b;
  while (y !== 0) {
    const rest = x % y;
    x = y;
    y = rest;
  }
  return x;
}

/**
 * The only maker of rationals.
 * @throws CoreError "number/zero-divisor"
 */
export function rational(n: bigint | number, d: bigint | number = 1n): Rational {
  const top = whole(n);
  const bottom = whole(d);
  if (bottom === 1n) return { n: top, d: bottom };
  if (bottom === 0n) throw new CoreError('number/zero-divisor', { text: `${top}/0` });
  const common = gcd(top, bottom) * (bottom < 0n ? -1n : 1n);
  return common === 1n ? { n: top, d: bottom } : { n: top / common, d: bottom / common };
}

function whole(value: bigint | number): bigint {
  if (typeof value === 'bigint') return value;
  if (!Number.isSafeInteger(value)) throw new Error(`expected a safe integer, got ${value}`);
  return BigInt(value);
}

export const ONE = rational(1);

export function add(a: Rational, b: Rational): Rational {
  if (a.d === b.d) return rational(a.n + b.n, a.d);
  return rational(a.n * b.d + b.n * a.d, a.d * b.d);
}

export function subtract(a: Rational, b: Rational): Rational {
  if (a.d === b.d) return rational(a.n - b.n, a.d);
  return rational(a.n * b.d - b.n * a.d, a.d * b.d);
}

export function multiply(a: Rational, b: Rational): Rational {
  return rational(a.n * b.n, a.d * b.d);
}

/** @throws CoreError "number/zero-divisor" */
export function divide(a: Rational, b: Rational): Rational {
  return rational(a.n * b.d, a.d * b.n);
}

/** −1, 0 or 1, decided on integers. */
export function compare(a: Rational, b: Rational): -1 | 0 | 1 {
  const left = a.n * b.d;
  const right = b.n * a.d;
  if (left === right) return 0;
  return left < right ? -1 : 1;
}

export function equals(a: Rational, b: Rational): boolean {
  return a.n === b.n && a.d === b.d;
}

export function isWhole(a: Rational): boolean {
  return a.d === 1n;
}

/** Largest integer not above `a`. */
export function floor(a: Rational): bigint {
  const quotient = a.n / a.d;
  return a.n < 0n && a.n % a.d !== 0n ? quotient - 1n : quotient;
}

/** Nearest integer; a tie goes up. */
export function round(a: Rational): bigint {
  return floor(add(a, rational(1, 2)));
}

/** Nearest double. Only for showing and for painting. */
export function toNumber(a: Rational): number {
  const top = Number(a.n);
  const bottom = Number(a.d);
  // A larger one would have been rounded to at least 2^53.
  if (Math.abs(top) < 2 ** 53 && bottom < 2 ** 53) return top / bottom;
  const whole = floor(a);
  const rest = ((a.n - whole * a.d) * SCALE) / a.d;
  return Number(whole) + Number(rest) / Number(SCALE);
}

const SCALE = 10n ** 18n;

/** "3", "-3/4": the form in which exact numbers travel. `parseRational` reads it back. */
export function toText(a: Rational): string {
  return a.d === 1n ? `${a.n}` : `${a.n}/${a.d}`;
}

/**
 * Decimal text with at most `digits` places, a half rounded away from zero, trailing zeros dropped.
 */
export function toDecimal(a: Rational, digits: number): string {
  const scale = 10n ** BigInt(digits);
  const size = a.n < 0n ? -a.n : a.n;
  const scaled = (2n * size * scale + a.d) / (2n * a.d);
  const fraction = (scaled % scale).toString().padStart(digits, '0').replace(/0+$/, '');
  const sign = a.n < 0n && scaled > 0n ? '-' : '';
  return `${sign}${scaled / scale}${fraction === '' || digits === 0 ? '' : `.${fraction}`}`;
}
