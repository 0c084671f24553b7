import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational } from './rational.ts';
import { squareRoot } from './square-root.ts';
import { addSurds, multiplySurds, negateSurd, root, signOf, surd } from './surd.ts';
import { parseSurd, surdText } from './surd-text.ts';

describe('square roots of sums of square roots', () => {
  it.each([
    ['0', '0'],
    ['9/4', '3/2'],
    ['12', '2√3'],
    ['8 + 4√3', '√2 + √6'],
    ['2 − √3', '−√2/2 + √6/2'],
    ['3 + 2√2', '1 + √2'],
    ['10 + 2√2 + 2√3 + 2√6', undefined],
    ['6 + 2√2 + 2√3 + 2√6', '1 + √2 + √3'],
    ['4 + 2√2', undefined],
    ['√2', undefined],
    ['−1', undefined],
  ])('√(%s) = %s', (text, expected) => {
    const found = squareRoot(parseSurd(text));
    expect(found && surdText(found)).toBe(expected);
  });

  it('undo squares, whatever is squared', () => {
    const part = fc
      .tuple(fc.integer({ min: -12, max: 12 }), fc.integer({ min: 1, max: 6 }))
      .map(([n, d]) => rational(n, d));
    fc.assert(
      fc.property(part, part, part, part, (a, b, c, d) => {
        const value = [root(b, 2), root(c, 3), root(d, 6)].reduce(addSurds, surd(a));
        const size = signOf(value) < 0 ? negateSurd(value) : value;
        expect(squareRoot(multiplySurds(value, value))).toEqual(size);
      }),
    );
  });
});
