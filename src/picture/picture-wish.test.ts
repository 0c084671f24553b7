import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../tests/sample-design.ts';
import { LINEAR_OF_BYTE } from '../core/colour/linear.ts';
import { gatherBlocks } from '../core/picture/block-grid.ts';
import { bandsFromPicture, type PictureWish, shadesOfBands, withColours } from './picture-wish.ts';

const RED = [0xc0, 0x20, 0x20];
const BLUE = [0x20, 0x40, 0xa0];

/** A picture of one row: 6 red pixels, 3 blue ones, 3 red ones; each pixel a block. */
const GRID = (() => {
  const gatherer = gatherBlocks({ width: 12, height: 1 }, 1, LINEAR_OF_BYTE);
  const row = Array.from({ length: 12 }, (_, x) => (x >= 6 && x < 9 ? BLUE : RED)).flat();
  gatherer.addRows(Uint8Array.from(row));
  return gatherer.finish();
})();

const WISH: PictureWish = {
  times: 1,
  from: { x: 0, y: 0.5 },
  to: { x: 12, y: 0.5 },
  merge: 2,
  shades: 8,
  widths: 'picture',
  total: 24,
  unit: 'thread',
};

const PLAID = sampleDesign(
  'shades: A=#c02020 Ember, B=#ffffff White, C=#101010 Soot\nwarp: A4 B2\nweave: plain',
);
function bandsOf(change: Partial<PictureWish> = {}) {
  return bandsFromPicture(GRID, { ...WISH, ...change }).bands;
}

describe('bands from a picture', () => {
  it('keep the picture’s proportions in whole threads, or are equal', () => {
    expect(bandsOf().map(({ hex, count }) => [hex, count])).toEqual([
      ['#c02020', 12],
      ['#2040a0', 6],
      ['#c02020', 6],
    ]);
    expect(bandsOf({ widths: 'equal' }).map(({ count }) => count)).toEqual([8, 8, 8]);
    expect(bandsOf({ shades: 1 })).toHaveLength(1);
  });

  it('are tenths of a millimetre, and whole pixels', () => {
    expect(bandsOf({ total: 10, unit: 'px' }).map(({ count }) => count)).toEqual([5, 3, 2]);
    expect(bandsOf({ total: 10, unit: 'mm' }).map(({ count }) => count)).toEqual([50, 25, 25]);
  });

  it('must not be more than there are threads', () => {
    expect(() => bandsOf({ total: 2 })).toThrow(
      expect.objectContaining({ code: 'picture/bands', facts: { bands: 3, most: 2 } }),
    );
  });

  it('tell each shade’s share of the whole', () => {
    expect(shadesOfBands(bandsOf())).toEqual([
      { hex: '#c02020', share: 0.75 },
      { hex: '#2040a0', share: 0.25 },
    ]);
  });
});

describe('shades for a picture’s colours', () => {
  it('are those of the card where it has them, else new ones with free letters and names', () => {
    const card = withColours(PLAID.shades, ['#c02020', '#2040a0', '#2140a0']);
    expect(card.slice(0, 3)).toEqual(PLAID.shades);
    expect(card.slice(3).map(({ key, hex }) => [key, hex])).toEqual([
      ['D', '#2040a0'],
      ['E', '#2140a0'],
    ]);
    expect(new Set(card.map(({ name }) => name)).size).toBe(card.length);
  });

  it('are refused beyond what a card holds', () => {
    const many = Array.from({ length: 210 }, (_, at) => `#0000${(at + 16).toString(16).padStart(2, '0')}`);
    expect(() => withColours(PLAID.shades, many)).toThrow('shades/too-many');
  });
});
