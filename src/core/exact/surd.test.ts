import Decimal from 'decimal.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uprightRepeat } from './lattice.ts';
import { addPoints, areaOf, coordinates, cross, direction, dot, ORIGIN, turnPoint } from './plane.ts';
import { rational } from './rational.ts';
import {
  addSurds,
  compareSurds,
  divideSurds,
  equalSurds,
  floorSurd,
  hypotenuse,
  multiplySurds,
  nearFraction,
  negateSurd,
  ONE_SURD,
  rationalOf,
  root,
  roundMultiple,
  roundSurd,
  type Surd,
  scaleSurd,
  signOf,
  subtractSurds,
  surd,
  surdToNumber,
  ZERO_SURD,
} from './surd.ts';
import { parseSurd, surdText } from './surd-text.ts';

/** Two hundred digits, by a library of its own. */
const Precise = Decimal.clone({ precision: 200 });

function decimalOf({ terms }: Surd): Decimal {
  return terms.reduce(
    (sum, { coefficient: { n, d }, radicand }) =>
      sum.plus(new Precise(String(n)).div(String(d)).times(new Precise(String(radicand)).sqrt())),
    new Precise(0),
  );
}

/** Of the field of the regular polygons: a + b√2 + c√3 + d√6. */
const part = fc
  .tuple(fc.integer({ min: -40, max: 40 }), fc.integer({ min: 1, max: 12 }))
  .map(([n, d]) => rational(n, d));
const someSurd = fc
  .tuple(part, part, part, part)
  .map(([a, b, c, d]) => [root(b, 2), root(c, 3), root(d, 6)].reduce(addSurds, surd(a)));

describe('surds, against decimals of 200 digits (decimal.js)', () => {
  it('add, multiply and divide', () => {
    fc.assert(
      fc.property(someSurd, someSurd, (a, b) => {
        const near = (value: Surd, expected: Decimal) =>
          expect(decimalOf(value).minus(expected).abs().lt('1e-150')).toBe(true);
        near(addSurds(a, b), decimalOf(a).plus(decimalOf(b)));
        near(subtractSurds(a, b), decimalOf(a).minus(decimalOf(b)));
        near(multiplySurds(a, b), decimalOf(a).times(decimalOf(b)));
        if (b.terms.length === 0) expect(() => divideSurds(a, b)).toThrow('number/zero-divisor');
        else near(divideSurds(a, b), decimalOf(a).div(decimalOf(b)));
      }),
    );
  });

  it('have the sign, the order, the whole part and the nearest double', () => {
    fc.assert(
      fc.property(someSurd, someSurd, (a, b) => {
        expect(signOf(a)).toBe(Math.sign(decimalOf(a).toNumber()));
        expect(compareSurds(a, b)).toBe(decimalOf(a).cmp(decimalOf(b)));
        expect(String(floorSurd(a))).toBe(decimalOf(a).floor().toFixed(0));
        expect(surdToNumber(a)).toBe(decimalOf(a).toNumber());
        expect(
          decimalOf(a)
            .minus(decimalOf(surd(nearFraction(a))))
            .abs()
            .lt('1e-30'),
        ).toBe(true);
      }),
    );
  });

  it('tell the sign where doubles cannot', () => {
    // (√2 − 1)^60 is about 10^−23, the difference of two numbers near 10^22.
    const small = subtractSurds(root(rational(1), 2), ONE_SURD);
    const power = (times: number) =>
      Array.from({ length: times }, () => small).reduce(multiplySurds, ONE_SURD);
    expect(signOf(power(60))).toBe(1);
    expect(signOf(negateSurd(power(60)))).toBe(-1);
    expect(floorSurd(addSurds(power(60), surd(3)))).toBe(3n);
    expect(floorSurd(subtractSurds(surd(3), power(60)))).toBe(2n);
    expect(surdToNumber(power(60))).toBe(decimalOf(power(60)).toNumber());
  });

  it('are equal exactly when their difference is nothing', () => {
    fc.assert(
      fc.property(someSurd, someSurd, (a, b) => {
        expect(equalSurds(subtractSurds(addSurds(a, b), b), a)).toBe(true);
        if (b.terms.length > 0) expect(equalSurds(divideSurds(multiplySurds(a, b), b), a)).toBe(true);
      }),
    );
  });

  it('are written and read', () => {
    fc.assert(
      fc.property(someSurd, (a) => {
        expect(parseSurd(surdText(a))).toEqual(a);
      }),
    );
    expect(surdText(addSurds(ONE_SURD, root(rational(-1, 2), 12)))).toBe('1 − √3');
    expect(parseSurd('3/2 - √8/4')).toEqual(addSurds(surd(rational(3, 2)), root(rational(-1, 2), 2)));
    for (const text of ['', '√', 'a', '1/0', '√0', '1 + ', '2√3√5']) {
      expect(() => parseSurd(text)).toThrow('number/surd');
    }
  });

  it('round a half up', () => {
    expect(roundSurd(surd(rational(5, 2)))).toBe(3n);
    // Halves and roots next to them, for which doubles cannot tell.
    expect(roundMultiple(surd(rational(1, 2)), 5)).toBe(3);
    expect(roundMultiple(surd(rational(-1, 2)), 5)).toBe(-2);
    expect(roundMultiple(surd(rational(999_999_999_999_999n, 2_000_000_000_000_000n)), 1)).toBe(0);
    fc.assert(
      fc.property(someSurd, fc.integer({ min: 1, max: 1 << 24 }), (value, whole) => {
        expect(roundMultiple(value, whole)).toBe(Number(roundSurd(scaleSurd(value, rational(whole)))));
      }),
    );
    expect(roundSurd(surd(rational(-5, 2)))).toBe(-2n);
    expect(roundSurd(root(rational(1), 2))).toBe(1n);
    expect(floorSurd(ZERO_SURD)).toBe(0n);
  });

  it('make hypotenuses', () => {
    expect(rationalOf(hypotenuse(rational(3), rational(4)))).toEqual(rational(5));
    expect(surdText(hypotenuse(rational(1, 2), rational(1, 3)))).toBe('√13/6');
  });
});

