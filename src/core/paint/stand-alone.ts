import { SUBPIXELS } from '../shape/grid.ts';
import type { Place } from '../shape/places.ts';
import type { Edges } from './partition-edges.ts';
import { CHANNELS } from './row-sums.ts';

/** Polygons in subpixels from a whole pixel at their upper left, and that pixel in the repeat. */
export interface Standing {
  readonly left: number;
  readonly top: number;
  /** Pixels that they reach over. */
  readonly across: number;
  readonly down: number;
  readonly edges: Edges;
  /** What each edge changes of the cover to its right. */
  readonly differences: Float64Array;
}

/** Polygons that do not come round: moved by whole pixels they are the same. @param polygons  at least one */
export function standAlone(polygons: readonly (readonly Place[])[]): Standing {
  const box = boxOf(polygons);
  const left = Math.floor(box.left / SUBPIXELS);
  const top = Math.floor(box.top / SUBPIXELS);
  const across = Math.ceil(box.right / SUBPIXELS) - left;
  const down = Math.ceil(box.bottom / SUBPIXELS) - top;
  const origin = { x: left * SUBPIXELS, y: top * SUBPIXELS };
  const edges = edgesAlone(polygons, origin, down * SUBPIXELS);
  const differences = new Float64Array(edges.count * CHANNELS);
  for (let edge = 0; edge < edges.count; edge += 1) {
    // Walked as it stands, a side has its face on the right: it adds it where it goes down.
    differences[edge * CHANNELS + 3] = edges.ahead[edge] === 1 ? 1 : -1;
  }
  return { left, top, across, down, edges, differences };
}

function boxOf(polygons: readonly (readonly Place[])[]) {
  const box = { left: Infinity, right: -Infinity, top: Infinity, bottom: -Infinity };
  for (const polygon of polygons) {
    for (const { x, y } of polygon) {
      box.left = Math.min(box.left, x);
      box.right = Math.max(box.right, x);
      box.top = Math.min(box.top, y);
      box.bottom = Math.max(box.bottom, y);
    }
  }
  return box;
}

/** Wider than any window, so that nothing comes round. */
const ENDLESS = 2 ** 40;

/** The sides of polygons, walked downward each; `ahead` is 1 where the polygon walks a side so. */
function edgesAlone(polygons: readonly (readonly Place[])[], origin: Place, height: number): Edges {
  const most = polygons.reduce((sum, { length }) => sum + length, 0);
  const x = new Float64Array(most);
  const y = new Float64Array(most);
  const dx = new Float64Array(most);
  const dy = new Float64Array(most);
  const ahead = new Int32Array(most);
  const back = new Int32Array(most);
  let count = 0;
  for (const polygon of polygons) {
    for (let at = 0; at < polygon.length; at += 1) {
      const from = polygon[at]!;
      const to = polygon[at + 1 < polygon.length ? at + 1 : 0]!;
      if (from.y === to.y) continue;
      const falls = to.y > from.y;
      const start = falls ? from : to;
      x[count] = start.x - origin.x;
      y[count] = start.y - origin.y;
      dx[count] = falls ? to.x - from.x : from.x - to.x;
      dy[count] = falls ? to.y - from.y : from.y - to.y;
      ahead[count] = falls ? 1 : 0;
      back[count] = falls ? 0 : 1;
      count += 1;
    }
  }
  return { width: ENDLESS, height, count, x, y, dx, dy, ahead, back };
}
