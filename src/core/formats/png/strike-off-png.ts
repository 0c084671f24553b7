import { CoreError } from '../../error.ts';
import { paintRows, preparePainting } from '../../paint/painting.ts';
import { pressOf } from '../../print/press.ts';
import type { Substrate } from '../../print/substrate.ts';
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
    const print = pressOf(substrate, pixelsPerMetre);
    const pixels = new Uint32Array(width);
    for (let y = 0; y < height; y += 1) {
      paintRows(painting, y, 1, pixels);
      yield print(pixels, y);
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