describe('directions in steps of 15°', () => {
  it('are of length 1, and turned ones keep their lengths', () => {
    for (let step = -30; step < 30; step += 1) {
      const way = direction(step);
      expect(rationalOf(dot(way, way))).toEqual(rational(1));
      expect(surdToNumber(way.x)).toBeCloseTo(Math.cos((step * Math.PI) / 12), 14);
      expect(surdToNumber(way.y)).toBeCloseTo(Math.sin((step * Math.PI) / 12), 14);
      expect(turnPoint(direction(7), step)).toEqual(direction(7 + step));
    }
  });

  it.each([3, 4, 6, 8, 12])('a regular %i-gon has the area n/(4 tan(π/n)) (handbook formula)', (sides) => {
    let at = ORIGIN;
    const corners = Array.from({ length: sides }, (_, side) => {
      at = addPoints(at, direction((side * 24) / sides));
      return at;
    });
    expect(corners.at(-1)).toEqual(ORIGIN);
    expect(surdToNumber(areaOf(corners))).toBeCloseTo(sides / (4 * Math.tan(Math.PI / sides)), 13);
  });

  it('lie in steps of any two that are not parallel', () => {
    const { u, v } = coordinates(direction(3), direction(0), direction(5));
    expect(surdToNumber(u) + surdToNumber(v) * Math.cos((75 * Math.PI) / 180)).toBeCloseTo(Math.SQRT1_2, 14);
    expect(signOf(cross(direction(3), direction(5)))).toBe(1);
    expect(() => coordinates(direction(3), direction(0), direction(12))).toThrow('number/zero-divisor');
  });
});

describe('the upright repeat of a lattice', () => {
  it('is 1 : √3 for hexagons, and is none where lines never come level', () => {
    const { width, height } = uprightRepeat([direction(2), direction(6)])!;
    expect(surdText(width)).toBe('√3');
    expect(surdText(height)).toBe('1');
    expect(uprightRepeat([direction(1), direction(7)])).toBeUndefined();
  });
});
