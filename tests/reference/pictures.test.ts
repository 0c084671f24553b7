import { inflateSync } from 'node:zlib';
import { Resvg } from '@resvg/resvg-js';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { rgbOf } from '../../src/core/colour/hex.ts';
import { compile } from '../../src/core/design/compile-design.ts';
import { rational } from '../../src/core/exact/rational.ts';
import { orderPicture, type PictureOrder, sizeOfSheet } from '../../src/core/formats/picture-order.ts';
import { parseSheet } from '../../src/core/formats/sheet.ts';
import { unitToSvg } from '../../src/core/formats/svg/unit-svg.ts';
import { unitToPng } from '../../src/core/formats/unit-png.ts';
import { paintTile } from '../../src/core/paint/painting.ts';
import type { RepeatUnit } from '../../src/core/repeat/repeat-unit.ts';
import { type Cells, cellAt } from '../../src/core/thread/cells.ts';
import { nodeCompressor } from '../../src/server/sending/node-compressor.ts';
import { SAMPLE, sampleDesign, someDesign } from '../sample-design.ts';

/** Millimetres of a pixel at 300 dpi, each way. */
const PIXEL = { x: rational(127, 1500), y: rational(127, 1500) };

const UNIT = compile(sampleDesign(SAMPLE));

async function pngOf(unit: RepeatUnit, order: PictureOrder): Promise<Buffer> {
  const pieces: Uint8Array[] = [];
  for await (const piece of unitToPng(unit, order, nodeCompressor)) pieces.push(piece);
  return Buffer.concat(pieces);
}

/** The chunks of a PNG: name and data. */
function chunksOf(png: Buffer): { name: string; data: Buffer }[] {
  const chunks = [];
  for (let at = 8; at < png.length; ) {
    const length = png.readUInt32BE(at);
    chunks.push({
      name: png.toString('latin1', at + 4, at + 8),
      data: png.subarray(at + 8, at + 8 + length),
    });
    at += 12 + length;
  }
  return chunks;
}

/** Expects a decoded picture to show the cells at `step` pixels each, repeated. */
function expectCells(
  unit: RepeatUnit<Cells>,
  step: number,
  decoded: { width: number; height: number; data: Uint8Array },
) {
  const { content } = unit;
  for (let y = 0; y < decoded.height; y += 1) {
    for (let x = 0; x < decoded.width; x += 1) {
      const shade = content.shades[cellAt(content, Math.floor(x / step), Math.floor(y / step))]!;
      const at = (y * decoded.width + x) * 4;
      const [red, green, blue] = rgbOf(shade.hex);
      if (decoded.data[at] !== red || decoded.data[at + 1] !== green || decoded.data[at + 2] !== blue) {
        throw new Error(`pixel ${x}, ${y} is not ${shade.hex}`);
      }
    }
  }
}

