import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { compile } from '../../src/core/design/compile-design.ts';
import { rational } from '../../src/core/exact/rational.ts';
import { orderPicture } from '../../src/core/formats/picture-order.ts';
import { unitToPng } from '../../src/core/formats/png/unit-png.ts';
import { parseRepeats, parseSheet, type Sheet } from '../../src/core/formats/sheet.ts';
import { nodeCompressor } from '../../src/server/sending/node-compressor.ts';
import { ELEVENTH } from '../sample-design.ts';

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
