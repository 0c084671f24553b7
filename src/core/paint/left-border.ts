import { modulo } from '../exact/modulo.ts';
import { SUBPIXELS } from '../shape/grid.ts';
import { type Edges, mulDivFloor, type Side } from './partition-edges.ts';
import { CHANNELS } from './row-sums.ts';

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
export function startOf(
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
export function leftBorder(
  edges: Edges,
  light: Float64Array,
  start: Float64Array,
): (row: number) => Float64Array {
  const crossings: { at: number; edge: number; sign: 1 | -1 }[] = [];
  for (let edge = 0; edge < edges.count; edge += 1) {
    const x = edges.x[edge]!;
    const y = edges.y[edge]!;
    const dx = edges.dx[edge]!;
    const dy = edges.dy[edge]!;
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
    const top = row * SUBPIXELS;
    const bottom = (row + 1) * SUBPIXELS;
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
  let low = 0;
  let high = crossings.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (crossings[middle]!.at < height) low = middle + 1;
    else high = middle;
  }
  return low;
}
