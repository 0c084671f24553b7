import { readFileSync } from 'node:fs';
import { create, type Font } from 'fontkit';
import { describe, expect, it } from 'vitest';
import { decompress } from 'wawoff2';
import { type Contour, traceContour } from '../../src/core/shape/contour.ts';
import { flattenTo } from '../../src/core/shape/flatten.ts';
import {
  glyphContours,
  LETTER_FONTS,
  type LetterFont,
  type LetterFontKey,
} from '../../src/core/shape/letters/letters.ts';

/** The package that ships each font, and how bold it is. */
const FILES = {
  bricolage: ['bricolage-grotesque', 400],
  'bricolage-bold': ['bricolage-grotesque', 800],
  instrument: ['instrument-sans', 400],
  'instrument-bold': ['instrument-sans', 700],
  mono: ['spline-sans-mono', 400],
} as const satisfies Record<LetterFontKey, readonly [string, number]>;

/** Places on an outline, in units of its font, to sixteenths. */
function placesOn(contour: Contour): readonly { readonly x: number; readonly y: number }[] {
  const sink = flattenTo({ width: 0, height: 0, pitch: { x: 1, y: 1 }, scale: { x: 16, y: 16 } });
  traceContour(contour, sink);
  return sink.polygons.flat().map(({ x, y }) => ({ x: x / 16, y: -y / 16 }));
}

describe('letters', () => {
  it.each(Object.keys(LETTER_FONTS) as LetterFontKey[])(
    '%s: outlines and advances are those of the font, read by fontkit',
    async (key) => {
      const [file, weight] = FILES[key];
      const packed = `node_modules/@fontsource-variable/${file}/files/${file}-latin-wght-normal.woff2`;
      const unpacked = await decompress(readFileSync(packed));
      const font = (create(Buffer.from(unpacked)) as Font).getVariation({ wght: weight });
      const ours: LetterFont = LETTER_FONTS[key];
      expect(ours.capHeight).toBe(font.capHeight);
      for (const [character, [advance, path]] of Object.entries(ours.glyphs)) {
        const glyph = font.glyphForCodePoint(character.codePointAt(0)!);
        expect(Math.abs(Number(advance) - glyph.advanceWidth)).toBeLessThanOrEqual(0.5);
        const hull = glyphContours(String(path), 1).flatMap(placesOn);
        if (hull.length === 0) continue;
        const { minX, maxX, minY, maxY } = glyph.bbox;
        const xs = hull.map(({ x }) => x);
        const ys = hull.map(({ y }) => y);
        const box = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
        [minX, maxX, minY, maxY].forEach((side, at) => {
          expect(Math.abs(box[at]! - side), character).toBeLessThanOrEqual(2);
        });
      }
      // A capital without overshoot is as high as capitals are.
      const { maxY } = font.glyphForCodePoint('H'.codePointAt(0)!).bbox;
      expect(Math.abs(maxY - ours.capHeight)).toBeLessThanOrEqual(0.02 * ours.unitsPerEm);
    },
  );
});
