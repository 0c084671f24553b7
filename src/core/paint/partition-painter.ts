import { rgbOf } from '../colour/hex.ts';
import { LINEAR_ONE } from '../colour/linear.ts';
import { type MixingTables, mixingTables } from '../colour/mixing.ts';
import type { Shade } from '../colour/shade.ts';
import { hasClear, type Partition } from '../faces/partition.ts';
import { isVaried } from '../shape/fill.ts';
import { pack } from './pack-light.ts';
import type { PaintWindow, RowPainter } from './painting.ts';
import { walkPartition } from './partition-edges.ts';
import { edgeLight, type RowLight } from './row-light.ts';
import { CHANNELS, emptyRow, isTouched, PER_WHOLE, WHOLE } from './row-sums.ts';
import { sweepPainter } from './sweep/sweep-painter.ts';

/**
 * A partition by exact area coverage in linear light. Shares of a pixel add up to one, so that neighbours never let
 * anything through; sums are whole and rounded once.
 *
 * @returns  undefined where some fade or show a picture, and over a ground where some are clear
 */
export function paintPartition(partition: Partition, window: PaintWindow): RowPainter | undefined {
  const { ground, mixing } = window;
  if (hasVaried(partition)) return undefined;
  if (!hasClear(partition)) {
    const tables = mixingTables(mixing);
    const lights = lightOf(partition, tables, ground);
    const swept = sweepPainter(walkPartition(partition, window), lights, window, tables);
    if (swept !== undefined) return swept;
  }
  return ground === undefined ? paintBySums(partition, window) : undefined;
}

/** The general way, by the exact sums of every row. It knows no ground. */
export function paintBySums(partition: Partition, window: PaintWindow): RowPainter {
  const { tile, width, mixing } = window;
  const across = Math.min(width, tile.width);
  const tables = mixingTables(mixing);
  const lightAt = edgeLight(walkPartition(partition, window), lightOf(partition, tables), window);
  const resolve = hasClear(partition) ? resolveClear : resolveOpaque;
  return (row, out, at) => {
    resolve(lightAt(row), out.subarray(at, at + across), tables.byteOf);
    // What comes again is copied.
    for (let x = across; x < width; x += across) {
      out.copyWithin(at + x, at, at + Math.min(across, width - x));
    }
  };
}

/** CHANNELS numbers a shade, and after the last of them those of what is clear: the ground's, or none. */
export function lightOf({ shades }: Partition, { levelOf }: MixingTables, ground?: Shade): Float64Array {
  const light = [...shades, ...(ground === undefined ? [] : [ground])].flatMap(({ hex }) => [
    ...rgbOf(hex).map((byte) => levelOf[byte]!),
    LINEAR_ONE,
  ]);
  return Float64Array.from([...light, 0, 0, 0, 0]);
}

/** Whether some faces fade or show a picture, which takes more than edges. */
export function hasVaried({ faces }: Partition): boolean {
  return faces.some(({ fill }) => isVaried(fill));
}

/** Half of a level, so that a half is rounded up. */
const HALF = WHOLE / 2;

/**
 * Turns the sums of an opaque row into pixels and empties them: from one pixel that takes anything up to the next, all
 * are alike. A hot loop.
 */
function resolveOpaque({ start, row }: RowLight, line: Uint32Array, byteOf: Uint8Array): void {
  const { sums, touched } = row;
  const across = line.length;
  let red = start[0]! + HALF;
  let green = start[1]! + HALF;
  let blue = start[2]! + HALF;
  let pixel = pack(red * PER_WHOLE, green * PER_WHOLE, blue * PER_WHOLE, byteOf);
  let from = 0;
  for (let word = 0; word < touched.length; word += 1) {
    let bits = touched[word]!;
    touched[word] = 0;
    while (bits !== 0) {
      const x = word * 32 + 31 - Math.clz32(bits & -bits);
      bits &= bits - 1;
      const to = Math.min(x, across);
      for (; from < to; from += 1) line[from] = pixel;
      const at = x * CHANNELS;
      red += sums[at]!;
      green += sums[at + 1]!;
      blue += sums[at + 2]!;
      pixel = pack(red * PER_WHOLE, green * PER_WHOLE, blue * PER_WHOLE, byteOf);
      // What is covered changes nowhere, so its sum has stayed 0.
      sums[at] = 0;
      sums[at + 1] = 0;
      sums[at + 2] = 0;
    }
  }
  for (; from < across; from += 1) line[from] = pixel;
}

/** The same where some faces are clear: what is not clear shows its own light, unmixed, as opaque as it covers. */
function resolveClear({ start, row }: RowLight, line: Uint32Array, byteOf: Uint8Array): void {
  const { sums, touched } = row;
  let [red, green, blue, cover] = start as unknown as [number, number, number, number];
  const bytes = new Uint8Array(line.buffer, line.byteOffset, line.byteLength);
  for (let x = 0, at = 0; x < line.length; x += 1, at += CHANNELS) {
    if (isTouched(touched, x)) {
      red += sums[at]!;
      green += sums[at + 1]!;
      blue += sums[at + 2]!;
      cover += sums[at + 3]!;
    } else if (x > 0) {
      line[x] = line[x - 1]!;
      continue;
    }
    const alpha = Math.round((255 * cover) / (LINEAR_ONE * WHOLE));
    if (alpha === 0) {
      line[x] = 0;
      continue;
    }
    const whole = Math.max(1, cover / LINEAR_ONE);
    bytes[at] = byteOf[Math.floor((2 * red + whole) / (2 * whole))]!;
    bytes[at + 1] = byteOf[Math.floor((2 * green + whole) / (2 * whole))]!;
    bytes[at + 2] = byteOf[Math.floor((2 * blue + whole) / (2 * whole))]!;
    bytes[at + 3] = alpha;
  }
  emptyRow(row);
}
