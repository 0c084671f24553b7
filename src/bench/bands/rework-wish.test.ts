import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../tests/sample-design.ts';
import { designFromText } from '../../core/design/exchange/counts-text.ts';
import { multiply, rational, toDecimal } from '../../core/exact/rational.ts';
import { formatThreadCount } from '../../core/formats/thread-count.ts';
import { type ReworkWish, rework } from './rework-wish.ts';

const DESIGN = sampleDesign(
  'shades: A=#000, B=#fff, C=#888\nwarp: A/20 B10 C/12\nweave: 2/2Z\ndensity: 24 x 20/in',
);

const WISH: ReworkWish = {
  kind: 'run',
  growth: 'arithmetic',
  first: '2',
  by: '2',
  bands: '4',
  times: '2',
  factor: '3/2',
  at: '24',
  count: '2',
  width: '60 in',
  larger: false,
  shade: 'A',
  other: 'B',
  colour: '#112233',
  atWrap: false,
};

function made(change: Partial<ReworkWish>): string {
  const { bands, note } = rework(DESIGN, 'warp', { ...WISH, ...change });
  return `${formatThreadCount({ bands, mirror: 'none' })}${note === '' ? '' : ` | ${note}`}`;
}

describe('rework', () => {
  it.each([
    [{}, 'A2 B4 A6 B8'],
    [{ growth: 'geometric' as const, first: '1', by: '3/2*2' }, 'A1 B3 A9 B27'],
    [{ growth: 'fibonacci' as const, first: '1', by: '2' }, 'A1 B2 A3 B5'],
    [{ other: 'Q' }, 'A2 A4 A6 A8'],
    [{ kind: 'line' as const, shade: 'C' }, 'A20 B4 C2 B4 C12'],
    [{ kind: 'scale' as const, factor: '1/4' }, 'A5 B3 C3 | Exactly 10.5 typed threads; rounded, 11.'],
    [{ kind: 'reverse' as const }, 'C12 B10 A20'],
    [{ kind: 'rotate' as const, times: '1' }, 'B10 C12 A20'],
    [{ kind: 'space' as const, shade: 'C', count: '1' }, 'A20 C1 B10 C1 C12'],
    [{ kind: 'space' as const, shade: '', count: '2' }, 'A20 D2 B10 D2 C12'],
    [{ kind: 'line' as const, shade: 'C', count: '1/12 in' }, 'A20 B4 C2 B4 C12'],
    [{ kind: 'trade' as const }, 'B20 A10 C12'],
    [
      { kind: 'fit' as const, times: '11' },
      'A50 B25 C30 | 1440 threads lie in that width: 11 repeats of 130 leave 10 over.',
    ],
    [
      { kind: 'fit' as const, times: '11', larger: true },
      'A49 B26 C30 | 1440 threads lie in that width: 11 repeats of 131 are 1 too many.',
    ],
    [
      { kind: 'fit' as const, times: '24', width: '60in' },
      'A23 B12 C13 | 1440 threads lie in that width: 24 repeats of 60 fill it.',
    ],
  ])('%o', (change, expected) => {
    expect(made(change)).toBe(expected);
  });

  it.each([
    [{ first: 'x' }, 'number/syntax'],
    [{ bands: '2.5' }, 'number/not-whole'],
    [{ bands: '0' }, 'number/not-whole'],
    [{ by: '-2' }, 'run/zero'],
    [{ kind: 'line' as const, at: '99' }, 'overcheck/place'],
    [{ kind: 'fit' as const, width: 'wide' }, 'number/syntax'],
  ])('refuses %o', (change, code) => {
    expect(() => made(change)).toThrow(expect.objectContaining({ code }));
  });
});

describe('rework of measured bands', () => {
  const STRIPE = designFromText('stripe: G12 W6\nunit: mm', 'Blind');
  const widths = (change: Partial<ReworkWish>) => {
    const { bands, step } = rework(STRIPE, 'warp', { ...WISH, ...change });
    return bands
      .map(({ shade, count }) => `${shade}${toDecimal(multiply(step!, rational(count)), 5)}`)
      .join(' ');
  };

  it.each([
    [{ kind: 'space' as const, shade: 'W', count: '1.5' }, 'G12 W1.5 W6'],
    [{ kind: 'space' as const, shade: 'W', count: '1.5', atWrap: true }, 'G12 W1.5 W6 W1.5'],
    // At 300 dpi a pixel is 0.08467 mm.
    [{ kind: 'space' as const, shade: 'W', count: '1 px' }, 'G12 W0.08467 W6'],
    [{ first: '2', by: '1/2', bands: '3', shade: 'G', other: 'W' }, 'G2 W2.5 G3'],
    [{ first: '1/4 in', by: '2 mm', bands: '2', shade: 'G', other: 'W' }, 'G6.35 W8.35'],
  ])('%o', (change, expected) => {
    expect(widths(change)).toBe(expected);
  });
});
