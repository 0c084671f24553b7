import { execFileSync } from 'node:child_process';
import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { compile } from '../../src/core/design/compile-design.ts';
import type { Design } from '../../src/core/design/design-schema.ts';
import { designFromText } from '../../src/core/design/exchange/counts-text.ts';
import { designFromStart } from '../../src/core/design/starts.ts';
import { rational } from '../../src/core/exact/rational.ts';
import { orderPicture } from '../../src/core/formats/picture-order.ts';
import { differing, ours, painted, pdf, told } from '../pdf-readers.ts';

/**
 * PDF against ISO 32000 as other programs read it: poppler (pdfinfo, pdffonts, pdftotext, pdftoppm) and qpdf. Papers are those of
 * ISO 216.
 */
/** The lightest pixel: the darkest of its three bytes, at most. Paper that shows through would be 255. */
function lightest({ data }: PNG): number {
  let most = 0;
  for (let at = 0; at < data.length; at += 4)
    most = Math.max(most, Math.min(data[at]!, data[at + 1]!, data[at + 2]!));
  return most;
}

const DARK = [
  { key: 'A', name: 'Boiler green', hex: '#24402e' },
  { key: 'B', name: 'Brake red', hex: '#8c2f25' },
  { key: 'C', name: 'Slate water', hex: '#2e4c63' },
];

/** A design whose shades are all dark, so that paper between them shows. */
function darkened(design: Design): Design {
  return {
    ...design,
    shades: design.shades.map((shade, at) => ({ ...shade, hex: DARK[at % DARK.length]!.hex })),
  };
}

const THREADS = designFromText('A/12 B6 C4 D/10', 'Scullery cloth');
const FLOOR = designFromStart('tiling', '4.8.8');
const ROSETTES = designFromStart('tiling', 'rosettes');

