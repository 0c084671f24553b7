import { modulo } from '../exact/modulo.ts';
import { SUBPIXELS } from '../shape/grid.ts';
import type { PaintWindow } from './painting.ts';
import { type Edges, mulDivFloor, type Side, type Walked } from './partition-edges.ts';
import { accumulateRow, CHANNELS, emptySums, type Placed, type RowSums } from './row-sums.ts';

/** Rows whose edges are looked up together, and how many such lists are kept. */
const ROWS = 32;
const MOST_LISTS = 64;

/** The light of one row: what lies just left of it, times WHOLE, and what changes along it. To be emptied when read. */
export interface RowLight {
  readonly start: Float64Array;
  readonly row: RowSums;
}

/**
 * The light of faces on the torus of one repeat, row by row, each edge accumulated once with the difference of the light
 * on its two sides. All sums are whole numbers below 2^53, so the result does not depend on where the window lies.
 *
 * @param light  CHANNELS numbers a shade
 * @param once   whether faces cover everything once, and it is a fault when they do not
 */
export function edgeLight(
  { sides, edges }: Walked,
  light: Float64Array,
  { tile, width }: PaintWindow,
  once: boolean,
): (row: number) => RowLight {
  const left = leftBorder(edges, light, startOf(sides, edges, light, once));
  const lists = edgesByRows(edges);
  const differences = differencesOf(edges, light);
  const sums = emptySums(Math.min(width, tile.width));
  return (row) => {
    const y = modulo(row, tile.height);
    accumulateRow(edges, lists(Math.floor(y / ROWS)), y, differences, sums);
    return { start: left(y), row: sums };
  };
}

/** For each edge, the light of the face that it has ahead less that of the other: what it changes to its right. */
function differencesOf({ count, ahead, back }: Edges, light: Float64Array): Float64Array {
  const differences = new Float64Array(count * CHANNELS);
  for (let edge = 0; edge < count; edge += 1) {
    const [one, other] = [ahead[edge]! * CHANNELS, back[edge]! * CHANNELS];
    for (let channel = 0; channel < CHANNELS; channel += 1) {
      differences[edge * CHANNELS + channel] = light[one + channel]! - light[other + channel]!;
    }
  }
  return differences;
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
  sides: readonly Side[],
  { width, height }: Edges,
  light: Float64Array,
  once: boolean,
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
  if (once && faces !== 1) throw new Error(`expected one face at the window's corner, got ${faces}`);
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

/** The edges that change anything in some rows, listed when they are first asked for; few lists are kept. */
function edgesByRows(edges: Edges): (list: number) => Placed {
  const kept = new Map<number, Placed>();
  const lists = Math.ceil(edges.height / LIST);
  const perShelf = Math.ceil(lists / SHELVES);
  const shelves = shelvesOf(edges, perShelf * LIST);
  return (list) => {
    const known = kept.get(list);
    if (known !== undefined) return known;
    if (kept.size >= MOST_LISTS) kept.clear();
    const found = edgesIn(edges, shelves[Math.floor(list / perShelf)]!, list * LIST, (list + 1) * LIST);
    kept.set(list, found);
    return found;
  };
}

/** Parts of the repeat's height that edges are sorted into, so that a list looks at few of them. */
const SHELVES = 64;

/** Subpixels of the rows that have a list. */
const LIST = ROWS * SUBPIXELS;

/** The edges that change anything in each part of the repeat's height. */
function shelvesOf({ count, y, dy, ahead, back, height }: Edges, part: number): readonly number[][] {
  const shelves: number[][] = Array.from({ length: Math.ceil(height / part) }, () => []);
  for (let edge = 0; edge < count; edge += 1) {
    if (dy[edge] === 0 || ahead[edge] === back[edge]) continue;
    const first = Math.floor(y[edge]! / part);
    // What goes on below the repeat comes in at its top; longer ones reach every shelf, once.
    const last = Math.floor((y[edge]! + dy[edge]!) / part);
    const wrapped = Math.floor((y[edge]! + dy[edge]! - height) / part);
    if (last - first + 1 >= shelves.length || wrapped >= first) {
      for (const shelf of shelves) shelf.push(edge);
      continue;
    }
    for (let at = first; at <= Math.min(last, shelves.length - 1); at += 1) shelves[at]!.push(edge);
    for (let at = 0; at <= wrapped; at += 1) shelves[at]!.push(edge);
  }
  return shelves;
}

function edgesIn({ y, dy, height }: Edges, some: readonly number[], from: number, to: number): Placed {
  const indexes: number[] = [];
  const tops: number[] = [];
  for (const edge of some) {
    for (let top = y[edge]!; top + dy[edge]! > from; top -= height) {
      if (top >= to) continue;
      indexes.push(edge);
      tops.push(top);
    }
  }
  return { edges: Uint32Array.from(indexes), tops: Float64Array.from(tops) };
}
