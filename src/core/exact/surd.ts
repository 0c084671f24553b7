import { add, compare, divide, gcd, multiply, ONE, type Rational, rational, toNumber } from './rational.ts';
import { squareFree } from './square-free.ts';
import { wholeRoot } from './whole-root.ts';

/** One root of a sum: coefficient × √radicand, the radicand natural and without a square factor, 1 for a rational. */
export interface Root {
  readonly coefficient: Rational;
  readonly radicand: bigint;
}

/**
 * An exact sum of square roots: Σ coefficient × √radicand, radicands natural and without a square factor, ascending, no
 * coefficient 0. Roots of different such radicands are independent over the rationals, so two surds are equal exactly
 * when their terms are. Made only by the functions below. 1 + √2 is the width of an octagon of side 1.
 */
export interface Surd {
  readonly terms: readonly Root[];
}

export const ZERO_SURD: Surd = { terms: [] };
export const ONE_SURD: Surd = { terms: [{ coefficient: ONE, radicand: 1n }] };

/** A rational as a surd. */
export function surd(value: Rational | number): Surd {
  const coefficient = typeof value === 'number' ? rational(value) : value;
  return coefficient.n === 0n ? ZERO_SURD : { terms: [{ coefficient, radicand: 1n }] };
}

/**
 * coefficient × √radicand, with square factors taken out: √12 → 2√3.
 * @param radicand  ≥ 1 and < 2^53; the largest that a slope makes is 2 × 10^12
 */
export function root(coefficient: Rational, radicand = 1): Surd {
  const { outside, inside } = squareFree(radicand);
  if (coefficient.n === 0n) return ZERO_SURD;
  return { terms: [{ coefficient: multiply(coefficient, rational(outside)), radicand: BigInt(inside) }] };
}

/** √(a² + b²) of two fractions. */
export function hypotenuse(a: Rational, b: Rational): Surd {
  const sum = add(multiply(a, a), multiply(b, b));
  // √(n/d) = √(nd)/d
  return root(rational(1n, sum.d), Number(sum.n * sum.d));
}

export function addSurds(a: Surd, b: Surd): Surd {
  if (a.terms.length === 0) return b;
  if (b.terms.length === 0) return a;
  const terms: Root[] = [];
  let left = 0;
  let right = 0;
  while (left < a.terms.length || right < b.terms.length) {
    const one = a.terms[left];
    const other = b.terms[right];
    if (other === undefined || (one !== undefined && one.radicand < other.radicand)) {
      terms.push(one!);
      left += 1;
    } else if (one === undefined || other.radicand < one.radicand) {
      terms.push(other);
      right += 1;
    } else {
      const coefficient = add(one.coefficient, other.coefficient);
      if (coefficient.n !== 0n) terms.push({ coefficient, radicand: one.radicand });
      left += 1;
      right += 1;
    }
  }
  return { terms };
}

export function negateSurd({ terms }: Surd): Surd {
  return {
    terms: terms.map(({ coefficient: { n, d }, radicand }) => ({ coefficient: { n: -n, d }, radicand })),
  };
}

export function subtractSurds(a: Surd, b: Surd): Surd {
  return addSurds(a, negateSurd(b));
}

/** √a × √b = g√(ab/g²), g being their common divisor: no square is left in it. */
function multiplyRoots(a: Root, b: Root): Root {
  const coefficient = multiply(a.coefficient, b.coefficient);
  if (a.radicand === 1n) return { coefficient, radicand: b.radicand };
  if (b.radicand === 1n) return { coefficient, radicand: a.radicand };
  const common = gcd(a.radicand, b.radicand);
  return {
    coefficient: multiply(coefficient, rational(common)),
    radicand: (a.radicand / common) * (b.radicand / common),
  };
}

export function multiplySurds(a: Surd, b: Surd): Surd {
  let product = ZERO_SURD;
  for (const one of a.terms) {
    for (const other of b.terms) {
      product = addSurds(product, { terms: [multiplyRoots(one, other)] });
    }
  }
  return product;
}

/**
 * The quotient of two surds. A prime of the divisor's radicands is taken out by multiplying with what it becomes when
 * that prime's root changes its sign, until no root is left.
 * @throws CoreError "number/zero-divisor"
 */
export function divideSurds(a: Surd, b: Surd): Surd {
  let top = a;
  let bottom = b;
  for (;;) {
    const radicand = bottom.terms.at(-1)?.radicand ?? 1n;
    if (radicand === 1n) break;
    const prime = smallestPrime(radicand);
    const conjugate: Surd = {
      terms: bottom.terms.map((term) =>
        term.radicand % prime === 0n ? negateSurd({ terms: [term] }).terms[0]! : term,
      ),
    };
    [top, bottom] = [multiplySurds(top, conjugate), multiplySurds(bottom, conjugate)];
  }
  const divisor = bottom.terms[0]?.coefficient ?? rational(0);
  return scaleSurd(top, divide(ONE, divisor));
}

export function smallestPrime(value: bigint): bigint {
  for (let prime = 2n; prime * prime <= value; prime += 1n) if (value % prime === 0n) return prime;
  return value;
}

export function scaleSurd({ terms }: Surd, by: Rational): Surd {
  if (by.n === 0n) return ZERO_SURD;
  return {
    terms: terms.map(({ coefficient, radicand }) => ({ coefficient: multiply(coefficient, by), radicand })),
  };
}

