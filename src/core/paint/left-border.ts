import { modulo } from '../exact/modulo.ts';
import { mulDivFloor } from '../exact/mul-div-floor.ts';
import { SUBPIXELS } from '../shape/grid.ts';
import { linesCrossed } from './edge-table.ts';
import type { Edges } from './partition-edges.ts';
import { CHANNELS } from './row-sums.ts';

/**
 * Where an edge that begins at (x, y) crosses the upright line at `line`, which it does once: the height, rounded
 * down to a subpixel. The same edge has the same answer from every window.
 */
function crossing(x: number, y: number, dx: number, dy: number, line: number): number {
  return y + mulDivFloor(line - x, dy, dx);
}

/** Light just left of the window's left border, one subpixel above its top. @param held  see Walked */
export function startOf(held: Int32Array, light: Float64Array): Float64Array {
  const start = new Float64Array(CHANNELS);
  held.forEach((times, shade) => {
    for (let channel = 0; channel < CHANNELS; channel += 1) {
      start[channel]! += times * light[shade * CHANNELS + channel]!;
    }
  });
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
