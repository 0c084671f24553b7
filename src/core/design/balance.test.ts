import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleDesign, someDesign } from '../../../tests/sample-design.ts';
import { add, rational, toText } from '../exact/rational.ts';
import { isSymmetric } from '../thread/symmetry.ts';
import { balanceOf, type ShadeShare } from './balance.ts';
import { designFromStart } from './starts.ts';

function text(shares: readonly ShadeShare[]): string {
  return shares.map(({ shade, count, share }) => `${shade.key} ${count} ${toText(share)}`).join(', ');
}

describe('balanceOf', () => {
  it('counts threads each way and cells on the cloth', () => {
    const balance = balanceOf(sampleDesign('warp: A/4 B2 C/6\nweft: A3 B1\nweave: plain'));
    expect(text(balance.warp.shares)).toBe('A 4 2/7, B 4 2/7, C 6 3/7');
    expect(text(balance.weft.shares)).toBe('A 3 3/4, B 1 1/4');
    expect([balance.warp.largest.shade, balance.warp.smallest.shade]).toEqual(['C', 'B']);
    expect([balance.warp.symmetric, balance.weft.symmetric]).toEqual([true, true]);
  });

  it('shows warp and weft half each in plain weave', () => {
    const balance = balanceOf(sampleDesign('warp: A4\nweft: B4\nweave: plain'));
    expect(text(balance.cloth)).toBe('A 2 1/2, B 2 1/2');
    const face = balanceOf(sampleDesign('warp: A4\nweft: B4\nweave: 3/1Z'));
    expect(text(face.cloth)).toBe('A 12 3/4, B 4 1/4');
  });

  it('counts what a print makes', () => {
    const balance = balanceOf(designFromStart('plaid', 'flat-gingham'));
    expect(balance.cloth.map(({ share }) => toText(share))).toEqual(['1/4', '1/4', '1/4', '1/4']);
  });

  it('adds up to one', () => {
    fc.assert(
      fc.property(someDesign, (design) => {
        const { warp, weft, cloth } = balanceOf(design);
        for (const shares of [warp.shares, weft.shares, cloth]) {
          expect(shares.reduce((sum, { share }) => add(sum, share), rational(0))).toEqual(rational(1));
        }
      }),
      { numRuns: 40 },
    );
  });

  it('knows what is the same turned by 90°', () => {
    expect(balanceOf(sampleDesign('warp: A1 B1\nweave: plain')).sameTurned).toBe(false);
    expect(balanceOf(sampleDesign('warp: A4\nweft: B4\nweave: plain')).sameTurned).toBe(true);
    expect(balanceOf(designFromStart('plaid', 'flat-gingham')).sameTurned).toBe(true);
    expect(balanceOf(designFromStart('plaid', 'candy')).sameTurned).toBe(false);
    expect(balanceOf(sampleDesign('warp: A301 B200\nweave: plain')).sameTurned).toBeUndefined();
  });
});

describe('isSymmetric', () => {
  it('finds an axis where there is one', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(2), { minLength: 1, maxLength: 9 }), (list) => {
        const threads = Uint16Array.from(list);
        const turned = (by: number) => list.map((_, at) => list[(at + by) % list.length]).join();
        const backward = [...list].reverse().join();
        const naive = list.some((_, by) => turned(by) === backward);
        expect(isSymmetric(threads)).toBe(naive);
      }),
    );
  });
});
