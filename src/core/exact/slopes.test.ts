import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nearSlopes } from './near-slopes.ts';
import { compare, multiply, rational } from './rational.ts';
import { MAX_SLOPE, parseSlope, slope, slopeDegrees } from './slope.ts';
import { divideSurds, isRational, multiplySurds, nearFraction, rationalOf, root } from './surd.ts';
import { surdText } from './surd-text.ts';
import { wholeRoot } from './whole-root.ts';

describe('roots', () => {
  it.each([
    [rational(1), 12, '2√3'],
    [rational(3, 4), 1, '3/4'],
    [rational(5, 7), 50, '25√2/7'],
    [rational(1), 10 ** 12, '1000000'],
    [rational(-1), 2, '−√2'],
    [rational(2), 999_983 ** 2, '1999966'],
  ])('%o × √%i is %s', (coefficient, radicand, text) => {
    expect(surdText(root(coefficient, radicand))).toBe(text);
  });

  const some = fc
    .tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 400 }))
    .map(([n, d, radicand]) => root(rational(n, d), radicand));

  it('multiply and divide, and a root times itself is a fraction', () => {
    fc.assert(
      fc.property(some, some, (a, b) => {
        expect(divideSurds(multiplySurds(a, b), b)).toEqual(a);
        expect(isRational(multiplySurds(a, a))).toBe(true);
      }),
    );
  });

  it('are near their fraction from below', () => {
    fc.assert(
      fc.property(some, (a) => {
        const near = nearFraction(a);
        const square = rationalOf(multiplySurds(a, a))!;
        expect(compare(multiply(near, near), square)).toBeLessThanOrEqual(0);
        const above = multiply(near, rational(10n ** 35n + 1n, 10n ** 35n));
        expect(compare(multiply(above, above), square)).toBe(1);
      }),
    );
  });

  it('of whole numbers are whole', () => {
    fc.assert(
      fc.property(fc.bigInt({ min: 0n, max: 10n ** 40n }), (value) => {
        const found = wholeRoot(value);
        expect(found * found <= value && (found + 1n) * (found + 1n) > value).toBe(true);
      }),
    );
  });
});

describe('slopes', () => {
  it.each([
    ['7/10', 7, 10],
    [' -6 / 8 ', -3, 4],
    ['2', 2, 1],
    ['0/5', 0, 1],
    ['3/0', 1, 0],
    ['-3/0', 1, 0],
  ])('%s is %i over %i', (text, rise, run) => {
    expect(parseSlope(text)).toEqual({ rise, run });
  });

  it.each([
    ['0/0', 'slope/none'],
    ['1/2000000', 'slope/range'],
    ['seven', 'slope/text'],
    ['1.5', 'slope/text'],
    ['', 'slope/text'],
  ])('%s is refused', (text, code) => {
    expect(() => parseSlope(text)).toThrow(code);
  });
});

describe('slopes near an angle', () => {
  /** Every slope up to a limit that is nearer than all before it, by trying them all. */
  function byTrying(degrees: number, most: number): readonly string[] {
    const records: string[] = [];
    let best = Number.POSITIVE_INFINITY;
    for (let larger = 1; larger <= most; larger += 1) {
      for (let smaller = 0; smaller <= larger; smaller += 1) {
        for (const [rise, run] of [
          [smaller, larger],
          [larger, smaller],
        ] as const) {
          const error = Math.abs(slopeDegrees({ rise, run }) - degrees);
          if (error < best - 1e-12) {
            best = error;
            records.push(`${rise}/${run}`);
          }
        }
      }
    }
    return records;
  }

  it('are those that trying all of them finds', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9000 }), fc.integer({ min: 1, max: 40 }), (cents, most) => {
        const degrees = cents / 100;
        const found = nearSlopes(degrees, most).map((near) => `${near.slope.rise}/${near.slope.run}`);
        const tried = byTrying(degrees, most);
        expect(found.at(-1)).toBe(tried.at(-1));
        // A long run of turns is thinned, so some that trying finds are not listed; all that are listed are records.
        expect(found.slice(2).filter((each) => !tried.includes(each))).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });

  it('fall to the right below the horizontal', () => {
    expect(nearSlopes(-45).at(-1)?.slope).toEqual(slope(-1, 1));
    expect(nearSlopes(-35, 10).at(-1)?.slope).toEqual({ rise: -7, run: 10 });
  });

  it.each([0, 45, 90])('meet %i° at once', (degrees) => {
    expect(nearSlopes(degrees).at(-1)?.error).toBe(0);
    expect(nearSlopes(degrees).length).toBeLessThanOrEqual(2);
  });

  it('end, however near they may come', () => {
    for (const degrees of [0.0001, 89.9999, 30, 44.99999]) {
      const found = nearSlopes(degrees);
      expect(found.length).toBeLessThan(60);
      expect(found.every(({ slope: each }) => Math.max(Math.abs(each.rise), each.run) <= MAX_SLOPE)).toBe(
        true,
      );
    }
  });
});
