import type { Mixing } from '../colour/mixing.ts';
import { type Look, type PaintWindow, paintRows, preparePainting } from '../paint/painting.ts';
import { blockUnit } from '../repeat/block-unit.ts';
import { contentKind } from '../repeat/contents.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import type { PictureOrder } from './picture-order.ts';

/** How a picture is painted. */
export interface PictureLook {
  readonly look: Look;
  readonly mixing: Mixing;
}

/** The rows of one repeat, as far as the picture shows it; the same memory is used for each. */
export function* tileRows(
  unit: RepeatUnit,
  { tile, width, height }: PictureOrder,
  { look, mixing }: PictureLook,
): Iterable<Uint32Array> {
  const once = Math.min(width, tile.width);
  const window: PaintWindow = { tile, width: once, offset: { x: 0, y: 0 }, look, mixing };
  const painting = preparePainting(unit, window);
  const pixels = new Uint32Array(once);
  for (let y = 0; y < Math.min(height, tile.height); y += 1) {
    paintRows(painting, y, 1, pixels);
    yield pixels;
  }
}

/** One repeat as bytes, as far as the picture shows it: row by row from the top, `channels` bytes a pixel. */
export function paintedTile(
  unit: RepeatUnit,
  order: PictureOrder,
  look: PictureLook,
): {
  readonly width: number;
  readonly height: number;
  readonly channels: 3 | 4;
  readonly pixels: Uint8Array;
} {
  const width = Math.min(order.tile.width, order.width);
  const height = Math.min(order.tile.height, order.height);
  const channels = contentKind(unit.content).isClear(unit.content) ? 4 : 3;
  const line = width * channels;
  const pixels = new Uint8Array(line * height);
  let at = 0;
  for (const row of tileRows(blockUnit(unit, order.block), order, look)) {
    writeBytes(row, pixels.subarray(at, at + line), channels);
    at += line;
  }
  return { width, height, channels, pixels };
}

/** Bytes of a painted tile, four a pixel at most. */
export function tileBytes({ tile, width, height }: PictureOrder): number {
  return 4 * Math.min(tile.width, width) * Math.min(tile.height, height);
}

/** Red, green, blue and, with four channels, alpha of each pixel. */
export function writeBytes(pixels: Uint32Array, line: Uint8Array, channels: 3 | 4 | 1): void {
  const bytes = new Uint8Array(pixels.buffer, pixels.byteOffset, pixels.byteLength);
  for (let x = 0; x < pixels.length; x += 1) {
    for (let channel = 0; channel < channels; channel += 1) {
      line[x * channels + channel] = bytes[x * 4 + channel]!;
    }
  }
}
