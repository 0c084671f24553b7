import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../tests/sample-design.ts';
import { designFromText } from '../../core/design/exchange/counts-text.ts';
import { asKind } from '../../core/design/of-kind.ts';
import { takeBands } from './take-bands.ts';

const PLAID = sampleDesign(
  'shades: A=#c02020 Ember, B=#ffffff White, C=#101010 Soot\nwarp: A4 B2\nweave: plain',
);
const STRIPE = asKind(
  'stripe',
  designFromText('shades: A=#c02020 Ember, B=#ffffff White\nstripe: A4 B2', 'Stripe'),
);

const THREADS = [
  { hex: '#c02020', length: 6, count: 12 },
  { hex: '#2040a0', length: 3, count: 6 },
  { hex: '#c02020', length: 3, count: 6 },
];

/** In tenths of a millimetre. */
const WIDTHS = THREADS.map((band, at) => ({ ...band, count: [50, 25, 25][at]! }));

describe('taking the bands', () => {
  it('puts them in the place of a sequence; shades that only it used go, idle ones stay', () => {
    const taken = asKind('plaid', takeBands('warp', THREADS)(PLAID));
    expect(taken.construction.warp).toMatchObject({ mirror: 'none' });
    const shadeOf = (key: string) => taken.shades.find((shade) => shade.key === key)!.hex;
    expect(taken.construction.warp.bands.map(({ shade, count }) => [shadeOf(shade), count])).toEqual([
      ['#c02020', 12],
      ['#2040a0', 6],
      ['#c02020', 6],
    ]);
    expect(taken.shades.map(({ name }) => name)).not.toContain('White');
    expect(taken.shades.map(({ name }) => name)).toContain('Soot');
  });

  it('writes a stripe’s widths as exact decimals', () => {
    const taken = asKind('stripe', takeBands('warp', WIDTHS)(STRIPE));
    expect(taken.construction.bands.map(({ width }) => width)).toEqual(['5', '2.5', '2.5']);
  });
});
