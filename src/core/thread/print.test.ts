import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someSequence } from '../../../tests/sample-design.ts';
import { layOver } from '../colour/blend.ts';
import { rgbOf } from '../colour/hex.ts';
import type { Shade } from '../colour/shade.ts';
import { rational } from '../exact/rational.ts';
import { cellAt } from './cells.ts';
import { parseStrength, printOver } from './print.ts';
import { threadsOf } from './sequence.ts';
import { turnSequence, turnThreads } from './turn.ts';

const SHADES: readonly Shade[] = ['#8c2f25', '#fbf8f0', '#2e4c63'].map((hex, at) => ({
  key: 'ABC'[at]!,
  name: hex,
  hex,
}));
const INKS = SHADES.map((shade) => ({ shade }));
const KEYS = SHADES.map((shade) => shade.key);

describe('printOver', () => {
  it('lays the shades that meet over each other, everywhere', () => {
    fc.assert(
      fc.property(someSequence, someSequence, fc.constantFrom('warp', 'weft'), (a, b, top) => {
        const [warp, weft] = [threadsOf(a, KEYS), threadsOf(b, KEYS)];
        const print = { blend: 'multiply', strength: rational(1, 2), top, ground: '#ffffff' } as const;
        const cells = printOver({ inks: INKS, warp, weft, print });
        for (let pick = 0; pick < 12; pick += 1) {
          for (let end = 0; end < 12; end += 1) {
            const [x, y] = [SHADES[warp[end % warp.length]!]!, SHADES[weft[pick % weft.length]!]!];
            const [under, over] = top === 'warp' ? [y, x] : [x, y];
            const expected = layOver(rgbOf(under.hex), rgbOf(over.hex), 'multiply', 0.5);
            expect(rgbOf(cells.shades[cellAt(cells, end, -1 - pick)]!.hex)).toEqual(expected);
          }
        }
      }),
      { numRuns: 40 },
    );
  });

  it('repeats as its sequences do, with one shade for each pair that meets', () => {
    const warp = Uint16Array.of(0, 0, 1, 1);
    const print = { blend: 'normal', strength: rational(1, 2), top: 'warp', ground: '#000000' } as const;
    const cells = printOver({ inks: INKS, warp, weft: warp, print });
    expect([cells.width, cells.height, cells.shades.length, cells.rows.length]).toEqual([4, 4, 4, 2]);
    expect(cells.shades.map((shade) => shade.key)).toEqual(['A/A', 'B/A', 'A/B', 'B/B']);
    expect(cells.over).toBeUndefined();
  });

  it('lays bands at their own strength on the ground, the stronger over the weaker', () => {
    const [red, white, blue] = SHADES as [Shade, Shade, Shade];
    const inks = [
      { shade: red, strength: rational(3, 5) },
      { shade: white },
      { shade: blue, strength: rational(1) },
    ];
    const threads = Uint16Array.of(0, 1, 2);
    const print = { blend: 'normal', strength: rational(1), top: 'warp', ground: '#ffffff' } as const;
    const cells = printOver({ inks, warp: threads, weft: threads, print });
    const at = (end: number, pick: number) => cells.shades[cellAt(cells, end, -1 - pick)]!.hex;
    const pale = layOver([255, 255, 255], rgbOf(red.hex), 'normal', 0.6);
    expect(rgbOf(at(0, 0))).toEqual(layOver(pale, rgbOf(red.hex), 'normal', 0.6));
    expect(rgbOf(at(0, 1))).toEqual(layOver(rgbOf(white.hex), rgbOf(red.hex), 'normal', 0.6));
    // The line goes over the pale band whichever set of stripes it is in.
    expect([at(2, 0), at(0, 2), at(2, 2)]).toEqual([blue.hex, blue.hex, blue.hex]);
  });

  it('reads a strength as a share or in per cent', () => {
    expect([parseStrength('60%'), parseStrength('3/5'), parseStrength('0.6')]).toEqual(
      Array.from({ length: 3 }, () => rational(3, 5)),
    );
  });

  it.each(['-1', '1.01', '2', '101%'])('refuses a strength of %s', (text) => {
    expect(() => parseStrength(text)).toThrow('print/strength');
  });
});

describe('turning', () => {
  it('begins later and comes round', () => {
    expect([...turnThreads(Uint16Array.of(0, 1, 2, 3), 1)]).toEqual([1, 2, 3, 0]);
    expect([...turnThreads(Uint16Array.of(0, 1, 2, 3), 9)]).toEqual([1, 2, 3, 0]);
  });

  it('is the same for bands as for threads', () => {
    fc.assert(
      fc.property(someSequence, fc.integer({ min: 0, max: 60 }), (sequence, by) => {
        const turned = threadsOf(turnSequence(sequence, by), KEYS);
        expect([...turned]).toEqual([...turnThreads(threadsOf(sequence, KEYS), by)]);
      }),
    );
  });
});