describe('PNG, decoded by pngjs and by sharp', () => {
  it('shows the cells, pixel by pixel, for any plaid', async () => {
    await fc.assert(
      fc.asyncProperty(someDesign, fc.integer({ min: 1, max: 3 }), async (design, step) => {
        const unit = compile(design);
        if (unit.content.width * unit.content.height > 40_000) return;
        const png = await pngOf(unit, orderPicture(unit, { perStep: step }, undefined));
        expectCells(unit, step, PNG.sync.read(png));
        const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
        expectCells(unit, step, { width: info.width, height: info.height, data });
      }),
      { numRuns: 25 },
    );
  });

  it('repeats over a sheet that does not hold whole repeats, banded or not', async () => {
    for (const sheet of ['50 x 30 mm', '50 x 300 mm']) {
      const order = orderPicture(UNIT, { perStep: 1 }, parseSheet(sheet, 'mm', PIXEL));
      expect(order.height % UNIT.content.height).not.toBe(0);
      expectCells(UNIT, 1, PNG.sync.read(await pngOf(UNIT, order)));
    }
  });

  it('holds colours beyond a palette when threads are not whole pixels', async () => {
    const many = compile(
      sampleDesign('warp: A5 B3 C7 D2 E4 F1\nweft: C3 A2 F5 B4 D1\nweave: 2/1Z\ndensity: 37/2/cm'),
    );
    const order = orderPicture(many, { dpi: rational(131) }, undefined);
    const decoded = PNG.sync.read(await pngOf(many, order));
    expect(Buffer.from(paintTile(many, order.tile)).equals(decoded.data)).toBe(true);
  });

  it('carries its resolution: 300 dpi is 11811 px a metre, and sharp reads 300 back', async () => {
    const png = await pngOf(UNIT, orderPicture(UNIT, { dpi: rational(300) }, undefined));
    const { data } = chunksOf(png).find(({ name }) => name === 'pHYs')!;
    expect([data.readUInt32BE(0), data.readUInt32BE(4), data[8]]).toEqual([11811, 11811, 1]);
    expect((await sharp(png).metadata()).density).toBe(300);
  });

  it('passes zlib’s own checksum in a banded sheet', async () => {
    const order = orderPicture(UNIT, { perStep: 2 }, parseSheet('40 x 400 mm', 'mm', PIXEL));
    const stream = Buffer.concat(
      chunksOf(await pngOf(UNIT, order))
        .filter(({ name }) => name === 'IDAT')
        .map(({ data }) => data),
    );
    expect(inflateSync(stream)).toHaveLength(order.height * (order.width + 1));
    stream[stream.length - 1]! ^= 1;
    expect(() => inflateSync(stream)).toThrow('incorrect data check');
  });
});

describe('SVG, rendered by resvg', () => {
  it('equals the painter at whole pixels a thread', () => {
    fc.assert(
      fc.property(someDesign, fc.integer({ min: 1, max: 3 }), (design, step) => {
        const unit = compile(design);
        const { width, height } = unit.content;
        if (width * height > 20_000) return;
        const rendered = render(unitToSvg(unit, 'x'), width * step, height * step);
        const painted = paintTile(unit, { width: width * step, height: height * step });
        expect(Buffer.compare(rendered, painted)).toBe(0);
      }),
      { numRuns: 25 },
    );
  });

  it('equals the painter over a sheet', () => {
    const { width } = UNIT.content;
    const svg = unitToSvg(UNIT, 'x', { sheet: sizeOfSheet(UNIT, parseSheet('63.5 mm', 'mm', PIXEL)) });
    const rendered = render(svg, 60 * 2, 60 * 2);
    const painted = paintTile(UNIT, { width: width * 2, height: width * 2 });
    for (let y = 0; y < 120; y += 1) {
      for (let x = 0; x < 120; x += 1) {
        const [ours, theirs] = [((y % 48) * 48 + (x % 48)) * 4, (y * 120 + x) * 4];
        expect(rendered[theirs]).toBe(painted[ours]);
      }
    }
  });

  /** The picture that an independent renderer makes, stretched to whole pixels. */
  function render(svg: string, width: number, height: number): Buffer {
    const sized = svg.replace(/width="[^"]+mm" height="[^"]+mm"/, `width="${width}" height="${height}"`);
    return Buffer.from(new Resvg(sized).render().pixels);
  }
});

describe('checksums', () => {
  // Source: the check values that the catalogues of CRC algorithms give for the nine digits; from memory.
  it('CRC-32 of 123456789 is cbf43926, its Adler-32 091e01de', async () => {
    const { crc32 } = await import('../../src/core/formats/crc32.ts');
    const { adler32, joinAdler32 } = await import('../../src/core/formats/adler32.ts');
    const digits = Buffer.from('123456789');
    expect(crc32(digits).toString(16)).toBe('cbf43926');
    expect(adler32(digits).toString(16)).toBe('91e01de');
    const [first, second] = [digits.subarray(0, 4), digits.subarray(4)];
    expect(joinAdler32(adler32(first), adler32(second), second.length)).toBe(adler32(digits));
  });
});
