import { describe, expect, it } from 'vitest';
import type { Shelf, Summary } from '../contracts/shelf.ts';
import { FIRST_PAGE, shelfQuery, shelfWishSchema } from '../contracts/shelf-wish.ts';
import { PLAID_STARTS } from '../core/design/plaid/plaid-starts.ts';
import { designFromStart } from '../core/design/starts.ts';
import { joined } from './shelf-state.ts';
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

/** A page of the shelf: names of designs by the names of their ranges. */
function page(ranges: Readonly<Record<string, readonly string[]>>, next: number | null = null): Shelf {
  return {
    title: 'Shelf',
    ranges: Object.entries(ranges).map(([name, designs]) => ({
      id: name,
      name,
      count: 9,
      designs: designs.map((each) => design(each)),
    })),
    rangeNames: ['Rugs'],
    found: 9,
    total: 9,
    next,
    binned: 0,
    unreadable: 0,
  };
}

describe('pages of the shelf', () => {
  it('are one shelf; a range over two pages is one, and nothing hangs twice', () => {
    const shelf = joined([
      page({ Rugs: ['A'], Blinds: ['B', 'C'] }, 3),
      page({ Blinds: ['C', 'D'], '': ['E'] }),
    ]);
    expect(shelf.ranges.map(({ name, designs }) => [name, designs.map((each) => each.name)])).toEqual([
      ['Rugs', ['A']],
      ['Blinds', ['B', 'C', 'D']],
      ['', ['E']],
    ]);
    expect(shelf.next).toBeNull();
  });

  it('are asked for by what is not usual', () => {
    expect(shelfQuery({})).toBe('');
    const wish = {
      search: 'a & b',
      kind: 'plaid',
      order: 'name',
      favourites: true,
      from: 120,
      count: 5,
    } as const;
    expect(shelfWishSchema.parse(Object.fromEntries(new URLSearchParams(shelfQuery(wish))))).toEqual(wish);
    expect(shelfWishSchema.parse({})).toEqual(FIRST_PAGE);
    expect(shelfWishSchema.safeParse({ count: '100000' }).success).toBe(false);
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