describe('a PDF', () => {
  it('is sound, titled, dated, and of the paper that was asked for', async () => {
    const path = await pdf({ ...FLOOR, number: 'LLR 7' }, 'paper=A3&bleed=3mm&marks=');
    expect(told('qpdf', ['--check', path])).toContain('No syntax or stream encoding errors');
    const info = told('pdfinfo', ['-box', path]);
    expect(info).toMatch(new RegExp(`Title: +${FLOOR.name}`));
    expect(info).toMatch(/CreationDate: +\w/);
    expect(info).toMatch(/Pages: +2/);
    const box = (name: string) => {
      const found = new RegExp(`${name}: +([\\d.]+) +([\\d.]+) +([\\d.]+) +([\\d.]+)`).exec(info)!;
      return found.slice(1).map((points) => (Number(points) * 25.4) / 72);
    };
    const [left, low, right, high] = box('TrimBox');
    expect(right! - left!).toBeCloseTo(297, 2);
    expect(high! - low!).toBeCloseTo(420, 2);
    const bleed = box('BleedBox');
    expect(
      [left! - bleed[0]!, low! - bleed[1]!, bleed[2]! - right!, bleed[3]! - high!].map((each) =>
        each.toFixed(2),
      ),
    ).toEqual(['3.00', '3.00', '3.00', '3.00']);
    expect(box('MediaBox')[2]).toBeCloseTo(297 + 2 * (3 + 2 + 6), 2);
  });

  it('embeds its fonts, and its ticket can be read', async () => {
    const path = await pdf({ ...FLOOR, number: 'LLR 7', name: 'Łódź № 4 Größe' }, 'paper=A4');
    const fonts = told('pdffonts', [path]).trim().split('\n').slice(2);
    expect(fonts.length).toBeGreaterThan(1);
    for (const font of fonts) expect(font).toMatch(/ yes (yes|no) +yes /);
    const text = told('pdftotext', [path, '-']);
    for (const part of ['Łódź No 4 Größe', 'LLR 7', 'Fitted', FLOOR.shades[0]!.name])
      expect(text).toContain(part);
    expect(told('pdfinfo', [await pdf(FLOOR, 'paper=A4&ticket=none')])).toMatch(/Pages: +1/);
  });

  it.each([
    // Poppler takes one thread for a pixel that two share.
    ['threads', THREADS, 0.05],
    ['octagons and squares', FLOOR, 0.03],
    ['rosettes with straps', ROSETTES, 0.03],
  ])('shows %s as the painter does', async (_, design, most) => {
    const theirs = painted(await pdf(design, 'size=100mm x 80mm'), 150);
    expect(differing(theirs, await ours(design, 150, theirs), 64)).toBeLessThan(most);
  });

  it.each([
    ['threads', THREADS],
    ['octagons and squares', FLOOR],
    ['hexagons', designFromStart('tiling', '6.6.6')],
    ['rosettes with straps', ROSETTES],
  ])('lets no paper through between %s, at any size', async (_, design) => {
    const path = await pdf(darkened(design), 'size=200mm x 200mm');
    // A pixel within the edge, which the page itself cuts.
    for (const dpi of [37, 72, 113]) {
      const page = painted(path, dpi);
      const inner = new PNG({ width: page.width - 2, height: page.height - 2 });
      PNG.bitblt(page, inner, 1, 1, inner.width, inner.height, 0, 0);
      expect(lightest(inner)).toBeLessThan(0x70);
    }
  });

  it('shows threads as threads where that was asked for, and says that it is a picture', async () => {
    const path = await pdf(THREADS, 'dpi=150&drawn=threads&size=50mm');
    expect(told('pdftotext', [path, '-'])).toContain('as a picture, 150 dpi');
    const widthOf = (file: string) => {
      const objects = execFileSync('qpdf', ['--qdf', '--object-streams=disable', file, '-'], {
        encoding: 'latin1',
        maxBuffer: 1 << 26,
      });
      return Number(/\/Width (\d+)/.exec(objects)![1]);
    };
    const repeat = orderPicture(compile(THREADS), { dpi: rational(150) }, undefined);
    // A block of two repeats, so that a sheet has few.
    expect(widthOf(path)).toBe(2 * repeat.tile.width);
    // Flat, one pixel a thread: the sett's 42 twice, since the twill goes on over four; and a block of two of those.
    expect(widthOf(await pdf(THREADS, 'size=50mm'))).toBe(2 * 84);
  });

  it('goes on over several pages where it left off', async () => {
    const path = await pdf(FLOOR, 'paper=A5&size=250mm x 200mm&ticket=none');
    expect(told('pdfinfo', [path])).toMatch(/Pages: +4/);
    const dpi = 127; // Five pixels a millimetre.
    const [first, second] = [painted(path, dpi), painted(path, dpi, 2)];
    const strip = (page: PNG, from: number) => {
      const out = new PNG({ width: 48, height: 500 });
      PNG.bitblt(page, out, from, 51, 48, 500, 0, 0);
      return out;
    };
    // Papers lie; the last centimetre of the first page is the first of the second.
    const right = 210 * 5 - 50 - 50;
    expect(differing(strip(first, right + 1), strip(second, 51), 64)).toBeLessThan(0.02);
  });

  it('is larger by what the cloth will shrink', async () => {
    const info = told('pdfinfo', ['-box', await pdf(FLOOR, 'size=100mm&shrink=4%25,2%25&ticket=none')]);
    const [, width, height] = /Page size: +([\d.]+) x ([\d.]+)/.exec(info)!;
    expect((Number(width) * 25.4) / 72).toBeCloseTo(100 / 0.98, 1);
    expect((Number(height) * 25.4) / 72).toBeCloseTo(100 / 0.96, 1);
  });

  it('measures a sheet of ten metres in a unit of its own', async () => {
    const path = await pdf(FLOOR, 'size=1.4m x 10m&ticket=none');
    expect(told('qpdf', ['--qdf', '--object-streams=disable', path, '-'])).toMatch(/\/UserUnit 2/);
    expect(told('qpdf', ['--check', path])).toContain('No syntax');
  });

  it.each([
    ['paper=A9', 'pdf/paper'],
    ['paper=A4&bleed=110mm', 'pdf/bleed'],
    ['paper=A6&size=9m', 'pdf/pages'],
  ])('refuses %s', async (query, code) => {
    await expect(async () => pdf(FLOOR, query)).rejects.toThrow(expect.objectContaining({ code }));
  });
});
