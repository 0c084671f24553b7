import fc from 'fast-check';
import Fraction from 'fraction.js';
import { describe, expect, it } from 'vitest';
import { convergents } from '../../src/core/exact/continued-fraction.ts';
import { parseExact } from '../../src/core/exact/parse-exact.ts';
import { add, compare, divide, multiply, rational, subtract, toText } from '../../src/core/exact/rational.ts';

/** An independent library: fraction.js, exact fractions over BigInt. */
function theirs({ n, d, s }: Fraction): string {
  return d === 1n ? `${s * n}` : `${s * n}/${d}`;
}

describe('rationals against fraction.js', () => {
  it('agree in sums, differences, products, quotients and order', () => {
    const number = fc.tuple(fc.bigInt(-(10n ** 15n), 10n ** 15n), fc.bigInt(1n, 10n ** 12n));
    fc.assert(
      fc.property(number, number, ([a, b], [c, d]) => {
        const [x, y] = [rational(a, b), rational(c, d)];
        const [p, q] = [new Fraction(a, b), new Fraction(c, d)];
        expect(toText(add(x, y))).toBe(theirs(p.add(q)));
        expect(toText(subtract(x, y))).toBe(theirs(p.sub(q)));
        expect(toText(multiply(x, y))).toBe(theirs(p.mul(q)));
        if (c !== 0n) expect(toText(divide(x, y))).toBe(theirs(p.div(q)));
        expect(compare(x, y)).toBe(Math.sign(p.compare(q)));
      }),
    );
  });

  it('agree in what a decimal is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10 ** 9 }), fc.integer({ min: 0, max: 999 }), (whole, part) => {
        const text = `${whole}.${String(part).padStart(3, '0')}`;
        expect(toText(parseExact(text))).toBe(theirs(new Fraction(text)));
      }),
    );
  });
});

describe('best whole-number ratios', () => {
  // Source: T. L. Heath, The Works of Archimedes, 1897 (265/153 < √3 < 1351/780); the others are continued
  // fractions of √3 and √2, common to any handbook of number theory. From memory.
  it.each([
    [3, ['2', '5/3', '7/4', '19/11', '26/15', '71/41', '97/56', '265/153', '362/209', '989/571', '1351/780']],
    [2, ['3/2', '7/5', '17/12', '41/29', '99/70', '239/169', '577/408']],
  ])('of √%i', (square, ratios) => {
    const found = convergents(rootOf(BigInt(square))).map(toText);
    expect(found.slice(1, ratios.length + 1)).toEqual(ratios);
  });

  /** The square root cut after 30 decimals, by integers. */
  function rootOf(square: bigint) {
    const scale = 10n ** 30n;
    let root = scale * 2n;
    for (let next = (root + (square * scale * scale) / root) / 2n; next < root; ) {
      root = next;
      next = (root + (square * scale * scale) / root) / 2n;
    }
    return rational(root, scale);
  }
});
