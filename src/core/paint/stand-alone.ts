import { SUBPIXELS } from '../shape/grid.ts';
import type { Place } from '../shape/places.ts';
import { type Edges, type Side, sideBetween } from './partition-edges.ts';
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
  const sides: Side[] = [];
  for (const polygon of polygons) {
    const places = polygon.map(({ x, y }) => ({ x: x - origin.x, y: y - origin.y }));
    for (const [at, from] of places.entries()) {
      const side = sideBetween(from, places[(at + 1) % places.length]!, 0);
      if (side.dy !== 0) sides.push(side);
    }
  }
  const all = (read: (side: Side) => number) => Float64Array.from(sides, read);
  const ahead = Uint16Array.from(sides, (side) => (side.ahead ? 1 : 0));
  return {
    width: ENDLESS,
    height,
    count: sides.length,
    x: all(({ x }) => x),
    y: all(({ y }) => y),
    dx: all(({ dx }) => dx),
    dy: all(({ dy }) => dy),
    ahead,
    back: ahead.map((one) => 1 - one),
  };
}
