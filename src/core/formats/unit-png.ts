import { type PaintWindow, paintRows, preparePainting } from '../paint/painting.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import type { PictureOrder } from './picture-order.ts';
import { type Compressor, encodePng } from './png.ts';

/** Most colours of a palette. */
const MAX_PALETTE = 256;

/**
 * Writes a repeat, or a sheet of repeats, as PNG: indexes when the tile has up to 256 colours, else RGB. Only one
 * repeat is painted; its rows are copied to the sheet's width.
 */
export function unitToPng(
  unit: RepeatUnit,
  order: PictureOrder,
  compressor: Compressor,
): AsyncIterable<Uint8Array> {
  const { width, height, pixelsPerMetre, tile } = order;
  const colours = coloursOf(unit, tile);
  const writeRow =
    colours === undefined
      ? writeRgb
      : (pixels: Uint32Array, line: Uint8Array) => {
          for (let x = 0; x < pixels.length; x += 1) line[x] = colours.get(pixels[x]!)!;
        };
  const bytesPerPixel = colours === undefined ? 3 : 1;
  const rows = function* () {
    let before: Uint32Array | undefined;
    let line = new Uint8Array(0);
    for (const pixels of tileRows(unit, tile)) {
      if (before === undefined || !sameRow(before, pixels)) {
        line = new Uint8Array(width * bytesPerPixel);
        const once = Math.min(width, tile.width);
        writeRow(pixels.subarray(0, once), line.subarray(0, once * bytesPerPixel));
        repeatAlong(line, tile.width * bytesPerPixel);
        before = pixels.slice();
      }
      yield line;
    }
  };
  const palette = colours && paletteBytes([...colours.keys()]);
  return encodePng({ width, height, pixelsPerMetre, palette, period: tile.height, rows }, compressor);
}

/** Each colour of the tile with its index, or undefined when there are too many. */
function coloursOf(unit: RepeatUnit, tile: PictureOrder['tile']): ReadonlyMap<number, number> | undefined {
  const colours = new Map<number, number>();
  let before: Uint32Array | undefined;
  for (const pixels of tileRows(unit, tile)) {
    if (before !== undefined && sameRow(before, pixels)) continue;
    for (const pixel of pixels) if (!colours.has(pixel)) colours.set(pixel, colours.size);
    if (colours.size > MAX_PALETTE) return undefined;
    before = pixels.slice();
  }
  return colours;
}

/** The painted rows of one repeat; the same memory is used for each. */
function* tileRows(unit: RepeatUnit, tile: PictureOrder['tile']): Iterable<Uint32Array> {
  const window: PaintWindow = { tile, width: tile.width, offset: { x: 0, y: 0 }, look: 'flat' };
  const painting = preparePainting(unit, window);
  const pixels = new Uint32Array(tile.width);
  for (let y = 0; y < tile.height; y += 1) {
    paintRows(painting, y, 1, pixels);
    yield pixels;
  }
}

function sameRow(a: Uint32Array, b: Uint32Array): boolean {
  for (let x = 0; x < a.length; x += 1) if (a[x] !== b[x]) return false;
  return true;
}

/** Fills a line with copies of its first `period` bytes. */
function repeatAlong(line: Uint8Array, period: number): void {
  for (let filled = period; filled < line.length; filled *= 2) {
    line.copyWithin(filled, 0, Math.min(filled, line.length - filled));
  }
}

function writeRgb(pixels: Uint32Array, line: Uint8Array): void {
  const bytes = new Uint8Array(pixels.buffer, pixels.byteOffset, pixels.byteLength);
  for (let x = 0; x < pixels.length; x += 1) {
    line[x * 3] = bytes[x * 4]!;
    line[x * 3 + 1] = bytes[x * 4 + 1]!;
    line[x * 3 + 2] = bytes[x * 4 + 2]!;
  }
}

function paletteBytes(colours: readonly number[]): Uint8Array {
  const bytes = new Uint8Array(colours.length * 3);
  writeRgb(Uint32Array.from(colours), bytes);
  return bytes;
}
