import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleDesign, someDesign } from '../../../../tests/sample-design.ts';
import { compileUnit } from '../compile-design.ts';
import { missesOfPlaid } from './prove-plaid.ts';

function missed(text: string, ends: number, picks: number): readonly [number, number] {
  const { construction, shades } = sampleDesign(text);
  return missesOfPlaid(construction, shades, { ends, picks });
}

describe('missesOfPlaid', () => {
  it('finds none for the repeat that any plaid is compiled to', () => {
    fc.assert(
      fc.property(someDesign, (design) => {
        const { width, height } = compileUnit(design).content;
        const misses = missesOfPlaid(design.construction, design.shades, { ends: width, picks: height });
        expect(misses).toEqual([0, 0]);
      }),
    );
  });

  it.each([
    ['half a sett', 'warp: A6 B6\nweave: plain', 6, 12, [12, 0]],
    ['a sett that the weave does not fit', 'warp: A6 B4\nweave: 2/2Z', 10, 20, [10, 0]],
    ['one thread too many', 'warp: A6 B6\nweave: plain', 12, 13, [0, 13]],
    ['a difference far from the start', 'warp: A7 B1\nweave: plain', 2, 8, [2, 0]],
    ['a print moved by a band', 'warp: A6 B2\nprint: multiply', 8, 6, [0, 4]],
  ] as const)('counts them for %s', (_, text, ends, picks, expected) => {
    expect(missed(text, ends, picks)).toEqual(expected);
  });
});
