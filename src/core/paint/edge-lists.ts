import { SUBPIXELS } from '../shape/grid.ts';
import type { Edges } from './partition-edges.ts';
import type { Placed } from './row-sums.ts';

/** Rows whose edges are looked up together, and how many such lists are kept. */
const ROWS = 32;
const MOST_LISTS = 64;

/** The edges that change anything in some rows, listed when they are first asked for; few lists are kept. */
export function edgesByRows(edges: Edges): (row: number) => Placed {
  const kept = new Map<number, Placed>();
  const lists = Math.ceil(edges.height / LIST);
  const perShelf = Math.ceil(lists / SHELVES);
  const shelves = shelvesOf(edges, perShelf * LIST);
  return (row) => {
    const list = Math.floor(row / ROWS);
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