/** Whether there is no root in it. */
export function isRational(value: Surd): boolean {
  return rationalOf(value) !== undefined;
}

/** The surd as a rational, or undefined where it has roots. */
export function rationalOf({ terms }: Surd): Rational | undefined {
  if (terms.length === 0) return rational(0);
  return terms.length === 1 && terms[0]!.radicand === 1n ? terms[0]!.coefficient : undefined;
}

export function equalSurds(a: Surd, b: Surd): boolean {
  return (
    a.terms.length === b.terms.length &&
    a.terms.every(({ coefficient, radicand }, at) => {
      const other = b.terms[at]!;
      return radicand === other.radicand && compare(coefficient, other.coefficient) === 0;
    })
  );
}

/**
 * How far a sum of doubles of terms may lie from their exact sum, as a share of the sum of their sizes: each term is
 * rounded at most five times (its two integers, their quotient, its root, the product), and each addition once more.
 */
const SLACK = 2 ** -48;

/** −1, 0 or 1, decided exactly: by doubles where they can tell, else in ever finer integers. */
export function signOf(value: Surd): -1 | 0 | 1 {
  if (value.terms.length === 0) return 0;
  const { sum, size } = roughly(value);
  if (sum > size * SLACK) return 1;
  if (sum < -size * SLACK) return -1;
  // It is not 0, since its terms are independent: some precision tells.
  for (let bits = 128n; ; bits *= 2n) {
    const { low, high } = between(value, bits);
    if (low > 0n) return 1;
    if (high < 0n) return -1;
  }
}

/** A double near a surd, off by at most 2^−48 of the sum of its terms' sizes: enough to draw with, and soon known. */
export function nearNumber(value: Surd): number {
  return roughly(value).sum;
}

function roughly({ terms }: Surd): { sum: number; size: number } {
  let sum = 0;
  let size = 0;
  for (const { coefficient, radicand } of terms) {
    const term = toNumber(coefficient) * Math.sqrt(Number(radicand));
    sum += term;
    size += Math.abs(term);
  }
  return { sum, size };
}

/** Whole numbers of 2^−bits between which a surd lies. */
function between({ terms }: Surd, bits: bigint): { low: bigint; high: bigint } {
  let low = 0n;
  let high = 0n;
  for (const {
    coefficient: { n, d },
    radicand,
  } of terms) {
    // |n|√r × 2^bits, rounded down.
    const size = wholeRoot((n * n * radicand) << (2n * bits));
    const under = size / d;
    const over = (size + 1n) / d + 1n;
    low += n > 0n ? under : -over;
    high += n > 0n ? over : -under;
  }
  return { low, high };
}

export function compareSurds(a: Surd, b: Surd): -1 | 0 | 1 {
  return signOf(subtractSurds(a, b));
}

/** Largest integer not above a surd. */
export function floorSurd(value: Surd): bigint {
  const whole = rationalOf(value);
  if (whole !== undefined) return floorOf(whole);
  const { sum, size } = roughly(value);
  const slack = size * SLACK;
  // Where doubles agree on both sides of it there is nothing to ask.
  if (Math.abs(sum) < 2 ** 50 && Math.floor(sum - slack) === Math.floor(sum + slack)) {
    return BigInt(Math.floor(sum));
  }
  for (let bits = 64n; ; bits *= 2n) {
    const { low, high } = between(value, bits);
    if (low >> bits === high >> bits) return low >> bits;
  }
}

function floorOf({ n, d }: Rational): bigint {
  const quotient = n / d;
  return n < 0n && n % d !== 0n ? quotient - 1n : quotient;
}

/** Smallest integer not below a surd. */
export function ceilSurd(value: Surd): bigint {
  return -floorSurd(negateSurd(value));
}

const HALF = surd(rational(1, 2));

/** Nearest integer; a tie goes up. */
export function roundSurd(value: Surd): bigint {
  return floorSurd(addSurds(value, HALF));
}

/** The integer nearest to a whole multiple of a surd; a tie goes up. Many are asked for, so doubles are tried first. */
export function roundMultiple(value: Surd, whole: number): number {
  const { sum, size } = roughly(value);
  const near = sum * whole + 0.5;
  // Twice as wide, for the product and the sum are rounded too.
  const slack = (size * Math.abs(whole) + 1) * 2 * SLACK;
  const below = Math.floor(near - slack);
  if (Math.abs(near) < 2 ** 50 && below === Math.floor(near + slack)) return below;
  return Number(roundSurd(scaleSurd(value, rational(whole))));
}

/** The nearest double. Source of the rounding: a bigint becomes the nearest Number (ECMA-262, Number(value)). */
export function surdToNumber(value: Surd): number {
  if (value.terms.length === 0) return 0;
  for (let bits = 128n; ; bits *= 2n) {
    const { low, high } = between(value, bits);
    const under = Number(low);
    const over = Number(high);
    if (under === over && (low > 0n || high < 0n)) return shifted(under, Number(bits));
  }
}

/** A double divided by 2^bits, exactly unless it vanishes. */
function shifted(value: number, bits: number): number {
  const step = Math.min(bits, 512);
  return bits === 0 ? value : shifted(value / 2 ** step, bits - step);
}

/** A fraction within 10^−30 of the surd; the surd itself where it is rational. */
export function nearFraction(value: Surd): Rational {
  const whole = rationalOf(value);
  if (whole !== undefined) return whole;
  const { low } = between(value, 128n);
  return rational(low, 1n << 128n);
}
