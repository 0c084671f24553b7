import { BYTE_OF_LINEAR, LINEAR_OF_BYTE, LINEAR_ONE } from '../../colour/linear.ts';
import { CoreError } from '../../error.ts';
import { paintRows, preparePainting } from '../../paint/painting.ts';
import { type Light, lightOfHex, printedLight } from '../../print/printed-colour.ts';
import type { Substrate } from '../../print/substrate.ts';
import { weaveRelief } from '../../print/weave-relief.ts';
import { blockUnit } from '../../repeat/block-unit.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { PictureOrder } from '../picture-order.ts';
import { encodePng, type Told } from './encode-png.ts';
import type { Compressor } from './png-image.ts';

/** Longest side of a strike-off, in pixels. */
export const MOST_STRIKE_OFF = 8000;

/**
 * A print as it would come out on cloth: its colours as inks and cloth make them, under the light that falls on the cloth's own
 * threads. Threads have no common repeat with the print, so all of it is painted.
 * @throws CoreError "print/too-large" {width, height, most}
 */
export function strikeOffPng(
  unit: RepeatUnit,
  order: PictureOrder,
  substrate: Substrate,
  compressor: Compressor,
  told?: Told,
): AsyncIterable<Uint8Array> {
  const { width, height, pixelsPerMetre, tile } = order;
  if (Math.max(width, height) > MOST_STRIKE_OFF) {
    throw new CoreError('print/too-large', { width, height, most: MOST_STRIKE_OFF });
  }
  const rows = function* () {
    const window = { tile, width, offset: { x: 0, y: 0 }, look: 'flat' } as const;
    const painting = preparePainting(blockUnit(unit, order.block), window);
    const printed = printer(substrate);
    const relief = weaveRelief(substrate, pixelsPerMetre);
    const pixels = new Uint32Array(width);
    for (let y = 0; y < height; y += 1) {
      paintRows(painting, y, 1, pixels);
      const line = new Uint8Array(width * 3);
      for (let x = 0; x < width; x += 1) {
        const light = printed(pixels[x]!);
        const falls = relief(x, y);
        for (let part = 0; part < 3; part += 1) line[x * 3 + part] = byteOf(light[part]! * falls);
      }
      yield line;
    }
  };
  const image = {
    width,
    height,
    pixelsPerMetre,
    channels: 3,
    palette: undefined,
    opacity: undefined,
    period: { across: width, down: height },
    rows,
  } as const;
  return encodePng(image, compressor, told);
}

/** The printed light of a pixel, each colour worked out once. What is clear is bare cloth. */
function printer(substrate: Substrate): (pixel: number) => Light {
  const cloth = lightOfHex(substrate.hex);
  const known = new Map<number, Light>();
  return (pixel) => {
    let light = known.get(pixel);
    if (light === undefined) {
      light = printedLight(wantedLight(pixel), substrate, cloth);
      known.set(pixel, light);
    }
    return light;
  };
}

/** Light of a packed pixel over white, which is no ink. */
function wantedLight(pixel: number): Light {
  const opacity = (pixel >>> 24) / 255;
  const part = (shift: number) => 1 - opacity * (1 - LINEAR_OF_BYTE[(pixel >>> shift) & 255]! / LINEAR_ONE);
  return [part(0), part(8), part(16)];
}

function byteOf(light: number): number {
  return BYTE_OF_LINEAR[Math.max(0, Math.min(LINEAR_ONE, Math.round(light * LINEAR_ONE)))]!;
}
