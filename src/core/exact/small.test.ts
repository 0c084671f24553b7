import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { commonMultiple } from './common-multiple.ts';
import { convergents } from './continued-fraction.ts';
import { modulo } from './modulo.ts';
import { compare, multiply, type Rational, rational, subtract } from './rational.ts';

describe('commonMultiple', () => {
  it('is the first common multiple', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 1, max: 300 }), (a, b) => {
        let first = a;
        while (first % b !== 0) first += a;
        expect(commonMultiple(a, b)).toBe(first);
      }),
    );
  });
});

describe('modulo', () => {
  it('stays within 0 … size − 1 for negative places', () => {
    expect([-1, -4, 0, 5, -7].map((value) => modulo(value, 4))).toEqual([3, 0, 0, 1, 1]);
  });
});

describe('convergents', () => {
  it('ends with the value itself', () => {
    const last = convergents(rational(415, 93)).at(-1);
    expect(last).toEqual(rational(415, 93));
  });

  it('is nearer than every fraction with a smaller denominator', () => {
    const gap = (a: Rational, b: Rational) => {
      const difference = subtract(a, b);
      return difference.n < 0n ? multiply(difference, rational(-1)) : difference;
    };
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 1, max: 500 }), (n, d) => {
        const value = rational(n, d);
        for (const found of convergents(value)) {
          for (let below = 1; below < Number(found.d); below += 1) {
            const nearest = rational(Math.round((n / d) * below), below);
            expect(compare(gap(nearest, value), gap(found, value))).toBeGreaterThanOrEqual(0);
          }
        }
      }),
      { numRuns: 40 },
    );
  });
});
