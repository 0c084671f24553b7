import { rgbOf } from '../colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE, LINEAR_ONE } from '../colour/linear.ts';
import { modulo } from '../exact/modulo.ts';
import type { Partition } from '../tiling/partition.ts';
import type { PaintWindow, RowPainter } from './painting.ts';
import { type Edges, joinSides, mulDivFloor, SUBPIXELS, sidesOf } from './partition-edges.ts';

/** Red, green and blue light, and how much of a pixel is not clear: 0 … 65535 each. */
const CHANNELS = 4;

/** One pixel wholly covered: subpixels across × subpixels down × 2, so that halves are whole. */
const WHOLE = 2 * SUBPIXELS * SUBPIXELS;

/** Rows whose edges are looked up together. */
const ROWS = 32;

/**
 * A partition by exact area coverage in linear light. Each edge is accumulated once, with the difference of the
 * light on its two sides; shares of a pixel add up to one, so that neighbours never let anything through. All sums
 * are whole numbers below 2^53 and are rounded once, so that the result does not depend on where the window lies.
 */
export function paintPartition(partition: Partition, window: PaintWindow): RowPainter {
  const { tile, width } = window;
  const across = Math.min(width, tile.width);
  const sides = sidesOf(partition, window);
  const edges = joinSides(sides, tile.width * SUBPIXELS, tile.height * SUBPIXELS);
  const light = lightOf(partition);
  const left = leftBorder(edges, light, startOf(sides, edges, light));
  const lists = edgesByRows(edges, tile.height);
  const sums = new Float64Array((across + 2) * CHANNELS);
  const touched = new Uint8Array(across + 2);
  const clear = partition.clear.includes(true);
  const line = new Uint32Array(across);
  const bytes = new Uint8Array(line.buffer);
  return (row, out, at) => {
    const y = modulo(row, tile.height);
    for (const { edge, top } of lists[Math.floor(y / ROWS)]!) {
      accumulateEdge(edges, { edge, top, row: y, across }, light, sums, touched);
    }
    const start = left(y);
    resolveRow({ start, sums, touched, clear, line, bytes });
    for (let x = 0; x < width; x += across) out.set(line.subarray(0, Math.min(across, width - x)), at + x);
  };
}

function lightOf({ shades, clear }: Partition): Float64Array {
  return Float64Array.from(
    shades.flatMap(({ hex }, index) =>
      clear[index] ? [0, 0, 0, 0] : [...rgbOf(hex).map((byte) => LINEAR_OF_BYTE[byte]!), LINEAR_ONE],
    ),
  );
}

/**
 * Where an edge that begins at (x, y) crosses the upright line at `line`, which it does once: the height, rounded
 * down to a subpixel. The same edge has the same answer from every window.
 */
function crossing(x: number, y: number, dx: number, dy: number, line: number): number {
  return y + mulDivFloor(line - x, dy, dx);
}

/** Multiples of the repeat's width that an edge from x over dx reaches past, a start on one not counted. */
function linesCrossed(x: number, dx: number, width: number): readonly number[] {
  const [from, to] = dx > 0 ? [x, x + dx] : [x + dx, x];
  const lines: number[] = [];
  for (let line = (Math.floor(from / width) + 1) * width; line <= to; line += width) lines.push(line);
  return lines;
}

/**
 * Light just left of the window's left border, one subpixel above its top: the faces in which that place lies.
 * A face holds it once for each time that its border, followed down the line, has been entered and not left.
 */
function startOf(
  sides: ReturnType<typeof sidesOf>,
  { width, height }: Edges,
  light: Float64Array,
): Float64Array {
  const start = new Float64Array(CHANNELS);
  let faces = 0;
  for (const { x, y, dx, dy, shade, ahead } of sides) {
    if (dx === 0) continue;
    for (const line of linesCrossed(x, dx, width)) {
      const at = crossing(x, y, dx, dy, line);
      // Walked to the right, a face lies above its side; walked to the left, below it.
      const enters = ahead === dx > 0 ? -1 : 1;
      const times = -enters * Math.floor(at / height);
      faces += times;
      for (let channel = 0; channel < CHANNELS; channel += 1) {
        start[channel]! += times * light[shade * CHANNELS + channel]!;
      }
    }
  }
  if (faces !== 1) throw new Error(`expected the partition to cover the window's corner once, got ${faces}`);
  return start;
}

