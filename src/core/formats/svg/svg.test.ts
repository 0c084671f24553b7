import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../../tests/sample-design.ts';
import { compileUnit } from '../../design/compile-design.ts';
import { rational } from '../../exact/rational.ts';
import { cellAt } from '../../thread/cells.ts';
import { sizeOfSheet } from '../picture-order.ts';
import { parseSheet } from '../sheet.ts';
import { unitToSvg } from './unit-svg.ts';

/** Millimetres of a pixel at 300 dpi, each way. */
const PIXEL = { x: rational(127, 1500), y: rational(127, 1500) };

const UNIT = compileUnit(sampleDesign(SAMPLE));

describe('unitToSvg', () => {
  it('covers every cell exactly once, in its own shade', () => {
    const svg = unitToSvg(UNIT, 'Sample');
    const { width, height, shades } = UNIT.content;
    const drawn = Array.from({ length: width * height }, (): string[] => []);
    for (const [, hex, d] of svg.matchAll(/<path fill="(#\w+)" d="([^"]+)"\/>/g)) {
      for (const [, x, y, w, h] of d!.matchAll(/M(\d+) (\d+)h(\d+)v(\d+)h-\d+z/g)) {
        for (let row = Number(y); row < Number(y) + Number(h); row += 1) {
          for (let column = Number(x); column < Number(x) + Number(w); column += 1) {
            drawn[row * width + column]!.push(hex!);
          }
        }
      }
    }
    drawn.forEach((hexes, at) => {
      expect(hexes).toEqual([shades[cellAt(UNIT.content, at % width, Math.floor(at / width))]!.hex]);
    });
  });

  it('has its true size, and its title as text', () => {
    const svg = unitToSvg(UNIT, 'Rugs & <Sons>');
    expect(svg).toContain('width="25.4mm" height="25.4mm" viewBox="0 0 24 24"');
    expect(svg).toContain('<title>Rugs &amp; &lt;Sons&gt;</title>');
  });

  it('fills a sheet with one repeat as a pattern', () => {
    const svg = unitToSvg(UNIT, 'Sample', { sheet: sizeOfSheet(UNIT, parseSheet('254 x 127', 'mm', PIXEL)) });
    expect(svg).toContain('width="254mm" height="127mm" viewBox="0 0 240 120"');
    expect(svg).toContain('<pattern id="repeat" width="24" height="24" patternUnits="userSpaceOnUse">');
  });

  it('refuses a drawing of more boxes than a reader would open', () => {
    const counts = Array.from({ length: 1999 }, (_, at) => `${'AB'[at % 2]}${1 + (at % 3)}`).join(' ');
    const unit = compileUnit(sampleDesign(`warp: ${counts}\nweave: 2/2Z`));
    expect(() => unitToSvg(unit, 'Dense')).toThrow('svg/too-many');
    expect(() => unitToSvg({ ...UNIT, repeat: null }, 'None')).toThrow('svg/no-repeat');
  });
});
