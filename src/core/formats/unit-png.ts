import { type PaintWindow, paintRows, preparePainting } from '../paint/painting.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import type { PictureOrder } from './picture-order.ts';
import { type Compressor, encodePng } from './png.ts';

/** Most colours of a palette. */
const MAX_PALETTE = 256;

/**
 * Writes a repeat, a sheet of repeats, or a crop of one as PNG: indexes when it has up to 256 colours, else RGB. Only
 * one repeat is painted, and of it no more than the picture shows; its rows are copied to the picture's width.
 */
export function unitToPng(
  unit: RepeatUnit,
  order: PictureOrder,
  compressor: Compressor,
): AsyncIterable<Uint8Array> {
  const { width, height, pixelsPerMetre, tile } = order;
  const colours = coloursOf(unit, order);
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
    for (const pixels of paintedRows(unit, order)) {
      if (before === undefined || !sameRow(before, pixels)) {
        line = new Uint8Array(width * bytesPerPixel);
        writeRow(pixels, line);
        repeatAlong(line, pixels.length * bytesPerPixel);
        before = pixels.slice();
      }
      yield line;
    }
  };
  const palette = colours && paletteBytes([...colours.keys()]);
  const period = Math.min(tile.height, height);
  return encodePng({ width, height, pixelsPerMetre, palette, period, rows }, compressor);
}

/** Each colour of the picture with its index, or undefined when there are too many. */
function coloursOf(unit: RepeatUnit, order: PictureOrder): ReadonlyMap<number, number> | undefined {
  const colours = new Map<number, number>();
  let before: Uint32Array | undefined;
  for (const pixels of paintedRows(unit, order)) {
    if (before !== undefined && sameRow(before, pixels)) continue;
    for (const pixel of pixels) if (!colours.has(pixel)) colours.set(pixel, colours.size);
    if (colours.size > MAX_PALETTE) return undefined;
    before = pixels.slice();
  }
  return colours;
}

/** The rows of one repeat, as far as the picture shows it; the same memory is used for each. */
function* paintedRows(unit: RepeatUnit, { tile, width, height }: PictureOrder): Iterable<Uint32Array> {
  const once = Math.min(width, tile.width);
  const window: PaintWindow = { tile, width: once, offset: { x: 0, y: 0 }, look: 'flat' };
  const painting = preparePainting(unit, window);
  const pixels = new Uint32Array(once);
  for (let y = 0; y < Math.min(height, tile.height); y += 1) {
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
