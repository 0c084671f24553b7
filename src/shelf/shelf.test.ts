import { describe, expect, it } from 'vitest';
import type { Shelf, Summary } from '../contracts/shelf.ts';
import { PLAID_STARTS } from '../core/design/plaid/plaid-starts.ts';
import { designFromStart } from '../core/design/starts.ts';
import { countDesigns, hang } from './shelf-state.ts';
import { fieldsOf, startDesign } from './start-design.ts';

function design(name: string, more: Partial<Summary> = {}): Summary {
  return {
    id: name,
    name,
    number: '',
    kind: 'plaid',
    version: 1,
    verdict: 'Exact',
    size: '8 × 8 threads',
    area: 71.7,
    favourite: false,
    updatedAt: '2026-01-01',
    ...more,
    search: `${name} ${more.search ?? ''}`.toLowerCase(),
  };
}

const SHELF: Shelf = {
  title: 'Shelf',
  ranges: [
    {
      id: 'r',
      name: 'Rugs',
      designs: [
        design('Rug 10', { updatedAt: '2026-02-01' }),
        design('Rug 2', { area: 35.8, favourite: true }),
      ],
    },
    { id: '', name: '', designs: [design('Blind', { kind: 'stripe', search: 'slate water' })] },
  ],
  binned: 0,
  unreadable: 0,
};

function names(view: Partial<Parameters<typeof hang>[1]>): string[] {
  return hang(SHELF, { search: '', kind: 'all', order: 'range', favourites: false, ...view }).flatMap(
    (range) => range.designs.map(({ name }) => name),
  );
}

describe('hang', () => {
  it.each([
    [{}, ['Rug 10', 'Rug 2', 'Blind']],
    [{ search: 'rug' }, ['Rug 10', 'Rug 2']],
    [{ search: 'WATER blind' }, ['Blind']],
    [{ search: 'nothing' }, []],
    [{ kind: 'stripe' as const }, ['Blind']],
    [{ favourites: true }, ['Rug 2']],
    [{ order: 'name' as const }, ['Blind', 'Rug 2', 'Rug 10']],
    [{ order: 'newest' as const }, ['Rug 10', 'Rug 2', 'Blind']],
    [{ order: 'repeat' as const }, ['Rug 2', 'Rug 10', 'Blind']],
  ])('%o', (view, shown) => {
    expect(names(view)).toEqual(shown);
    expect(countDesigns(SHELF)).toBe(3);
  });
});

describe('startDesign', () => {
  const start = designFromStart('plaid', 'mirrored');
  const typed = { ...fieldsOf(start), name: '' };

  it('is the start point itself when nothing is changed', () => {
    for (const { key } of PLAID_STARTS) {
      const design = designFromStart('plaid', key);
      expect(startDesign(design, { ...fieldsOf(design), name: design.name }, {})).toEqual({ design });
    }
  });

  it('keeps the shades that are given, finds others for new letters and colours, and takes what was changed', () => {
    const result = startDesign(start, { ...typed, warp: 'G4 Q2 teal 2' }, { Q: { hex: '#112233' } });
    if (!('design' in result)) throw new Error('expected a design');
    expect(result.design.name).toBe('Untitled');
    expect(result.design.shades.map((shade) => shade.key)).toEqual(['G', 'Q', 'T']);
    expect(result.design.shades.map((shade) => shade.hex)).toEqual(['#2a5340', '#112233', '#008080']);
    expect(result.design.shades[1]!.name).not.toBe('Quartz');
  });

  it('knows colours by the words that named them, whatever they became', () => {
    const result = startDesign(start, { ...typed, warp: 'green 4 red 2' }, { G: { hex: '#112233' } });
    expect(result).toMatchObject({
      design: {
        shades: [
          { key: 'G', hex: '#112233' },
          { key: 'R', hex: '#b0442f' },
        ],
      },
    });
  });

  it.each([
    [{ warp: '' }, 'warp', 'notation/empty'],
    [{ warp: 'A0' }, 'warp', 'notation/count'],
    [{ weft: 'B' }, 'weft', 'notation/count'],
    [{ weave: 'satin' }, 'weave', 'weave/text'],
  ])('says which field cannot be read: %o', (change, field, code) => {
    expect(startDesign(start, { ...typed, ...change }, {})).toMatchObject({ field, error: { code } });
  });
});
