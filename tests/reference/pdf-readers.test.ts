import { statSync } from 'node:fs';
import type { PNG } from 'pngjs';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { compile } from '../../src/core/design/compile-design.ts';
import type { Design } from '../../src/core/design/design-schema.ts';
import { designFromText } from '../../src/core/design/exchange/counts-text.ts';
import { newStripe } from '../../src/core/design/new-design.ts';
import { toNumber } from '../../src/core/exact/rational.ts';
import { nearSize, repeatSize } from '../../src/core/repeat/repeat-unit.ts';
import { ours, painted, pdf } from '../pdf-readers.ts';
import { picturesOf } from '../pictures-of.ts';
import { allDesigns } from '../sameness/designs.ts';

/**
 * PDF pages as three readers that are not ours paint them (poppler, mupdf, ghostscript), beside our own pixels: the same
 * picture, and at true size over a whole metre.
 */

/** Fields that a picture is compared in, each way, and how far the means of one may be apart, of 255. */
const FIELDS = 6;
const APART = 36;

/** Pixels of the shorter side of what is compared. */
const SIDE = 240;

/** Means of the fields of a picture on white. */
async function fieldsOf(png: { readonly width: number; readonly height: number; readonly data: Buffer }) {
  const raw = { width: png.width, height: png.height, channels: 4 as const };
  return sharp(png.data, { raw })
    .flatten({ background: '#ffffff' })
    .resize(FIELDS, FIELDS, { fit: 'fill', kernel: 'cubic' })
    .raw()
    .toBuffer();
}

/** Two repeats each way, at a resolution that makes them so large. */
function wishFor(design: Design): { readonly query: string; readonly dpi: number } {
  const { width, height } = nearSize(repeatSize(compile(design, picturesOf(design)))!);
  const shorter = Math.min(toNumber(width), toNumber(height));
  const dpi = Math.min(2400, Math.max(20, Math.round((SIDE * 25.4) / (2 * shorter))));
  return { query: `repeats=2x2&ticket=none&dpi=${dpi}`, dpi };
}

/** Threads are one image whatever they show: every so-manieth of those designs is enough. VETRO_PDFS=all takes all. */
const WOVEN_STEP = process.env['VETRO_PDFS'] === 'all' ? 1 : 12;

function compared(): readonly (readonly [string, Design])[] {
  const woven: (readonly [string, Design])[] = [];
  const others: (readonly [string, Design])[] = [];
  for (const [name, design] of allDesigns()) {
    const unit = compile(design, picturesOf(design));
    const size = repeatSize(unit);
    if (size === null || Math.max(...Object.values(nearSize(size)).map(toNumber)) > 1500) continue;
    (unit.content.kind === 'cells' ? woven : others).push([name, design]);
  }
  return [...others, ...woven.filter((_, at) => at % WOVEN_STEP === 0)];
}

const COMPARED = compared();

/** Millimetres by which the dark half of a repeat lies off its place, near a place of the page. */
function offAt({ data, width, height }: PNG, at: number, repeat: number, dpi: number): number {
  const pixel = 25.4 / dpi;
  // From the middle of a light half to the next.
  const from = Math.floor(at / repeat) * repeat - repeat / 4;
  const first = Math.round(from / pixel);
  const last = Math.round((from + repeat) / pixel);
  let dark = 0;
  let moment = 0;
  for (let x = first; x < last; x += 1) {
    for (let y = 0; y < height; y += 1) {
      const weight = 255 - data[(y * width + x) * 4]!;
      dark += weight;
      moment += weight * (x + 0.5);
    }
  }
  return (moment / dark) * pixel - (from + repeat / 2);
}

const BLACK_AND_WHITE = [
  { key: 'A', name: 'Black', hex: '#000000' },
  { key: 'B', name: 'White', hex: '#ffffff' },
];

describe('a metre of repeats of 2 mm', () => {
  it.each([
    [
      'drawn',
      newStripe({
        name: 'Fine stripe',
        shades: BLACK_AND_WHITE,
        bands: [
          { shade: 'A', width: '1' },
          { shade: 'B', width: '1' },
        ],
      }),
    ],
    [
      'woven',
      designFromText(
        'warp: A4 B4\nweft: B4\nweave: plain\ndensity: 40/cm\nshades: A=#000000 Black, B=#ffffff White',
        'Fine cloth',
      ),
    ],
  ])('%s, is a metre in three readers', async (kind, design) => {
    const path = await pdf(design, 'size=1000mm x 10mm&ticket=none');
    expect(statSync(path).size).toBeLessThan(2_000_000);
    for (const reader of ['poppler', 'mupdf', 'ghostscript'] as const) {
      for (const dpi of [150, 300]) {
        // Readers set a picture and its pixels on whole pixels of their own: what is drawn is nearer.
        const most = kind === 'drawn' ? 0.1 : Math.max(0.1, (1.5 * 25.4) / dpi);
        const page = painted(path, dpi, 1, reader);
        for (const at of [100, 500, 900, 995]) {
          expect(Math.abs(offAt(page, at, 2, dpi)), `${reader} ${dpi} ${at}`).toBeLessThan(most);
        }
      }
    }
  });
});

describe('a PDF in other readers', () => {
  it('looks for many designs', () => expect(COMPARED.length).toBeGreaterThan(80));

  it.each(COMPARED)('shows what our painter shows: %s', async (_, design) => {
    const { query, dpi } = wishFor(design);
    const path = await pdf(design, query);
    for (const reader of ['poppler', 'mupdf'] as const) {
      const page = painted(path, dpi, 1, reader);
      const own = await ours(design, dpi, page);
      const [theirs, mine] = [await fieldsOf(page), await fieldsOf(own)];
      let most = 0;
      for (const [at, value] of mine.entries()) most = Math.max(most, Math.abs(value - theirs[at]!));
      expect(most, reader).toBeLessThan(APART);
    }
  });
});
