import { describe, expect, it } from 'vitest';
import { compileUnit } from '../../src/core/design/compile-design.ts';
import type { PlaidDesign } from '../../src/core/design/design-schema.ts';
import { rational } from '../../src/core/exact/rational.ts';
import { surdText } from '../../src/core/exact/surd-text.ts';
import { orderPicture } from '../../src/core/formats/picture-order.ts';
import { parseSheet } from '../../src/core/formats/sheet.ts';
import { parseThreadCount } from '../../src/core/formats/thread-count.ts';
import { repeatSize } from '../../src/core/repeat/repeat-unit.ts';
import { cellAt } from '../../src/core/thread/cells.ts';
import { layOut, threadCount } from '../../src/core/thread/sequence.ts';
import { interlace } from '../../src/core/thread/weave.ts';
import { floatCounts } from '../../src/core/thread/weaves/float-counts.ts';
import { pixelsPerMetre } from '../../src/core/units/resolution.ts';
import { sampleDesign } from '../sample-design.ts';

/** Millimetres of a pixel at 300 dpi, each way. */
const PIXEL = { x: rational(127, 1500), y: rational(127, 1500) };

/** One repeat as letters, the top row first. */
function picture(design: PlaidDesign): string[] {
  const { content } = compileUnit(design);
  return Array.from({ length: content.height }, (_, y) =>
    Array.from({ length: content.width }, (__, x) => content.shades[cellAt(content, x, y)]!.key).join(''),
  );
}

describe('the two conventions of pivots (common practice of the trade)', () => {
  it.each([
    ['shared', 28, 'A12 B6 C4 B6'],
    ['doubled', 44, 'A12 B6 C4 C4 B6 A12'],
  ] as const)('%s: A/12 B6 C/4 is %i threads', (pivots, threads, laid) => {
    const sequence = parseThreadCount('A/12 B6 C/4', { card: undefined, pivots });
    expect(threadCount(sequence)).toBe(threads);
    expect(
      layOut(sequence)
        .map(({ shade, count }) => `${shade}${count}`)
        .join(' '),
    ).toBe(laid);
  });
});

describe('gingham (common practice: equal bands, plain weave, three tones)', () => {
  const rows = picture(sampleDesign('warp: R12 W12\nweave: plain'));

  it('has solid, half and white quarters', () => {
    const share = (fromX: number, fromY: number) => {
      let red = 0;
      for (let y = fromY; y < fromY + 12; y += 1) {
        for (let x = fromX; x < fromX + 12; x += 1) if (rows[y]![x] === 'R') red += 1;
      }
      return red / 144;
    };
    // The first pick is the lowest: the red square is at the lower left.
    expect([share(0, 12), share(12, 12), share(0, 0), share(12, 0)]).toEqual([1, 0.5, 0.5, 0]);
  });
});

describe('twill (ISO 3572 for the terms, ISO 2 for the hands; from memory)', () => {
  it('Z climbs to the right, S to the left', () => {
    const rows = (hand: 'Z' | 'S') => picture(sampleDesign(`warp: K4\nweft: W4\nweave: 2/2${hand}`));
    expect(rows('Z')).toEqual(['KWWK', 'WWKK', 'WKKW', 'KKWW']);
    expect(rows('S')).toEqual(['WKKW', 'WWKK', 'KWWK', 'KKWW']);
  });

  it.each([
    [1, 1, 1],
    [2, 2, 2],
    [3, 1, 3],
    [4, 1, 4],
  ])('%i/%i floats over %i at most (common practice)', (over, under, longest) => {
    const { warp, weft } = floatCounts(interlace({ over, under, hand: 'Z' }));
    expect(Math.max(warp.longest, weft.longest)).toBe(longest);
  });
});

describe('colour-and-weave checks, drawn by hand from their definitions (common practice)', () => {
  it('houndstooth: 4 dark 4 light both ways in 2/2 twill Z', () => {
    expect(picture(sampleDesign('warp: K4 W4\nweave: 2/2Z'))).toEqual([
      'KWWKWWWW',
      'WWKKWWWW',
      'WKKWWWWW',
      'KKWWWWWW',
      'KKKKWKKW',
      'KKKKKKWW',
      'KKKKKWWK',
      'KKKKWWKK',
    ]);
  });

  it('shepherd’s check: 6 dark 6 light both ways in 2/2 twill, its repeat that of sett and weave', () => {
    const rows = picture(sampleDesign('warp: K6 W6\nweave: 2/2Z'));
    expect([rows.length, rows[0]!.length]).toEqual([12, 12]);
    const dark = rows.slice(6).every((row) => row.slice(0, 6) === 'KKKKKK');
    const light = rows.slice(0, 6).every((row) => row.slice(6) === 'WWWWWW');
    expect([dark, light]).toEqual([true, true]);
    expect(rows[11]).toBe('KKKKKKKKWWKK');
    expect(rows[6]).toBe('KKKKKKWKKWWK');
  });
});

describe('sizes', () => {
  it('36 ends at 24 to the inch are 38.1 mm (1 in = 25.4 mm, international yard and pound agreement 1959)', () => {
    const size = repeatSize(compileUnit(sampleDesign('warp: G/8 R6 Y2 G4 C/4\ndensity: 24/in')))!;
    expect(surdText(size.width)).toBe('381/10');
  });

  it('A4 is 2480 × 3508 px at 300 dpi (ISO 216), 12 in are 3600', () => {
    const unit = compileUnit(sampleDesign('warp: A1\nweave: plain'));
    const at = (size: string) => orderPicture(unit, { dpi: rational(300) }, parseSheet(size, 'mm', PIXEL));
    expect(at('210 x 297 mm')).toMatchObject({ width: 2480, height: 3508 });
    expect(at('12in')).toMatchObject({ width: 3600, height: 3600 });
  });

  it('300 dpi is 11811 px a metre (W3C Portable Network Graphics, pHYs)', () => {
    expect(pixelsPerMetre(rational(300))).toBe(11811);
    expect(pixelsPerMetre(rational(72))).toBe(2835);
  });
});
