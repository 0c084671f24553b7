import { divide, gcd, multiply, type Rational, rational } from './rational.ts';

/**
 * An exact length that may be irrational: coefficient × √radicand, the radicand a natural number without a square
 * factor, 1 for a rational. Made only by `root` and the functions below.
 */
export interface Root {
  readonly coefficient: Rational;
  readonly radicand: bigint;
}

/**
 * coefficient × √radicand, with square factors taken out: √12 → 2√3.
 * @param radicand  ≥ 1 and < 2^53; the largest that a slope makes is 2 × 10^12
 */
export function root(coefficient: Rational, radicand = 1): Root {
  if (!(Number.isSafeInteger(radicand) && radicand >= 1)) {
    throw new Error(`expected a natural number, got ${radicand}`);
  }
  let [left, outside, inside] = [radicand, 1, 1];
  for (let factor = 2; factor ** 3 <= left; factor += 1) {
    for (; left % (factor * factor) === 0; outside *= factor) left /= factor * factor;
    if (left % factor === 0) {
      left /= factor;
      inside *= factor;
    }
  }
  // What is left has at most two prime factors: it is a square, or has none in it.
  const side = Math.round(Math.sqrt(left));
  if (side * side === left) outside *= side;
  else inside *= left;
  return { coefficient: multiply(coefficient, rational(outside)), radicand: BigInt(inside) };
}

export function isRational({ radicand }: Root): boolean {
  return radicand === 1n;
}

export function timesRational({ coefficient, radicand }: Root, times: Rational): Root {
  return { coefficient: multiply(coefficient, times), radicand };
}

/** √a × √b = g√(ab/g²), g being their common divisor: no square is left in it. */
export function multiplyRoots(a: Root, b: Root): Root {
  const common = gcd(a.radicand, b.radicand);
  return {
    coefficient: multiply(multiply(a.coefficient, b.coefficient), rational(common)),
    radicand: (a.radicand / common) * (b.radicand / common),
  };
}

/** @throws CoreError "number/zero-divisor" */
export function divideRoots(a: Root, b: Root): Root {
  const inverse = divide(rational(1), multiply(b.coefficient, rational(b.radicand)));
  return multiplyRoots(a, { coefficient: inverse, radicand: b.radicand });
}

/** Digits behind the point to which a root is known when it must be a fraction. */
const DIGITS = 40n;

/** The root itself when it is rational, else the fraction just below it, nearer than 10^−40 of the coefficient. */
export function nearRational({ coefficient, radicand }: Root): Rational {
  if (radicand === 1n) return coefficient;
  const scale = 10n ** DIGITS;
  return multiply(coefficient, rational(wholeRoot(radicand * scale * scale), scale));
}

/** Largest integer whose square is not above `value`, by Newton's method from above. */
export function wholeRoot(value: bigint): bigint {
  if (value < 2n) return value;
  let guess = 1n << BigInt(Math.ceil(value.toString(2).length / 2));
  for (;;) {
    const next = (guess + value / guess) / 2n;
    if (next >= guess) return guess;
    guess = next;
  }
}

/** "3/4", "√2", "12√149/7": the exact form, for people. */
export function rootText({ coefficient: { n, d }, radicand }: Root): string {
  if (radicand === 1n) return d === 1n ? `${n}` : `${n}/${d}`;
  const times = n === 1n ? '' : n === -1n ? '−' : `${n}`;
  return `${times}√${radicand}${d === 1n ? '' : `/${d}`}`;
}
