import { describe, expect, it } from 'vitest';
import { readDesign } from '../core/design/read-design.ts';
import { designFromStart } from '../core/design/starts.ts';
import { type Straps, USUAL_STRAPS } from '../core/design/strap/strap-schema.ts';
import { strapsOfDesign } from '../core/design/strap/straps-of-design.ts';
import { cellsText, orderText, strapLines } from './strap-words.ts';

function linesOf(start: string, straps: Partial<Straps> = {}): readonly string[] {
  const design = designFromStart('motif', start);
  const all = { ...USUAL_STRAPS, ...straps };
  const made = readDesign({ ...design, construction: { ...design.construction, straps: all } });
  return strapLines(strapsOfDesign(made)!, all);
}

describe('what is said of straps', () => {
  it('tells how many there are, what they follow and whether they hang together', () => {
    expect(linesOf('lattice-of-straps')).toEqual([
      'Straps: 2, which cross 2 times in one box.',
      'Every crossing follows over and under in turn.',
      'The straps hang together.',
    ]);
  });

  it('tells parts, and straps that never go under', () => {
    expect(linesOf('lattice-of-straps', { order: { by: 'family' } })).toEqual([
      'Straps: 2, which cross 2 times in one box.',
      'Every crossing follows one family over the other.',
      'The straps fall apart into 2 parts. 1 strap never goes under.',
    ]);
  });

  it('offers the boxes that an order needs', () => {
    expect(
      linesOf('lattice-of-straps', { order: { by: 'twill', over: 2, under: 1, climbs: 'left' } })[1],
    ).toMatch(
      /^In one box it cannot be twill 2\/1 all round; 3 boxes make it so, a repeat of 120 × 40 mm\.$/,
    );
  });

  it.each([
    [{ across: 1, shift: 0, up: 1 }, 'one box'],
    [{ across: 2, shift: 0, up: 1 }, 'two boxes side by side'],
    [{ across: 1, shift: 0, up: 2 }, 'two boxes one above the other'],
    [{ across: 2, shift: 1, up: 1 }, 'two boxes, each row moved by one'],
    [{ across: 4, shift: 3, up: 1 }, '4 boxes, each row moved by 3'],
    [{ across: 2, shift: 0, up: 3 }, '2 × 3 boxes'],
  ])('counts boxes %o as %s', (cells, text) => {
    expect(cellsText(cells)).toBe(text);
  });

  it('names every order', () => {
    const names = [
      { by: 'turns' },
      { by: 'family' },
      { by: 'twill', over: 1, under: 1, climbs: 'right' },
      { by: 'twill', over: 3, under: 1, climbs: 'right' },
      { by: 'basket', straps: 3 },
    ] as const;
    expect(names.map((order) => orderText({ order }))).toEqual([
      'over and under in turn',
      'one family over the other',
      'plain weave',
      'twill 3/1',
      'basket of 3',
    ]);
  });
});
