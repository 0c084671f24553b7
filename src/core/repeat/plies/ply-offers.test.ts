import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational, toText } from '../../exact/rational.ts';
import { multiplySurds, root, type Surd, surd, surdToNumber } from '../../exact/surd.ts';
import { surdText } from '../../exact/surd-text.ts';
import type { TrueSize } from '../repeat-unit.ts';
import { commonRepeat } from './common-repeat.ts';
import { countOffers, scaleOffers } from './ply-offers.ts';

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
