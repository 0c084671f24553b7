import { rgbOf } from '../colour/hex.ts';
import { LINEAR_ONE } from '../colour/linear.ts';
import { type MixingTables, mixingTables } from '../colour/mixing.ts';
import type { Shade } from '../colour/shade.ts';
import { hasClear } from '../faces/partition.ts';
import type { Marks } from '../repeat/repeat-unit.ts';
import { gridOf, SUBPIXELS } from '../shape/grid.ts';
import { type Outline, outlineOf } from '../shape/outline-of.ts';
import type { Place } from '../shape/places.ts';
import { fadePainters } from './fade-light.ts';
import type { PaintWindow, RowPainter } from './painting.ts';
import { type Side, sideBetween, walkAlone, walkPartition } from './partition-edges.ts';
import { lightOf, PER_WHOLE, pack } from './partition-painter.ts';
import { edgeLight, type RowLight } from './row-light.ts';
import { CHANNELS, emptyRow, isTouched } from './row-sums.ts';

/** Lays the light of a row over what is there: CHANNELS numbers a pixel, each multiplied by how much of it is covered. */
export type LightPainter = (row: number, line: Float64Array) => void;

/**
 * Marks over a partition: each by coverage, laid over what is there in linear light, rounded once at the end.
 * @param pitch  lengths of one repeat in millimetres
 */
export function paintMarks({ base, marks }: Marks, pitch: Place, window: PaintWindow): RowPainter {
  const { tile, width, mixing, ground } = window;
  const across = Math.min(width, tile.width);
  const tables = mixingTables(mixing);
  const below = emptyLine(across, ground, tables);
  const light = lightOf(base, tables);
  const lightOfShade = (shade: number) => light.subarray(shade * CHANNELS, (shade + 1) * CHANNELS);
  const grid = gridOf(tile, pitch);
  const painters = [
    overLine(edgeLight(walkPartition(base, window), light, window, true)),
    ...fadePainters(base, lightOfShade, window),
    ...marks.map(({ shape, shade }) => outlinePainter(outlineOf(shape, grid), lightOfShade(shade), window)),
  ];
  const line = new Float64Array(across * CHANNELS);
  const finish = hasClear(base) ? packClear : packOpaque;
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

/** Lays the light of an outline over a line. */
function outlinePainter(
  { holes, polygons }: Outline,
  light: Float64Array,
  window: PaintWindow,
): LightPainter {
  const sides = polygons.flatMap((polygon) => sidesRound(polygon, window));
  const walked = walkAlone(sides, window);
  // Holes take away from what fills everything. What lies beyond a polygon, shade 1, is nothing.
  const inside = holes ? light.map((channel) => -channel) : light;
  const lights = Float64Array.of(...inside, ...NOTHING);
  return overLine(edgeLight(walked, lights, window, false), holes ? light : NOTHING);
}

/** Each side of a polygon for what lies inside it (shade 0), moved by the window's offset. */
function sidesRound(places: readonly Place[], { offset }: PaintWindow): readonly Side[] {
  const moved = places.map(({ x, y }) => ({ x: x - offset.x * SUBPIXELS, y: y - offset.y * SUBPIXELS }));
  return moved.flatMap((from, at) => {
    const to = moved[(at + 1) % moved.length]!;
    if (from.x === to.x && from.y === to.y) return [];
    return [sideBetween(from, to, 0)];
  });
}

const NOTHING = Float64Array.of(0, 0, 0, 0);

/**
 * Lays the light of a row over a line, from what changes along it, which is emptied. A hot loop.
 * @param everywhere  light that is there before any edge
 */
function overLine(lightAt: (row: number) => RowLight, everywhere: Float64Array = NOTHING): LightPainter {
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
