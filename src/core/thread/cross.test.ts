import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Shade } from '../colour/shade.ts';
import { cellAt } from './cells.ts';
import { cross } from './cross.ts';
import { smallestPeriod } from './smallest-period.ts';
import { interlace } from './weave.ts';

const SHADES: readonly Shade[] = ['A', 'B', 'C'].map((key) => ({ key, name: key, hex: '#000000' }));

const threads = fc
  .array(fc.integer({ min: 0, max: 2 }), { minLength: 1, maxLength: 12 })
  .map((list) => Uint16Array.from(list));

describe('smallestPeriod', () => {
  it('is the smallest shift that changes nothing', () => {
    fc.assert(
      fc.property(threads, fc.integer({ min: 1, max: 4 }), (once, times) => {
        const all = Uint16Array.from(Array.from({ length: times }, () => [...once]).flat());
        const holds = (period: number) => all.every((value, at) => value === all[(at + period) % all.length]);
        let naive = 1;
        while (all.length % naive !== 0 || !holds(naive)) naive += 1;
        expect(smallestPeriod(all)).toBe(naive);
      }),
    );
  });
});

describe('cross', () => {
  it('shows the thread that lies on top, everywhere on the plane', () => {
    const twill = fc.record({
      over: fc.integer({ min: 1, max: 3 }),
      under: fc.integer({ min: 1, max: 3 }),
      hand: fc.constantFrom('Z' as const, 'S' as const),
    });
    fc.assert(
      fc.property(threads, threads, twill, (warp, weft, weave) => {
        const interlacing = interlace(weave);
        const cells = cross({ shades: SHADES, warp, weft, interlacing });
        const { ends, picks, up } = interlacing;
        for (let pick = 0; pick < 30; pick += 1) {
          for (let end = 0; end < 30; end += 1) {
            const over = up[(pick % picks) * ends + (end % ends)] === 1;
            const shown = over ? warp[end % warp.length] : weft[pick % weft.length];
            expect(cellAt(cells, end, -1 - pick)).toBe(shown);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it('repeats after the least common multiple of sett and weave', () => {
    const warp = Uint16Array.from({ length: 30 }, (_, at) => (at < 29 ? 0 : 1));
    const cells = cross({
      shades: SHADES,
      warp,
      weft: Uint16Array.of(0),
      interlacing: interlace({ over: 4, under: 4, hand: 'Z' }),
    });
    expect([cells.width, cells.height]).toEqual([120, 8]);
  });

  it('keeps only the rows that differ', () => {
    const weft = Uint16Array.from({ length: 400 }, (_, at) => (at % 40 < 20 ? 0 : 1));
    const cells = cross({
      shades: SHADES,
      warp: weft,
      weft,
      interlacing: interlace({ over: 2, under: 2, hand: 'Z' }),
    });
    expect(cells.height).toBe(40);
    expect(cells.rows).toHaveLength(8);
  });

  it('says how large the repeat would be when it is too large', () => {
    const warp = Uint16Array.from({ length: 99_991 }, (_, at) => (at === 0 ? 1 : 0));
    expect(() =>
      cross({ shades: SHADES, warp, weft: warp, interlacing: interlace({ over: 32, under: 32, hand: 'Z' }) }),
    ).toThrow(
      expect.objectContaining({
        code: 'repeat/too-large',
        facts: expect.objectContaining({ ends: 6_399_424 }),
      }),
    );
  });
});
