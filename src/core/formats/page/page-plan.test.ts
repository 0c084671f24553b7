import { describe, expect, it } from 'vitest';
import { toNumber } from '../../exact/rational.ts';
import { cropMarks, type PageWish, planPages } from './page-plan.ts';
import { parsePaper } from './paper.ts';

const WISH: PageWish = { cloth: undefined, paper: undefined, bleed: 0, marks: false, overlap: 10 };
const A3 = { width: 297, height: 420 };
const A4 = { width: 210, height: 297 };

describe('parsePaper', () => {
  it('knows ISO 216 and sizes', () => {
    const sides = (text: string) => {
      const { width, height } = parsePaper(text);
      return [toNumber(width), toNumber(height)];
    };
    expect(sides('A3')).toEqual([297, 420]);
    expect(sides('a4 landscape')).toEqual([297, 210]);
    expect(sides('12in x 18in')).toEqual([304.8, 457.2]);
    // Each paper is half of the one before, its sides in the ratio of 1 to √2 to a millimetre. Source: ISO 216.
    for (let size = 0; size < 6; size += 1) {
      const [width, height] = sides(`A${size}`);
      expect(sides(`A${size + 1}`)).toEqual([Math.floor(height! / 2), width]);
      expect(Math.abs(width! * Math.SQRT2 - height!)).toBeLessThan(1);
    }
  });

  it.each(['A7', 'letterhead', '', '0mm x 3mm'])('refuses “%s”', (text) => {
    expect(() => parsePaper(text)).toThrow(expect.objectContaining({ code: 'pdf/paper' }));
  });
});

describe('planPages', () => {
  it('makes a page as large as the cloth, its bleed and its marks', () => {
    const { pages } = planPages({ ...WISH, cloth: { width: 100, height: 50 }, bleed: 3, marks: true });
    expect(pages).toEqual([
      {
        size: { width: 122, height: 72 },
        trim: { x: 11, y: 11, width: 100, height: 50 },
        bleed: { x: 8, y: 8, width: 106, height: 56 },
        corner: { x: 11, y: 61 },
        part: undefined,
      },
    ]);
    for (const [fromX, fromY, toX, toY] of cropMarks(pages[0]!)) {
      // Outside the bleed, within the page.
      const beside = Math.max(fromX, toX) <= 8 || Math.min(fromX, toX) >= 114;
      const above = Math.max(fromY, toY) <= 8 || Math.min(fromY, toY) >= 64;
      expect(beside || above).toBe(true);
      expect(Math.min(fromX, fromY, toX, toY)).toBeGreaterThanOrEqual(0);
      expect([Math.max(fromX, toX) <= 122, Math.max(fromY, toY) <= 72]).toEqual([true, true]);
    }
  });

  it('fills a paper, cut to it', () => {
    const { pages } = planPages({ ...WISH, paper: A3, bleed: 3 });
    expect(pages[0]).toMatchObject({ size: { width: 303, height: 426 }, trim: { x: 3, y: 3, ...A3 } });
  });

  it('sets cloth in the middle of a paper, turned where that fits', () => {
    const upright = planPages({ ...WISH, paper: A4, cloth: { width: 150, height: 200 } });
    expect(upright.pages[0]).toMatchObject({ size: A4, trim: { x: 30, y: 48.5 } });
    const wide = planPages({ ...WISH, paper: A4, cloth: { width: 280, height: 200 } });
    expect(wide.pages[0]).toMatchObject({ size: { width: 297, height: 210 }, trim: { x: 8.5, y: 5 } });
  });

  it('lays larger cloth over pages that meet where they should', () => {
    const cloth = { width: 500, height: 800 };
    const plan = planPages({ ...WISH, paper: A4, cloth });
    expect([plan.across, plan.down]).toEqual([3, 3]);
    // Lying papers when fewer of them do.
    expect(planPages({ ...WISH, paper: A4, cloth: { width: 540, height: 180 } }).pages[0]!.size).toEqual({
      width: 297,
      height: 210,
    });
    const windows = plan.pages.map(({ trim, corner }) => ({
      left: trim.x - corner.x,
      right: trim.x + trim.width - corner.x,
      top: corner.y - trim.y - trim.height,
      bottom: corner.y - trim.y,
    }));
    expect(windows[0]).toMatchObject({ left: 0, top: 0, right: 190 });
    expect(windows[1]!.left).toBeCloseTo(windows[0]!.right - 10, 9);
    expect(windows[3]!.top).toBeCloseTo(windows[0]!.bottom - 10, 9);
    expect(windows[8]!.right).toBeCloseTo(500, 9);
    expect(windows[8]!.bottom).toBeCloseTo(800, 9);
  });

  it.each<[string, Partial<PageWish>]>([
    ['pdf/bleed', { paper: A4, bleed: 105 }],
    ['pdf/bleed', { paper: A4, bleed: -1 }],
    ['pdf/bleed', { cloth: { width: 4, height: 4 }, bleed: 3 }],
    ['pdf/small', { paper: { width: 25, height: 25 }, cloth: A4 }],
    ['pdf/pages', { paper: A4, cloth: { width: 10_000, height: 3000 } }],
  ])('refuses with %s: %j', (code, wish) => {
    expect(() => planPages({ ...WISH, ...wish })).toThrow(expect.objectContaining({ code }));
  });
});