/** For each row of the tile, the light that lies just left of the window's left border, times WHOLE. */
function leftBorder(edges: Edges, light: Float64Array, start: Float64Array): (row: number) => Float64Array {
  const crossings: { at: number; edge: number; sign: 1 | -1 }[] = [];
  for (let edge = 0; edge < edges.count; edge += 1) {
    const [x, y, dx, dy] = [edges.x[edge]!, edges.y[edge]!, edges.dx[edge]!, edges.dy[edge]!];
    if (dx === 0 || edges.ahead[edge] === edges.back[edge]) continue;
    for (const line of linesCrossed(x, dx, edges.width)) {
      const at = modulo(crossing(x, y, dx, dy, line), edges.height);
      crossings.push({ at, edge, sign: dx > 0 ? -1 : 1 });
    }
  }
  crossings.sort((a, b) => a.at - b.at);
  const change = ({ edge, sign }: (typeof crossings)[number], channel: number) =>
    sign * (light[edges.ahead[edge]! * CHANNELS + channel]! - light[edges.back[edge]! * CHANNELS + channel]!);
  // Light after each crossing, the first entry before any.
  const after = new Float64Array((crossings.length + 1) * CHANNELS);
  after.set(start);
  crossings.forEach((crossed, index) => {
    for (let channel = 0; channel < CHANNELS; channel += 1) {
      after[(index + 1) * CHANNELS + channel] = after[index * CHANNELS + channel]! + change(crossed, channel);
    }
  });
  return (row) => {
    const [top, bottom] = [row * SUBPIXELS, (row + 1) * SUBPIXELS];
    let index = firstFrom(crossings, top);
    const sum = new Float64Array(CHANNELS);
    let from = top;
    for (; from < bottom; index += 1) {
      const to = Math.min(bottom, crossings[index]?.at ?? bottom);
      for (let channel = 0; channel < CHANNELS; channel += 1) {
        sum[channel]! += 2 * SUBPIXELS * (to - from) * after[index * CHANNELS + channel]!;
      }
      from = to;
    }
    return sum;
  };
}

