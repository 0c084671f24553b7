import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { compile } from '../../src/core/design/compile-design.ts';
import { newStripe, newTiling } from '../../src/core/design/new-design.ts';
import { rational } from '../../src/core/exact/rational.ts';
import { orderPicture } from '../../src/core/formats/picture-order.ts';
import { unitToPng } from '../../src/core/formats/png/unit-png.ts';
import { parseRepeats, parseSheet, type Sheet } from '../../src/core/formats/sheet.ts';
import { nodeCompressor } from '../../src/server/sending/node-compressor.ts';
import { driftSentence } from '../../src/wording/sheet-words.ts';
import { ELEVENTH, TWO_SHADES } from '../sample-design.ts';

/** Millimetres of a pixel at 300 dpi, each way. */
const PIXEL = { x: rational(127, 1500), y: rational(127, 1500) };

const UNIT = compile(ELEVENTH);

async function png(sheet: Sheet): Promise<PNG> {
  const order = orderPicture(UNIT, { dpi: rational(300) }, sheet);
  const pieces: Uint8Array[] = [];
  for await (const piece of unitToPng(UNIT, order, nodeCompressor)) pieces.push(piece);
  return PNG.sync.read(Buffer.concat(pieces));
}

/** IEC 61966-2-1: the sRGB byte of some linear light. */
function byteOf(light: number): number {
  return Math.round(255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055));
}

/** Light of a pixel column by how much of it is white, computed from the numbers alone. */
function lightAt(x: number, width: number): number {
  const half = width / 22;
  let white = 0;
  for (let stripe = 1; stripe < 22; stripe += 2) {
    white += Math.max(0, Math.min(x + 1, (stripe + 1) * half) - Math.max(x, stripe * half));
  }
  return white;
}

describe('a sheet that closes on whole pixels though one repeat does not', () => {
  it('has every stripe where its numbers say, to the last column', async () => {
    const { width, data } = await png(parseSheet('12in x 1in', 'mm', PIXEL));
    expect(width).toBe(3600);
    let worst = 0;
    for (let x = 0; x < width; x += 1) {
      worst = Math.max(worst, Math.abs(data[x * 4]! - byteOf(lightAt(x, width))));
    }
    // Corners lie on 1/256 pixel, so a share is right to 1/512; near black a byte is as little light as that.
    expect(worst).toBeLessThanOrEqual(7);
  });

  it('goes on over its seam as a sheet twice as wide does in its middle', async () => {
    const [one, two] = [await png(parseRepeats('11 x 1')), await png(parseRepeats('22 x 1'))];
    expect([one.width, two.width]).toEqual([3600, 7200]);
    for (let x = 0; x < two.width; x += 1) {
      if (two.data[x * 4] !== one.data[(x % 3600) * 4]) expect.fail(`column ${x} differs`);
    }
  });
});

describe('a sheet of a size that cuts through a repeat, or whose repeats are no whole pixels', () => {
  /** Half black, half white, 31.25 pixels at 150 dpi. */
  const STRIPE = compile(
    newStripe({
      name: 'Of a quarter pixel',
      shades: [
        { key: 'A', name: 'Black', hex: '#000000' },
        { key: 'B', name: 'White', hex: '#ffffff' },
      ],
      bands: [
        { shade: 'A', width: '127/48' },
        { shade: 'B', width: '127/48' },
      ],
    }),
  );
  const AT_150 = { x: rational(127, 750), y: rational(127, 750) };

  const orderOf = (size: string, isTrue: boolean) =>
    orderPicture(STRIPE, { dpi: rational(150) }, parseSheet(size, 'mm', AT_150), undefined, isTrue);

  it('is as large as was asked for, and says how many repeats lie on it as they are painted', () => {
    const order = orderOf('3000mm x 10mm', false);
    expect([order.width, order.height]).toEqual([17_717, 59]);
    expect(order.tile.width).toBe(31);
    // 3000 mm are 566.93 repeats of 31.25 px; of 31 px it takes 571.5.
    expect(driftSentence(order)).toContain(
      '571.5 across where 566.9 are true, off by 141.7 px (24 mm) at the end',
    );
    expect(driftSentence(orderOf('3000mm x 10mm', true))).toBe('');
  });

  it('at true scale has each repeat at its place, to half a pixel', async () => {
    const order = orderOf('3000mm x 2mm', true);
    expect(order.width).toBe(17_717);
    expect(order.block.across).toBe(4);
    const pieces: Uint8Array[] = [];
    for await (const piece of unitToPng(STRIPE, order, nodeCompressor)) pieces.push(piece);
    const { width, data } = PNG.sync.read(Buffer.concat(pieces));
    let compared = 0;
    for (let edge = 31.25; edge < width - 20; edge += 31.25) {
      // Where a white half ends: the light of ten pixels around, as a place.
      let light = 0;
      for (let x = Math.round(edge) - 5; x < Math.round(edge) + 5; x += 1) {
        const byte = data[x * 4]! / 255;
        light += byte <= 0.04045 ? byte / 12.92 : ((byte + 0.055) / 1.055) ** 2.4;
      }
      expect(Math.abs(Math.round(edge) - 5 + light - edge)).toBeLessThan(0.51);
      compared += 1;
    }
    expect(compared).toBeGreaterThan(560);
  });

  it('that holds whole repeats is so large too, and still repeats', () => {
    // 96 repeats are 3000 px; each rounded by itself they would be 2976.
    const order = orderOf('508mm x 10mm', false);
    expect([order.width, order.holds.x.whole, order.block.across]).toEqual([3000, 96, 4]);
    const octagons = compile(tilingOf('4.8.8', '7mm'));
    const asked = orderPicture(octagons, { dpi: rational(300) }, parseSheet('33333px x 41px', 'mm', PIXEL));
    expect([asked.width, asked.height]).toEqual([33_333, 41]);
  });

  it('is refused where the repeats that come out whole together are too many pixels', () => {
    const awkward = compile(tilingOf('6.6.6', '7.1234567mm'));
    const order = () =>
      orderPicture(awkward, { dpi: rational(301) }, parseSheet('30m x 30m', 'mm', PIXEL), undefined, true);
    expect(order).toThrow(expect.objectContaining({ code: 'send/true-scale' }));
  });
});

function tilingOf(name: '4.8.8' | '6.6.6', size: string) {
  return newTiling({
    name,
    shades: TWO_SHADES,
    faces: ['A', 'B'],
    form: { kind: 'regular', name },
    size,
  });
}
