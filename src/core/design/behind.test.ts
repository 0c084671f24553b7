import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleDesign, someDesign } from '../../../tests/sample-design.ts';
import { buildWeave } from '../thread/weaves/build-weave.ts';
import { seenFromBehind } from './behind.ts';
import { compileUnit } from './compile-design.ts';
import type { PlaidDesign } from './design-schema.ts';
import { asKind } from './of-kind.ts';
import { threadsOfPlaid } from './plaid/compile-plaid.ts';

/** The shade on each side of every crossing of one repeat, told thread by thread. */
function sides(design: PlaidDesign): { face: string[]; back: string[] } {
  const { construction, shades } = design;
  const { warp, weft } = threadsOfPlaid(construction, shades);
  const { ends, picks, up } = buildWeave(construction.weave);
  const { width, height } = compileUnit(design).content;
  const [face, back]: [string[], string[]] = [[], []];
  for (let pick = 0; pick < height; pick += 1) {
    for (let end = 0; end < width; end += 1) {
      const [a, b] = [shades[warp[end % warp.length]!]!.key, shades[weft[pick % weft.length]!]!.key];
      const over = up[(pick % picks) * ends + (end % ends)] === 1;
      face.push(over ? a : b);
      // Seen from behind, the row runs the other way.
      back.splice(pick * width, 0, over ? b : a);
    }
  }
  return { face, back };
}

describe('seen from behind', () => {
  it('every crossing shows the other thread, left and right exchanged', () => {
    const woven = someDesign.filter(({ construction }) => construction.crossing === 'woven');
    fc.assert(
      fc.property(woven, (design) => {
        const behind = asKind('plaid', seenFromBehind(design));
        expect(sides(behind).face).toEqual(sides(design).back);
      }),
      { numRuns: 60 },
    );
  });

  it('twice is the face again', () => {
    const design = sampleDesign('warp: A4 B2 C3\nweft: B3 A1\nweave: 3/1S');
    expect(sides(asKind('plaid', seenFromBehind(seenFromBehind(design)))).face).toEqual(sides(design).face);
  });

  it('is nothing else for a print', () => {
    const print = sampleDesign('warp: A4 B2\nprint: multiply');
    expect(seenFromBehind(print)).toBe(print);
  });
});