/** Index of the first crossing at or below a height. */
function firstFrom(crossings: readonly { readonly at: number }[], height: number): number {
  let [low, high] = [0, crossings.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (crossings[middle]!.at < height) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** An edge as it stands in the window, or a repeat above it. */
interface Placed {
  readonly edge: number;
  /** Height of its start, in subpixels. */
  readonly top: number;
}

/** The edges that change anything, listed for every few rows that they pass through. */
function edgesByRows(edges: Edges, rows: number): readonly (readonly Placed[])[] {
  const lists: Placed[][] = Array.from({ length: Math.ceil(rows / ROWS) }, () => []);
  for (let edge = 0; edge < edges.count; edge += 1) {
    const dy = edges.dy[edge]!;
    if (dy === 0 || edges.ahead[edge] === edges.back[edge]) continue;
    for (let top = edges.y[edge]!; top + dy > 0; top -= edges.height) {
      const last = Math.min(rows * SUBPIXELS, top + dy) - 1;
      for (
        let list = Math.floor(Math.max(0, top) / (ROWS * SUBPIXELS));
        list <= Math.floor(last / (ROWS * SUBPIXELS));
        list += 1
      ) {
        lists[list]!.push({ edge, top });
      }
    }
  }
  return lists;
}

interface EdgeInRow extends Placed {
  readonly row: number;
  readonly across: number;
}

/**
 * Adds what one edge changes in one pixel row: each pixel that it crosses takes its share of the difference, and the
 * running sum carries the whole to all pixels on the right. A hot loop, longer than others for it.
 */
function accumulateEdge(
  edges: Edges,
  { edge, top, row, across }: EdgeInRow,
  light: Float64Array,
  sums: Float64Array,
  touched: Uint8Array,
): void {
  const [dx, dy] = [edges.dx[edge]!, edges.dy[edge]!];
  const upper = Math.max(top, row * SUBPIXELS);
  const lower = Math.min(top + dy, (row + 1) * SUBPIXELS);
  if (upper >= lower) return;
  const start = edges.x[edge]!;
  const from = upper === top ? start : start + mulDivFloor(upper - top, dx, dy);
  const to = lower === top + dy ? start + dx : start + mulDivFloor(lower - top, dx, dy);
  const [least, most] = from < to ? [from, to] : [to, from];
  const [ahead, back] = [edges.ahead[edge]! * CHANNELS, edges.back[edge]! * CHANNELS];
  // Where the edge, so far down, has come to an upright line; kept within this row.
  const heightAt = (x: number) => Math.min(lower, Math.max(upper, crossing(start, top, dx, dy, x)));
  const begin = -Math.floor(most / edges.width) * edges.width;
  for (let shift = begin; least + shift < across * SUBPIXELS; shift += edges.width) {
    const first = Math.max(0, Math.floor((least + shift) / SUBPIXELS));
    const last = Math.min(across - 1, Math.max(first, Math.ceil((most + shift) / SUBPIXELS) - 1));
    for (let column = first; column <= last; column += 1) {
      const border = column * SUBPIXELS;
      const x0 = Math.max(least + shift, border);
      const x1 = Math.min(most + shift, border + SUBPIXELS);
      if (x1 < border) continue;
      const [y0, y1] =
        dx > 0
          ? [
              x0 === from + shift ? upper : heightAt(x0 - shift),
              x1 === to + shift ? lower : heightAt(x1 - shift),
            ]
          : [
              x0 === to + shift ? lower : heightAt(x0 - shift),
              x1 === from + shift ? upper : heightAt(x1 - shift),
            ];
      const height = least === most ? lower - upper : Math.abs(y1 - y0);
      const inside = x0 + x1 - 2 * border;
      const here = height * (2 * SUBPIXELS - inside);
      const beyond = height * inside;
      const place = column * CHANNELS;
      for (let channel = 0; channel < CHANNELS; channel += 1) {
        const difference = light[ahead + channel]! - light[back + channel]!;
        sums[place + channel]! += here * difference;
        sums[place + CHANNELS + channel]! += beyond * difference;
      }
      touched[column] = 1;
      touched[column + 1] = 1;
    }
  }
}

interface RowToResolve {
  readonly start: Float64Array;
  readonly sums: Float64Array;
  readonly touched: Uint8Array;
  readonly clear: boolean;
  readonly line: Uint32Array;
  readonly bytes: Uint8Array;
}

/** Turns the sums of one row into pixels and empties them; a half is rounded up. A hot loop. */
function resolveRow({ start, sums, touched, clear, line, bytes }: RowToResolve): void {
  let [red, green, blue, cover] = start as unknown as [number, number, number, number];
  for (let x = 0; x < line.length; x += 1) {
    if (touched[x] === 1) {
      const at = x * CHANNELS;
      red += sums[at]!;
      green += sums[at + 1]!;
      blue += sums[at + 2]!;
      cover += sums[at + 3]!;
    } else if (x > 0) {
      line[x] = line[x - 1]!;
      continue;
    }
    // What is not clear shows its own light, unmixed; without clear faces the cover is everywhere whole.
    const whole = clear ? Math.max(1, cover / LINEAR_ONE) : WHOLE;
    bytes[x * 4] = BYTE_OF_LINEAR[Math.floor((2 * red + whole) / (2 * whole))]!;
    bytes[x * 4 + 1] = BYTE_OF_LINEAR[Math.floor((2 * green + whole) / (2 * whole))]!;
    bytes[x * 4 + 2] = BYTE_OF_LINEAR[Math.floor((2 * blue + whole) / (2 * whole))]!;
    bytes[x * 4 + 3] = clear ? Math.round((255 * cover) / (LINEAR_ONE * WHOLE)) : 255;
  }
  sums.fill(0);
  touched.fill(0);
}
