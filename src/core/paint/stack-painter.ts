import { rgbOf } from '../colour/hex.ts';
import { LINEAR_ONE } from '../colour/linear.ts';
import { type MixingTables, mixingTables } from '../colour/mixing.ts';
import type { Shade } from '../colour/shade.ts';
import type { Layer, Stack } from '../tiling/stack.ts';
import type { Place } from '../tiling/taken-in.ts';
import { fadeLight } from './fade-light.ts';
import { gapSides, lineSides } from './layer-sides.ts';
import type { PaintWindow, RowPainter } from './painting.ts';
import { walkAlone, walkPartition } from './partition-edges.ts';
import { lightOf, PER_WHOLE, pack } from './partition-painter.ts';
import { edgeLight, type RowLight } from './row-light.ts';
import { CHANNELS, emptyRow, isTouched } from './row-sums.ts';

/** Lays the light of a row over what is there: CHANNELS numbers a pixel, each multiplied by how much of it is covered. */
export type LightPainter = (row: number, line: Float64Array) => void;

/** Lengths of one repeat in millimetres, and what lies under everything. */
interface Under extends Place {
  readonly ground: Shade | null;
}

/**
 * Layers over a partition: each by coverage, laid over what is there in linear light, rounded once at the end.
 */
export function paintStack(
  { base, layers }: Stack,
  { ground, ...pitch }: Under,
  window: PaintWindow,
): RowPainter {
  const { tile, width, mixing } = window;
  const across = Math.min(width, tile.width);
  const tables = mixingTables(mixing);
  const below = emptyLine(across, ground, tables);
  const light = lightOf(base, tables);
  const under = laidOver(edgeLight(walkPartition(base, window), light, window, true));
  const painters = layers.map((layer) => layerPainter(layer, light, pitch, window));
  const line = new Float64Array(across * CHANNELS);
  const finish = base.clear.includes(true) ? packClear : packOpaque;
  return (row, out, at) => {
    line.set(below);
    under(row, line);
    for (const paint of painters) paint(row, line);
    finish(line, out.subarray(at, at + across), tables.byteOf);
    for (let x = across; x < width; x += across) {
      out.copyWithin(at + x, at, at + Math.min(across, width - x));
    }
  };
}

/** A row of the ground's light, or of none. */
function emptyLine(across: number, ground: Shade | null, { levelOf }: MixingTables): Float64Array {
  const light = ground === null ? NOTHING : [...rgbOf(ground.hex).map((byte) => levelOf[byte]!), LINEAR_ONE];
  return Float64Array.from({ length: across * CHANNELS }, (_, at) => light[at % CHANNELS]!);
}

function layerPainter(layer: Layer, light: Float64Array, pitch: Place, window: PaintWindow): LightPainter {
  const shadeLight = (shade: number) => light.subarray(shade * CHANNELS, (shade + 1) * CHANNELS);
  const none = [0, 0, 0, 0] as const;
  switch (layer.kind) {
    case 'lines': {
      // Shade 0 is the layer's own, 1 is nothing.
      const own = Float64Array.of(...shadeLight(layer.shade), ...none);
      return laidOver(edgeLight(walkAlone(lineSides(layer, pitch, window), window), own, window, false));
    }
    case 'gaps': {
      // Faces, shade 0, take away what fills everything.
      const own = shadeLight(layer.shade);
      const taken = Float64Array.of(...own.map((channel) => -channel), ...none);
      const sides = walkAlone(gapSides(layer, pitch, window), window);
      return laidOver(edgeLight(sides, taken, window, false), own);
    }
    case 'fade':
      return fadeLight(layer, shadeLight, window);
    default:
      return layer satisfies never;
  }
}

const NOTHING = Float64Array.of(0, 0, 0, 0);

/**
 * Lays the light of a row over a line, from what changes along it, which is emptied. A hot loop.
 * @param everywhere  light that is there before any edge
 */
function laidOver(lightAt: (row: number) => RowLight, everywhere: Float64Array = NOTHING): LightPainter {
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
function over(line: Float64Array, at: number, red: number, green: number, blue: number, cover: number): void {
  const through = cover >= LINEAR_ONE ? 0 : 1 - cover / LINEAR_ONE;
  line[at] = line[at]! * through + red;
  line[at + 1] = line[at + 1]! * through + green;
  line[at + 2] = line[at + 2]! * through + blue;
  line[at + 3] = line[at + 3]! * through + cover;
}

function packOpaque(line: Float64Array, pixels: Uint32Array, byteOf: Uint8Array): void {
  for (let x = 0, at = 0; x < pixels.length; x += 1, at += CHANNELS) {
    pixels[x] = pack(level(line[at]!), level(line[at + 1]!), level(line[at + 2]!), byteOf);
  }
}

/** The nearest whole level, a half up. */
function level(light: number): number {
  return Math.min(LINEAR_ONE, Math.floor(light + 0.5));
}

/** What is not clear shows its own light, unmixed, as opaque as it covers. */
function packClear(line: Float64Array, pixels: Uint32Array, byteOf: Uint8Array): void {
  const bytes = new Uint8Array(pixels.buffer, pixels.byteOffset, pixels.byteLength);
  for (let at = 0; at < line.length; at += CHANNELS) {
    const cover = line[at + 3]! / LINEAR_ONE;
    for (let channel = 0; channel < 3; channel += 1) {
      bytes[at + channel] = byteOf[level(cover > 0 ? line[at + channel]! / cover : 0)]!;
    }
    bytes[at + 3] = Math.round(255 * cover);
  }
}
