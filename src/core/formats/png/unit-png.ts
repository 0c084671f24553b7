import type { Mixing } from '../../colour/mixing.ts';
import type { Look } from '../../paint/painting.ts';
import { blockUnit } from '../../repeat/block-unit.ts';
import { contentKind } from '../../repeat/contents.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { PictureOrder } from '../picture-order.ts';
import { tileRows, writeBytes } from '../tile-rows.ts';
import { encodePng, type Told } from './encode-png.ts';
import type { Compressor, PngImage } from './png-image.ts';

/** Most colours of a palette. */
const MAX_PALETTE = 256;

/**
 * Writes a repeat, a sheet of repeats, or a crop of one as PNG: indexes when it has up to 256 colours, else RGB, or RGBA
 * where something is left clear. Only
 * one repeat is painted, and of it no more than the picture shows.
 */
export function unitToPng(
  unit: RepeatUnit,
  order: PictureOrder,
  compressor: Compressor,
  look: Look = 'flat',
  mixing: Mixing = 'light',
  told?: Told,
): AsyncIterable<Uint8Array> {
  const { width, height, pixelsPerMetre, tile } = order;
  const block = blockUnit(unit, order.block);
  const painted = () => tileRows(block, order, { look, mixing });
  const colours = coloursOf(painted());
  const channels = colours !== undefined ? 1 : contentKind(unit.content).isClear(unit.content) ? 4 : 3;
  const writeRow = (pixels: Uint32Array, line: Uint8Array) => {
    if (colours === undefined) writeBytes(pixels, line, channels);
    else for (let x = 0; x < pixels.length; x += 1) line[x] = colours.get(pixels[x]!)!;
  };
  const rows = function* () {
    let before: Uint32Array | undefined;
    let line = new Uint8Array(0);
    for (const pixels of painted()) {
      if (before === undefined || !sameRow(before, pixels)) {
        line = new Uint8Array(pixels.length * channels);
        writeRow(pixels, line);
        before = pixels.slice();
      }
      yield line;
    }
  };
  const palette = colours && Uint32Array.from(colours.keys());
  const image: PngImage = {
    width,
    height,
    pixelsPerMetre,
    channels,
    palette: palette && bytesOf(palette, 3),
    opacity:
      palette && contentKind(unit.content).isClear(unit.content)
        ? bytesOf(palette, 4).filter((_, at) => at % 4 === 3)
        : undefined,
    period: { across: Math.min(tile.width, width), down: Math.min(tile.height, height) },
    rows,
  };
  return encodePng(image, compressor, told);
}

/** Each colour of the picture with its index, or undefined when there are too many. */
function coloursOf(rows: Iterable<Uint32Array>): ReadonlyMap<number, number> | undefined {
  const colours = new Map<number, number>();
  let before: Uint32Array | undefined;
  for (const pixels of rows) {
    if (before !== undefined && sameRow(before, pixels)) continue;
    for (const pixel of pixels) if (!colours.has(pixel)) colours.set(pixel, colours.size);
    if (colours.size > MAX_PALETTE) return undefined;
    before = pixels.slice();
  }
  return colours;
}

function sameRow(a: Uint32Array, b: Uint32Array): boolean {
  for (let x = 0; x < a.length; x += 1) if (a[x] !== b[x]) return false;
  return true;
}

function bytesOf(colours: Uint32Array, channels: 3 | 4): Uint8Array {
  const bytes = new Uint8Array(colours.length * channels);
  writeBytes(colours, bytes, channels);
  return bytes;
}
