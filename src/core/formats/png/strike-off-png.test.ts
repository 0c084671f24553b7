import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { nodeCompressor } from '../../../server/sending/node-compressor.ts';
import { LINEAR_OF_BYTE, LINEAR_ONE } from '../../colour/linear.ts';
import { compile } from '../../design/compile-design.ts';
import { designFromText } from '../../design/exchange/counts-text.ts';
import { rational } from '../../exact/rational.ts';
import { lightOfHex, printedLight } from '../../print/printed-colour.ts';
import { SUBSTRATES } from '../../print/substrate.ts';
import { orderPicture } from '../picture-order.ts';
import { MOST_STRIKE_OFF, strikeOffPng } from './strike-off-png.ts';

const CANVAS = SUBSTRATES.find(({ key }) => key === 'cotton-canvas')!;
const PLAIN = designFromText('A10\nweave: plain\ndensity: 25/in', 'One shade');
const UNIT = compile(PLAIN);

describe('strikeOffPng', () => {
  it('has in the mean the light that its colour has in print, and shows threads', async () => {
    const order = orderPicture(UNIT, { dpi: rational(300) }, { kind: 'crop', width: 420, height: 420 });
    const pieces: Uint8Array[] = [];
    for await (const piece of strikeOffPng(UNIT, order, CANVAS, nodeCompressor)) pieces.push(piece);
    const { data, width, height } = PNG.sync.read(Buffer.concat(pieces));
    const printed = printedLight(lightOfHex(PLAIN.shades[0]!.hex), CANVAS, lightOfHex(CANVAS.hex));
    for (const part of [0, 1, 2]) {
      let sum = 0;
      for (let at = part; at < data.length; at += 4) sum += LINEAR_OF_BYTE[data[at]!]! / LINEAR_ONE;
      expect(sum / (width * height)).toBeCloseTo(printed[part]!, 2);
    }
    expect(new Set(new Uint32Array(data.buffer, data.byteOffset, width * height)).size).toBeGreaterThan(4);
  });

  it('is refused where it is larger than one is looked at', () => {
    const order = { ...orderPicture(UNIT, { dpi: rational(300) }, undefined), width: MOST_STRIKE_OFF + 1 };
    expect(() => strikeOffPng(UNIT, order, CANVAS, nodeCompressor)).toThrow(
      expect.objectContaining({ code: 'print/too-large' }),
    );
  });
});
