import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someStripe } from '../../../../tests/sample-design.ts';
import { rational, toText } from '../../exact/rational.ts';
import { slope } from '../../exact/slope.ts';
import { surdText } from '../../exact/surd-text.ts';
import { checkPartition } from '../../faces/check-partition.ts';
import { checkDesign } from '../check-design.ts';
import { compile } from '../compile-design.ts';
import type { StripeDesign } from '../design-schema.ts';
import { bandScale } from '../lay/lay-schema.ts';
import { newStripe, type StripeOrder } from '../new-design.ts';
import { readDesign } from '../read-design.ts';
import { missesOfStripe } from './prove-stripe.ts';
import { slopeOffers, squareScale } from './slope-offers.ts';
import { stripeBalance } from './stripe-balance.ts';

const SHADES = [
  { key: 'A', name: 'Slate', hex: '#2e4c63' },
  { key: 'B', name: 'White', hex: '#fbf8f0' },
];

function stripe(order: Partial<StripeOrder> = {}): StripeDesign {
  const bands = [
    { shade: 'A', width: '7' },
    { shade: 'B', width: '3' },
  ];
  return newStripe({ name: 'Blind', shades: SHADES, bands, ...order });
}

function sizeOf(design: StripeDesign): string {
  const { pitch } = compile(design);
  return `${surdText(pitch.x)} × ${surdText(pitch.y)}`;
}

describe('the repeat of a stripe', () => {
  it.each([
    ['upright', {}, '10 × 10'],
    ['level', { slope: slope(0, 1) }, '10 × 10'],
    ['at 45°', { slope: slope(1, 1) }, '10√2 × 10√2'],
    ['at 45° along the edge', { slope: slope(1, 1), measured: 'edge' }, '10 × 10'],
    ['at 3/4, a whole diagonal', { slope: slope(3, 4) }, '50/3 × 25/2'],
    ['at 7/10 along the edge', { slope: slope(7, 10), measured: 'edge' }, '10 × 7'],
    ['falling', { slope: slope(-7, 10) }, '10√149/7 × √149'],
    ['in inches', { unit: 'in' }, '254 × 254'],
    ['in points', { unit: 'pt' }, '127/36 × 127/36'],
    ['in pixels at 300 dpi', { unit: 'px' }, '127/150 × 127/150'],
    ['in threads at 24/in', { unit: 'thread' }, '127/12 × 127/12'],
    ['mirrored on shared pivots', { mirror: 'shared' }, '10 × 10'],
    ['mirrored on doubled pivots', { mirror: 'doubled' }, '20 × 20'],
    [
      'with a width in another unit',
      {
        bands: [
          { shade: 'A', width: '1 in' },
          { shade: 'B', width: '4.6' },
        ],
      },
      '30 × 30',
    ],
  ] as const)('%s', (_, order, expected) => {
    expect(sizeOf(stripe(order as Partial<StripeOrder>))).toBe(expected);
  });

  it('is refused above 100 m, with its size', () => {
    expect(() => compile(stripe({ slope: slope(1, 1_000_000) }))).toThrow(
      expect.objectContaining({
        code: 'stripe/too-large',
        facts: { width: '10000', height: '0', most: 100 },
      }),
    );
  });
});

describe('any stripe', () => {
  it('covers its repeat once, repeats, and rolls back when it is painted', () => {
    fc.assert(
      fc.property(someStripe, (design) => {
        const unit = compile(design);
        expect(unit.content.kind === 'partition' && checkPartition(unit.content).closed).toBe(true);
        const report = checkDesign(design, { resolution: '40' });
        if (report.open === 'pixels-vanish') return;
        expect(report.numbers.closed).toBe(true);
        expect(report.painted?.differingBytes).toBe(0);
      }),
      { numRuns: 300 },
    );
  });

  it('is told from one that does not', () => {
    const design = stripe({ slope: slope(3, 4) });
    const unit = compile(design);
    const scale = bandScale(design);
    expect(missesOfStripe(design.construction, scale, unit)).toBe(0);
    const steeper = { ...design.construction, slope: slope(4, 4) };
    expect(missesOfStripe(steeper, scale, unit)).toBe(2);
    const uneven = { ...design.construction, bands: [...design.construction.bands].reverse() };
    expect(missesOfStripe(uneven, scale, unit)).toBe(2);
  });
});

describe('offers of slopes', () => {
  const period = rational(10);

  it('come nearer one by one, and cost more', () => {
    const offers = slopeOffers(35, { period, measured: 'across' }, rational(2000));
    expect(offers.map((offer) => `${offer.slope.rise}/${offer.slope.run}`)).toContain('7/10');
    const errors = offers.map((offer) => Math.abs(offer.error));
    expect(errors).toEqual([...errors].sort((a, b) => b - a));
    const sides = offers.map((offer) => Math.max(offer.slope.rise, offer.slope.run));
    expect(sides).toEqual([...sides].sort((a, b) => a - b));
  });

  it('stay within the limit', () => {
    const offers = slopeOffers(35, { period, measured: 'across' }, rational(125));
    expect(offers.at(-1)?.slope).toEqual({ rise: 7, run: 10 });
  });

  it('scale the bands into a square at 45°', () => {
    expect(toText(squareScale(period, rational(100), 7))).toBe('10/7');
  });
});

describe('the balance of a stripe', () => {
  it('counts what is reflected', () => {
    const bands = ['A', 'B', 'A'].map((shade, index) => ({ shade, width: String(index + 1) }));
    const { shares, symmetric, largest } = stripeBalance(stripe({ bands, mirror: 'shared' }));
    expect(shares.map(({ share }) => toText(share))).toEqual(['1/2', '1/2']);
    expect(symmetric).toBe(true);
    expect(toText(largest.width)).toBe('3');
  });

  it('tells what reads the same backward', () => {
    const three = [...SHADES, { key: 'C', name: 'Brick', hex: '#b0442f' }];
    const bands = ['A', 'B', 'C'].map((shade) => ({ shade, width: '2' }));
    expect(stripeBalance(stripe()).symmetric).toBe(true);
    expect(stripeBalance(stripe({ shades: three, bands })).symmetric).toBe(false);
    const turning = [...bands, { shade: 'B', width: '2' }];
    expect(stripeBalance(stripe({ shades: three, bands: turning })).symmetric).toBe(true);
  });
});

describe('a stripe that is not right', () => {
  const broken = (change: object) => ({ ...stripe(), construction: { ...stripe().construction, ...change } });

  it.each([
    ['a slope of 0/0', { slope: { rise: 0, run: 0 } }],
    ['a slope that is not in lowest terms', { slope: { rise: 2, run: 4 } }],
    ['a width of nothing', { bands: [{ shade: 'A', width: '0' }] }],
    ['no bands', { bands: [] }],
    ['a shade that is not on the card', { bands: [{ shade: 'Q', width: '1' }] }],
    ['a clear shade that is not on the card', { clear: 'Q' }],
    ['an angle beyond a right one', { asked: '91' }],
  ])('is refused: %s', (_, change) => {
    expect(() => readDesign(broken(change))).toThrow('design/field');
  });
});
