import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CoreError } from '../error.ts';
import {
  add,
  compare,
  divide,
  equals,
  floor,
  multiply,
  type Rational,
  rational,
  round,
  subtract,
  toDecimal,
  toNumber,
  toText,
} from './rational.ts';

const some = fc
  .tuple(fc.bigInt(-(10n ** 20n), 10n ** 20n), fc.bigInt(1n, 10n ** 20n))
  .map(([n, d]) => rational(n, d));
const nonZero = some.filter((value) => value.n !== 0n);

function reduced({ n, d }: Rational): boolean {
  let [a, b] = [n < 0n ? -n : n, d];
  while (b !== 0n) [a, b] = [b, a % b];
  return d > 0n && a === 1n;
}

describe('rational', () => {
  it('is always reduced, with its sign on top', () => {
    expect(rational(6, -4)).toEqual({ n: -3n, d: 2n });
    expect(rational(0, -7)).toEqual({ n: 0n, d: 1n });
    fc.assert(fc.property(some, some, (a, b) => reduced(multiply(a, b)) && reduced(add(a, b))));
  });

  it('refuses a zero divisor by name', () => {
    expect(() => rational(1, 0)).toThrow(CoreError);
    expect(() => divide(rational(1), rational(0))).toThrow(/number\/zero-divisor/);
  });

  it('refuses doubles that are not whole', () => {
    expect(() => rational(0.5)).toThrow('expected a safe integer, got 0.5');
    expect(() => rational(Number.NaN)).toThrow('got NaN');
  });

  it('is a field: sums and products undo themselves', () => {
    fc.assert(
      fc.property(some, nonZero, (a, b) => {
        expect(equals(subtract(add(a, b), b), a)).toBe(true);
        expect(equals(multiply(divide(a, b), b), a)).toBe(true);
      }),
    );
  });

  it('compares and floors as its integers say', () => {
    expect(compare(rational(1, 3), rational(2, 6))).toBe(0);
    expect(compare(rational(-1, 2), rational(-1, 3))).toBe(-1);
    expect(floor(rational(-1, 2))).toBe(-1n);
    expect(floor(rational(-4, 2))).toBe(-2n);
    fc.assert(
      fc.property(some, (a) => {
        const whole = rational(floor(a));
        return compare(whole, a) <= 0 && compare(add(whole, rational(1)), a) === 1;
      }),
    );
  });

  it('rounds a tie up', () => {
    expect([rational(1, 2), rational(-1, 2), rational(5, 2), rational(-5, 2)].map(round)).toEqual([
      1n,
      0n,
      3n,
      -2n,
    ]);
  });
});

describe('text and doubles', () => {
  it('travels as text', () => {
    expect(toText(rational(-3, 4))).toBe('-3/4');
    expect(toText(rational(12, 4))).toBe('3');
  });

  it.each([
    [rational(1, 3), 4, '0.3333'],
    [rational(2, 3), 2, '0.67'],
    [rational(-1, 200), 2, '-0.01'],
    [rational(-1, 2000), 2, '0'],
    [rational(381, 10), 3, '38.1'],
    [rational(1, 2), 0, '1'],
  ])('%o with %i places is %s', (value, places, text) => {
    expect(toDecimal(value, places)).toBe(text);
  });

  it('becomes the nearest double, also beyond safe integers', () => {
    expect(toNumber(rational(1, 3))).toBe(1 / 3);
    const large = toNumber(rational(10n ** 30n + 1n, 10n ** 29n));
    expect(large).toBeCloseTo(10, 12);
  });
});
