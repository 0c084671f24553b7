import { rgbOf } from '../colour/hex.ts';
import { LINEAR_ONE } from '../colour/linear.ts';
import { type MixingTables, mixingTables } from '../colour/mixing.ts';
import type { Shade } from '../colour/shade.ts';
import { pack } from './pack-light.ts';
import type { PaintWindow, RowPainter } from './painting.ts';

import type { RowLight } from './row-light.ts';
import { CHANNELS, emptyRow, isTouched, PER_WHOLE } from './row-sums.ts';

/**
 * Lays the exact light of a row over what is there: CHANNELS numbers a pixel, each multiplied by how much of it is
 * covered. What every content can do; some have a faster way to the same pixels.
 */
export type LightPainter = (row: number, line: Float64Array) => void;

/** No light, and nothing covered. */
export const NOTHING = Float64Array.of(0, 0, 0, 0);

/** Turns rows of light into pixels, each level rounded once. @param clear  whether something beneath is seen */
export function packLight(
  painters: readonly LightPainter[],
  { tile, width, mixing, ground }: PaintWindow,
  clear: boolean,
): RowPainter {
  const across = Math.min(width, tile.width);
  const tables = mixingTables(mixing);
  const below = emptyLine(across, ground, tables);
  const line = new Float64Array(across * CHANNELS);
  const finish = clear ? packClear : packOpaque;
  return (row, out, at) => {
    line.set(below);
    for (const paint of painters) paint(row, line);
    finish(line, out.subarray(at, at + across), tables.byteOf);
    for (let x = across; x < width; x += across) {
      out.copyWithin(at + x, at, at + Math.min(across, width - x));
    }
  };
}

/** A row of the ground's light, or of none. */
function emptyLine(across: number, ground: Shade | undefined, { levelOf }: MixingTables): Float64Array {
  const light =
    ground === undefined ? NOTHING : [...rgbOf(ground.hex).map((byte) => levelOf[byte]!), LINEAR_ONE];
  return Float64Array.from({ length: across * CHANNELS }, (_, at) => light[at % CHANNELS]!);
}

/**
 * Lays the light of a row over a line, from what changes along it, which is emptied. A hot loop.
 * @param everywhere  light that is there before any edge
 */
export function overLine(
  lightAt: (row: number) => RowLight,
  everywhere: Float64Array = NOTHING,
): LightPainter {
  return (row, line) => {
    const { start, row: changes } = lightAt(row);
    const { sums, touched } = changes;
    let red = start[0]! * PER_WHOLE + everywhere[0]!;
    let green = start[1]! * PER_WHOLE + everywhere[1]!;
    let blue = start[2]! * PER_WHOLE + everywhere[2]!;
    let cover = start[3]! * PER_WHOLE + everywhere[3]!;
    for (let at = 0, x = 0; at < line.length; at += CHANNELS, x += 1) {
      if (isTouched(touched, x)) {
        red += sums[at]! * PER_WHOLE;
        green += sums[at + 1]! * PER_WHOLE;
        blue += sums[at + 2]! * PER_WHOLE;
        cover += sums[at + 3]! * PER_WHOLE;
      }
      if (cover > 0) over(line, at, red, green, blue, cover);
    }
    emptyRow(changes);
  };
}

/** Source over (W3C Compositing and Blending Level 1, 5.1): what lies below is seen as far as nothing covers it. */
export function over(
  line: Float64Array,
  at: number,
  red: number,
  green: number,
  blue: number,
  cover: number,
): void {
  const through = seenThrough(cover);
  line[at] = line[at]! * through + red;
  line[at + 1] = line[at + 1]! * through + green;
  line[at + 2] = line[at + 2]! * through + blue;
  line[at + 3] = line[at + 3]! * through + cover;
}

/** The share of what lies below that is seen through a cover. */
export function seenThrough(cover: number): number {
  return cover >= LINEAR_ONE ? 0 : 1 - cover / LINEAR_ONE;
}

/** A row of one light. */
export function rowOf(light: Float64Array, across: number): Float64Array {
  const row = new Float64Array(across * CHANNELS);
  row.set(light);
  for (let at = CHANNELS; at < row.length; at *= 2) row.copyWithin(at, 0, Math.min(at, row.length - at));
  return row;
}

function packOpaque(line: Float64Array, pixels: Uint32Array, byteOf: Uint8Array): void {
  let last = 0;
  for (let x = 0, at = 0; x < pixels.length; x += 1, at += CHANNELS) {
    const before = at - CHANNELS;
    // Most pixels are as the one before.
    const isSame =
      x > 0 &&
      line[at] === line[before] &&
      line[at + 1] === line[before + 1] &&
      line[at + 2] === line[before + 2];
    if (!isSame) last = pack(level(line[at]!), level(line[at + 1]!), level(line[at + 2]!), byteOf);
    pixels[x] = last;
  }
}

/** The nearest whole level, a half up. */
export function level(light: number): number {
  return Math.min(LINEAR_ONE, Math.floor(light + 0.5));
}

/** What is not clear shows its own light, unmixed, as opaque as it covers; what is clear has no colour. */
function packClear(line: Float64Array, pixels: Uint32Array, byteOf: Uint8Array): void {
  const bytes = new Uint8Array(pixels.buffer, pixels.byteOffset, pixels.byteLength);
  for (let at = 0; at < line.length; at += CHANNELS) {
    const cover = line[at + 3]! / LINEAR_ONE;
    const alpha = Math.round(255 * cover);
    for (let channel = 0; channel < 3; channel += 1) {
      bytes[at + channel] = alpha > 0 ? byteOf[level(line[at + channel]! / cover)]! : 0;
    }
    bytes[at + 3] = alpha;
  }
}
