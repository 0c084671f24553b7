import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational, toText } from '../../exact/rational.ts';
import { addSurds, multiplySurds, root, type Surd, surd, surdToNumber } from '../../exact/surd.ts';
import { surdText } from '../../exact/surd-text.ts';
import { turnOf } from '../lay/exact-turn.ts';
import type { TrueSize } from '../repeat-unit.ts';
import { commonRepeat } from './common-repeat.ts';
import { angleOffers, countOffers, scaleOffers } from './ply-offers.ts';

const size = (width: Surd, height = width): TrueSize => ({ width, height });

/** An offer as text: factor, repeats to one of those beneath, width of the common repeat. */
const told = (beneath: TrueSize, ply: TrueSize) =>
  scaleOffers(beneath, ply).map(
    ({ factor, repeats, size: common }) => `${surdText(factor)} ${toText(repeats)} ${surdText(common.width)}`,
  );

describe('other counts of threads', () => {
  it('bring 24 and 35 together after 72 with 36 in its place, and not after 840', () => {
    expect(commonRepeat([size(surd(24)), size(surd(35))])).toMatchObject({ size: size(surd(840)) });
    expect(countOffers(24, 35)).toContainEqual({ count: 36, common: 72 });
  });

  it('are whole multiples, and never the one that there is', () => {
    const count = fc.integer({ min: 1, max: 400 });
    fc.assert(
      fc.property(count, count, (beneath, threads) => {
        for (const { count: other, common } of countOffers(beneath, threads)) {
          expect([common % beneath, common % other]).toEqual([0, 0]);
          expect(other).not.toBe(threads);
          expect(Math.abs(other - threads)).toBeLessThanOrEqual(Math.max(1, threads / 4));
        }
      }),
    );
  });

  it('cost more the nearer they are', () => {
    const offers = countOffers(24, 35);
    for (const [at, offer] of offers.slice(1).entries()) {
      expect(offer.common).toBeGreaterThan(offers[at]!.common);
      expect(Math.abs(offer.count - 35)).toBeLessThan(Math.abs(offers[at]!.count - 35));
    }
  });
});

describe('other scales', () => {
  it('bring 24 and 35 together after 72 rather than 840', () => {
    expect(told(size(surd(24)), size(surd(35)))).toContain('36/35 2/3 72');
  });

  it('make so many repeats as wide as one beneath where widths are in no ratio', () => {
    const [first] = scaleOffers(size(surd(10)), size(root(rational(3), 2)));
    // 3√2 = 4.24…: a scale of √2·5/6 makes two of them 10 wide.
    expect(toText(first!.repeats)).toBe('2');
    expect(surdText(multiplySurds(root(rational(3), 2), first!.factor))).toBe('5');
    expect(surdText(first!.size.width)).toBe('10');
  });

  it('are none where the shape closes in one direction alone', () => {
    expect(scaleOffers(size(surd(10)), size(surd(4), root(rational(4), 3)))).toEqual([]);
  });

  it('close with what lies beneath, each nearer and dearer than the one before', () => {
    const some = fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 9 }));
    fc.assert(
      fc.property(some, some, ([a, b], [c, d]) => {
        const beneath = size(surd(rational(a, b)));
        const ply = size(surd(rational(c, d)));
        const offers = scaleOffers(beneath, ply);
        let before: { away: number; cost: number } | undefined;
        for (const { factor, repeats, size: common } of offers) {
          const scaled = size(multiplySurds(ply.width, factor));
          expect(commonRepeat([beneath, scaled])).toMatchObject({ kind: 'common', size: common });
          const ratio = surdToNumber(beneath.width) / surdToNumber(scaled.width);
          expect(ratio).toBeCloseTo(Number(repeats.n) / Number(repeats.d), 9);
          const away = Math.abs(Math.log(surdToNumber(factor)));
          const cost = surdToNumber(common.width);
          if (before !== undefined) {
            expect(away).toBeLessThan(before.away);
            expect(cost).toBeGreaterThan(before.cost);
          }
          before = { away, cost };
        }
      }),
    );
  });
});

describe('other angles', () => {
  const square = size(surd(10));

  it('of squares over squares are those of right triangles with whole sides', () => {
    const offers = angleOffers(square, square, { degrees: 45, most: 1000 });
    expect(offers).toHaveLength(2);
    for (const { slope, size: common } of offers) {
      const length = Math.hypot(slope.up, slope.across);
      expect(Number.isInteger(length)).toBe(true);
      expect(surdText(common.width)).toBe(String(10 * length));
    }
    // 3, 4, 5 is the cheapest near 45°, 20, 21, 29 the nearest.
    expect(Math.hypot(offers[0]!.slope.up, offers[0]!.slope.across)).toBe(5);
    expect(Math.abs(offers.at(-1)!.degrees - 45)).toBeLessThan(1.5);
  });

  it('of repeats that are √3 as high as wide are sixths of a turn, four repeats together', () => {
    const hexagons = size(surd(10), root(rational(10), 3));
    expect(angleOffers(hexagons, hexagons, { degrees: 58, most: 1000 })[0]).toMatchObject({
      slope: { up: 1, across: 1 },
      size: { width: surd(20), height: root(rational(20), 3) },
    });
  });

  it('cost more the nearer they are, and close exactly', () => {
    const ply = size(surd(6), surd(8));
    const offers = angleOffers(square, ply, { degrees: 30, most: 1000 });
    expect(offers.length).toBeGreaterThan(1);
    for (const [at, { slope, size: common }] of offers.entries()) {
      const turned = turnOf(ply, slope).size;
      expect(commonRepeat([square, turned])).toMatchObject({ kind: 'common', size: common });
      const before = offers[at - 1];
      if (before === undefined) continue;
      expect(Math.abs(offers[at]!.degrees - 30)).toBeLessThan(Math.abs(before.degrees - 30));
    }
  });

  it.each([90, -90, 0])('are that of %s° itself where it closes', (degrees) => {
    expect(angleOffers(square, square, { degrees, most: 1 })).toMatchObject([{ degrees, error: 0 }]);
    expect(angleOffers(square, size(surd(6), surd(8)), { degrees, most: 1 }).at(-1)).toMatchObject({
      degrees,
      error: 0,
    });
  });

  it('are none of those that hold more repeats than can be laid', () => {
    const slopes = angleOffers(square, square, { degrees: 45, most: 25 }).map(({ slope }) => slope);
    // 3 on 4 holds 25 repeats, 20 on 21 holds 841.
    expect(slopes.map(({ up, across }) => Math.hypot(up, across))).toEqual([5]);
  });

  it('are none where the shape itself never turns upright', () => {
    expect(
      angleOffers(square, size(surd(10), addSurds(surd(10), root(rational(1), 2))), {
        degrees: 30,
        most: 1000,
      }),
    ).toEqual([]);
  });
});
