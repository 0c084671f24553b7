import { floor, type Rational, rational, subtract } from './rational.ts';

/**
 * The convergents of `value`, simplest first, ending with `value` itself: each is nearer than every
 * fraction with a smaller denominator.
 *
 * Source: A. Ya. Khinchin, Continued Fractions, 1964, §6.
 */
export function convergents(value: Rational): readonly Rational[] {
  const found: Rational[] = [];
  let n0 = 0n;
  let d0 = 1n;
  let n1 = 1n;
  let d1 = 0n;
  let rest = value;
  for (;;) {
    const step = floor(rest);
    [n0, n1] = [n1, step * n1 + n0];
    [d0, d1] = [d1, step * d1 + d0];
    found.push(rational(n1, d1));
    const left = subtract(rest, rational(step));
    if (left.n === 0n) return found;
    rest = rational(left.d, left.n);
  }
}
