import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { rational } from '../../core/exact/rational.ts';
import { UNSHRUNK } from '../../core/formats/shrinkage.ts';
import { queryOf, readWish, type SendWish, useSend } from './send-store.ts';
import { fitScale } from './use-send-preview.ts';

const DESIGN = sampleDesign(SAMPLE);
const WISH: SendWish = { ...useSend.getInitialState(), across: '2', down: '3', size: '300 x 200 mm' };

function asked(wish: SendWish, design: Design = DESIGN): string {
  return String(queryOf(wish, design));
}

describe('what is to be sent', () => {
  it('is flattened where it blends, and nowhere else', () => {
    const flat: SendWish = { ...WISH, file: 'svg', flatten: true };
    expect(asked(flat, designFromStart('plies', 'crossed-stripes'))).toContain('flatten=&dpi=300');
    expect(asked(flat)).not.toContain('flatten');
  });

  it('is read in numbers, or told in words', () => {
    expect(readWish(WISH, DESIGN)).toEqual({
      value: { scale: { dpi: rational(300) }, sheet: undefined, stretch: UNSHRUNK, isTrue: false },
    });
    expect(readWish({ ...WISH, scale: 'thread', perThread: '2*3' }, DESIGN)).toMatchObject({
      value: { scale: { perStep: 6 } },
    });
    expect(readWish({ ...WISH, what: 'size' }, DESIGN)).toMatchObject({
      value: { sheet: { kind: 'size', size: { width: rational(300), height: rational(200) } } },
    });
    expect(readWish({ ...WISH, what: 'repeats' }, DESIGN)).toMatchObject({
      value: { sheet: { kind: 'repeats', repeats: { across: 2, down: 3 } } },
    });
    expect(readWish({ ...WISH, what: 'size', size: '600 x 300 px' }, DESIGN)).toMatchObject({
      value: { sheet: { size: { width: rational(508, 10), height: rational(254, 10) } } },
    });
    expect(readWish({ ...WISH, what: 'size', size: 'large' }, DESIGN)).toEqual({
      problem: '“large” is not a number. Write one such as 24, 0.35, 3/4 or 2*12.',
    });
  });

  it.each<[wish: Partial<SendWish>, query: string]>([
    [{}, 'dpi=300'],
    [{ scale: 'thread', what: 'size' }, 'perThread=4&size=300+x+200+mm'],
    [{ drawn: 'finished' }, 'dpi=300&drawn=finished'],
    [{ colourway: 'Night' }, 'dpi=300&colourway=Night'],
    [{ file: 'csv', what: 'size' }, ''],
    [{ file: 'jpg', chroma: 'half', profile: false }, 'dpi=300&quality=90&chroma=half&profile=none'],
    [{ file: 'tif', what: 'repeats' }, 'dpi=300&compression=lzw&repeats=2+x+3'],
    [{ file: 'svg', shrink: '4%, 2%' }, 'shrink=4%25%2C+2%25'],
  ])('%j is asked for as %s', (wish, query) => {
    expect(asked({ ...WISH, ...wish })).toBe(query);
  });

  it.each<[wish: Partial<SendWish>, words: RegExp]>([
    [{ file: 'jpg', quality: '0' }, /from 1 to 100, got “0”/],
    [{ file: 'webp', quality: '101' }, /from 1 to 100/],
    [{ shrink: '70%' }, /from 0 to 50 %/],
    [{ shrink: '4%,' }, /from 0 to 50 %/],
  ])('%j is told in words', (wish, words) => {
    expect(readWish({ ...WISH, ...wish }, DESIGN)).toEqual({ problem: expect.stringMatching(words) });
  });

  it('is shown shrunk to its room, or enlarged by a whole number', () => {
    expect(fitScale({ width: 3600, height: 1800 }, { width: 900, height: 900 })).toBe(0.25);
    expect(fitScale({ width: 100, height: 50 }, { width: 350, height: 900 })).toBe(3);
    expect(fitScale({ width: 2, height: 2 }, { width: 900, height: 900 })).toBe(12);
  });
});
