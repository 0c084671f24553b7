import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someSequence } from '../../../tests/sample-design.ts';
import { rational, round, toText } from '../exact/rational.ts';
import type { Bands } from './edit-bands.ts';
import {
  fitRepeats,
  repeatBands,
  reverseBands,
  rotateBands,
  scaleBands,
  scaleTo,
  spaceBands,
  tradeShades,
} from './rework.ts';
import { graduatedRun } from './runs.ts';
import { threadCount } from './sequence.ts';

const THREE: Bands = [
  { shade: 'A', count: 4 },
  { shade: 'B', count: 2 },
  { shade: 'C', count: 6 },
];

function text(bands: Bands): string {
  return bands.map(({ shade, count }) => `${shade}${count}`).join(' ');
}

function counts(bands: Bands): number[] {
  return bands.map(({ count }) => count);
}

describe('graduated runs', () => {
  it('grow by a step, a ratio or their two forerunners, the shades in turn', () => {
    const arithmetic = { kind: 'arithmetic', first: rational(2), step: rational(3) } as const;
    expect(text(graduatedRun(arithmetic, 4, ['A', 'B']))).toBe('A2 B5 A8 B11');
    const geometric = { kind: 'geometric', first: rational(2), ratio: rational(3, 2) } as const;
    expect(counts(graduatedRun(geometric, 5, ['A']))).toEqual([2, 3, 5, 6, 10]);
    const fibonacci = { kind: 'fibonacci', first: rational(1), second: rational(2) } as const;
    expect(counts(graduatedRun(fibonacci, 7, ['A']))).toEqual([1, 2, 3, 5, 8, 13, 21]);
  });

  it('keep the exact total, rounded once', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 20 }), fc.integer({ min: 5, max: 20 }), (first, tenths) => {
        const ratio = rational(tenths, 10);
        let [exact, width] = [rational(0), rational(first)];
        for (let band = 0; band < 3; band += 1) {
          exact = rational(exact.n * width.d + width.n * exact.d, exact.d * width.d);
          width = rational(width.n * ratio.n, width.d * ratio.d);
        }
        const run = graduatedRun({ kind: 'geometric', first: rational(first), ratio }, 3, ['A']);
        expect(counts(run).reduce((sum, count) => sum + count, 0)).toBe(Number(round(exact)));
      }),
    );
  });

  it.each([
    [{ kind: 'arithmetic', first: rational(3), step: rational(-2) } as const, 4, 'run/zero'],
    [{ kind: 'geometric', first: rational(1), ratio: rational(1, 4) } as const, 4, 'run/zero'],
    [{ kind: 'geometric', first: rational(9), ratio: rational(10) } as const, 2000, 'sequence/threads'],
    [{ kind: 'arithmetic', first: rational(1), step: rational(0) } as const, 0, 'run/bands'],
    [{ kind: 'arithmetic', first: rational(1), step: rational(0) } as const, 2001, 'run/bands'],
  ])('refuse what cannot be: case %#', (growth, bands, code) => {
    expect(() => graduatedRun(growth, bands, ['A'])).toThrow(expect.objectContaining({ code }));
  });
});

describe('reworking', () => {
  it.each([
    ['reverse', reverseBands(THREE), 'C6 B2 A4'],
    ['rotate', rotateBands(THREE, 1), 'B2 C6 A4'],
    ['rotate back', rotateBands(THREE, -1), 'C6 A4 B2'],
    ['repeat', repeatBands(THREE, 2), 'A4 B2 C6 A4 B2 C6'],
    ['space', spaceBands(THREE, { shade: 'D', count: 1 }, false), 'A4 D1 B2 D1 C6'],
    ['trade shades', tradeShades(THREE, 'A', 'B'), 'B4 A2 C6'],
    ['scale', scaleBands(THREE, rational(3, 2)), 'A6 B3 C9'],
    ['scale with rounding', scaleBands(THREE, rational(5, 4)), 'A5 B3 C7'],
  ])('%s', (_, bands, expected) => {
    expect(text(bands)).toBe(expected);
  });

  it.each([
    [() => scaleBands(THREE, rational(1, 9)), 'run/zero'],
    [() => repeatBands(THREE, 0), 'run/times'],
    [() => fitRepeats(rational(5), 9), 'run/no-fit'],
  ])('refuses what cannot be: case %#', (work, code) => {
    expect(work).toThrow(expect.objectContaining({ code }));
  });

  it('scales to a number of threads, to one thread at most where it is doubled', () => {
    fc.assert(
      fc.property(someSequence, fc.integer({ min: 60, max: 900 }), (sequence, threads) => {
        const reached = threadCount({ ...sequence, bands: scaleTo(sequence, threads) });
        const odd = sequence.mirror === 'doubled' ? threads % 2 : 0;
        expect(Math.abs(threads - reached)).toBe(odd);
      }),
    );
  });

  it('fits 11 repeats into 60 inches of 24 ends', () => {
    const fits = fitRepeats(rational(1440), 11);
    expect(fits.map(({ threads, left }) => `${threads} ${toText(left)}`)).toEqual(['130 10', '131 -1']);
  });
});
