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

/** Rows whose edges are looked up together, and how many such lists are kept. */
const ROWS = 32;
const MOST_LISTS = 64;

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
  const lists = edgesByRows(edges);
  const differences = differencesOf(edges, light);
  const taken: RowSums = {
    across,
    sums: new Float64Array((across + 2) * CHANNELS),
    touched: new Uint8Array(across + 2),
  };
  const resolve = partition.clear.includes(true) ? resolveClear : resolveOpaque;
  const line = new Uint32Array(across);
  return (row, out, at) => {
    const y = modulo(row, tile.height);
    for (const placed of lists(Math.floor(y / ROWS))) accumulateEdge(edges, placed, y, differences, taken);
    resolve({ start: left(y), row: taken, line });
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

/** For each edge, the light of the face that it has ahead less that of the other: what it changes to its right. */
function differencesOf({ count, ahead, back }: Edges, light: Float64Array): Float64Array {
  return Float64Array.from({ length: count * CHANNELS }, (_, at) => {
    const [edge, channel] = [Math.floor(at / CHANNELS), at % CHANNELS];
    return light[ahead[edge]! * CHANNELS + channel]! - light[back[edge]! * CHANNELS + channel]!;
  });
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

/** The edges that change anything in some rows, listed when they are first asked for; few lists are kept. */
function edgesByRows(edges: Edges): (list: number) => readonly Placed[] {
  const kept = new Map<number, readonly Placed[]>();
  return (list) => {
    const known = kept.get(list);
    if (known !== undefined) return known;
    if (kept.size >= MOST_LISTS) kept.clear();
    const found = edgesIn(edges, list * ROWS * SUBPIXELS, (list + 1) * ROWS * SUBPIXELS);
    kept.set(list, found);
    return found;
  };
}

function edgesIn(edges: Edges, from: number, to: number): readonly Placed[] {
  const found: Placed[] = [];
  for (let edge = 0; edge < edges.count; edge += 1) {
    const dy = edges.dy[edge]!;
    if (dy === 0 || edges.ahead[edge] === edges.back[edge]) continue;
    for (let top = edges.y[edge]!; top + dy > from; top -= edges.height) {
      if (top < to) found.push({ edge, top });
    }
  }
  return found;
}

/** What one row takes up: differences of light along it, and which pixels have any. */
interface RowSums {
  /** Pixels of the row. */
  readonly across: number;
  /** CHANNELS numbers a pixel, and one pixel more. */
  readonly sums: Float64Array;
  readonly touched: Uint8Array;
}

/**
 * Adds what one edge changes in one pixel row: each pixel that it crosses takes its share of the difference, and the
 * running sum carries the whole to all pixels on the right. A hot loop, longer than others for it.
 */
function accumulateEdge(
  edges: Edges,
  { edge, top }: Placed,
  row: number,
  differences: Float64Array,
  out: RowSums,
): void {
  const dy = edges.dy[edge]!;
  const upper = Math.max(top, row * SUBPIXELS);
  const lower = Math.min(top + dy, (row + 1) * SUBPIXELS);
  if (upper >= lower) return;
  const dx = edges.dx[edge]!;
  const start = edges.x[edge]!;
  const from = upper === top ? start : start + mulDivFloor(upper - top, dx, dy);
  const to = lower === top + dy ? start + dx : start + mulDivFloor(lower - top, dx, dy);
  const least = Math.min(from, to);
  const most = Math.max(from, to);
  const atLeast = from <= to ? upper : lower;
  const atMost = from <= to ? lower : upper;
  const end = out.across * SUBPIXELS;
  const place = edge * CHANNELS;
  const begin = -Math.floor(most / edges.width) * edges.width;
  for (let shift = begin; least + shift < end; shift += edges.width) {
    const left = least + shift;
    const right = most + shift;
    const first = left > 0 ? Math.floor(left / SUBPIXELS) : 0;
    const last = Math.min(out.across - 1, Math.max(first, Math.ceil(right / SUBPIXELS) - 1));
    let x = Math.max(left, 0);
    let y = x === left ? atLeast : heightAt(x - shift - start, dx, dy, top, upper, lower);
    if (least === most) {
      if (right >= 0) share(out, first, 2 * (x - first * SUBPIXELS), lower - upper, differences, place);
      continue;
    }
    for (let column = first; column <= last && right >= x; column += 1) {
      const border = (column + 1) * SUBPIXELS;
      const next = Math.min(right, border);
      const nextY = next === right ? atMost : heightAt(next - shift - start, dx, dy, top, upper, lower);
      const inside = x + next - 2 * column * SUBPIXELS;
      share(out, column, inside, nextY > y ? nextY - y : y - nextY, differences, place);
      x = next;
      y = nextY;
    }
  }
}

/** How far down an edge has come at a way from its start, rounded down, kept within a row. */
function heightAt(way: number, dx: number, dy: number, top: number, upper: number, lower: number): number {
  const y = top + mulDivFloor(way, dy, dx);
  return Math.min(lower, Math.max(upper, y));
}

/**
 * A piece of an edge in one pixel.
 * @param inside  twice the mean way from the pixel's left border to the piece, in subpixels
 * @param height  of the piece, in subpixels
 */
function share(
  { sums, touched }: RowSums,
  column: number,
  inside: number,
  height: number,
  differences: Float64Array,
  place: number,
): void {
  const here = height * (2 * SUBPIXELS - inside);
  const beyond = height * inside;
  const at = column * CHANNELS;
  const red = differences[place]!;
  const green = differences[place + 1]!;
  const blue = differences[place + 2]!;
  const cover = differences[place + 3]!;
  sums[at]! += here * red;
  sums[at + 1]! += here * green;
  sums[at + 2]! += here * blue;
  sums[at + 3]! += here * cover;
  sums[at + 4]! += beyond * red;
  sums[at + 5]! += beyond * green;
  sums[at + 6]! += beyond * blue;
  sums[at + 7]! += beyond * cover;
  touched[column] = 1;
  touched[column + 1] = 1;
}

interface RowToResolve {
  /** Light just left of the row, times WHOLE. */
  readonly start: Float64Array;
  readonly row: RowSums;
  readonly line: Uint32Array;
}

/** Half of a level, so that a half is rounded up, and what brings a sum to a level; both exact, WHOLE being a power of 2. */
const HALF = WHOLE / 2;
const PER_WHOLE = 1 / WHOLE;

/** Turns the sums of an opaque row into pixels and empties them. A hot loop. */
function resolveOpaque({ start, row: { sums, touched }, line }: RowToResolve): void {
  let red = start[0]! + HALF;
  let green = start[1]! + HALF;
  let blue = start[2]! + HALF;
  let pixel = pack(red * PER_WHOLE, green * PER_WHOLE, blue * PER_WHOLE);
  for (let x = 0, at = 0; x < line.length; x += 1, at += CHANNELS) {
    if (touched[x] === 1) {
      red += sums[at]!;
      green += sums[at + 1]!;
      blue += sums[at + 2]!;
      pixel = pack(red * PER_WHOLE, green * PER_WHOLE, blue * PER_WHOLE);
      touched[x] = 0;
      sums[at] = 0;
      sums[at + 1] = 0;
      sums[at + 2] = 0;
      sums[at + 3] = 0;
    }
    line[x] = pixel;
  }
  clearLast(sums, touched, line.length);
}

/** Levels of light, not yet whole, as one opaque pixel. */
function pack(red: number, green: number, blue: number): number {
  const r = BYTE_OF_LINEAR[red | 0]!;
  const g = BYTE_OF_LINEAR[green | 0]!;
  const b = BYTE_OF_LINEAR[blue | 0]!;
  return LITTLE
    ? (0xff000000 | (b << 16) | (g << 8) | r) >>> 0
    : ((r << 24) | (g << 16) | (b << 8) | 0xff) >>> 0;
}

/** Whether this machine puts the first byte of a word lowest. */
const LITTLE = new Uint8Array(Uint32Array.of(1).buffer)[0] === 1;

/** The same where some faces are clear: what is not clear shows its own light, unmixed, as opaque as it covers. */
function resolveClear({ start, row: { sums, touched }, line }: RowToResolve): void {
  let [red, green, blue, cover] = start as unknown as [number, number, number, number];
  const bytes = new Uint8Array(line.buffer);
  for (let x = 0, at = 0; x < line.length; x += 1, at += CHANNELS) {
    if (touched[x] === 1) {
      red += sums[at]!;
      green += sums[at + 1]!;
      blue += sums[at + 2]!;
      cover += sums[at + 3]!;
      touched[x] = 0;
      sums.fill(0, at, at + CHANNELS);
    } else if (x > 0) {
      line[x] = line[x - 1]!;
      continue;
    }
    const whole = Math.max(1, cover / LINEAR_ONE);
    bytes[at] = BYTE_OF_LINEAR[Math.floor((2 * red + whole) / (2 * whole))]!;
    bytes[at + 1] = BYTE_OF_LINEAR[Math.floor((2 * green + whole) / (2 * whole))]!;
    bytes[at + 2] = BYTE_OF_LINEAR[Math.floor((2 * blue + whole) / (2 * whole))]!;
    bytes[at + 3] = Math.round((255 * cover) / (LINEAR_ONE * WHOLE));
  }
  clearLast(sums, touched, line.length);
}

/** What was carried beyond the row's last pixel belongs to nothing. */
function clearLast(sums: Float64Array, touched: Uint8Array, length: number): void {
  sums.fill(0, length * CHANNELS);
  touched.fill(0, length);
}
