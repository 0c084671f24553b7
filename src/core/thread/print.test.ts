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
const KEYS = SHADES.map((shade) => shade.key);

describe('printOver', () => {
  it('lays the shades that meet over each other, everywhere', () => {
    fc.assert(
      fc.property(someSequence, someSequence, fc.constantFrom('warp', 'weft'), (a, b, top) => {
        const [warp, weft] = [threadsOf(a, KEYS), threadsOf(b, KEYS)];
        const print = { blend: 'multiply', strength: rational(1, 2), top } as const;
        const cells = printOver({ shades: SHADES, warp, weft, print });
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
    const print = { blend: 'normal', strength: rational(1, 2), top: 'warp' } as const;
    const cells = printOver({ shades: SHADES, warp, weft: warp, print });
    expect([cells.width, cells.height, cells.shades.length, cells.rows.length]).toEqual([4, 4, 4, 2]);
    expect(cells.shades.map((shade) => shade.key)).toEqual(['A/A', 'B/A', 'A/B', 'B/B']);
    expect(cells.over).toBeUndefined();
  });

  it.each(['-1', '1.01', '2'])('refuses a strength of %s', (text) => {
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
