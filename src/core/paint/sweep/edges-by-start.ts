import type { Edges } from '../partition-edges.ts';
import { type EdgeMix, edgeMix } from './edge-mix.ts';
import type { SweepShades } from './sweep-shades.ts';

/** Edges that part two lights, sorted by the row in which they begin, and in each from left to right. */
export interface StartingEdges {
  /** One repeat, in subpixels. */
  readonly width: number;
  readonly height: number;
  /** For each row the index of its first edge, and their count after the last. */
  readonly firstIn: Int32Array;
  /** x, y, dx and dy of each. */
  readonly numbers: Float64Array;
  readonly mixes: readonly EdgeMix[];
}

/** @param rows  of the repeat */
export function edgesByStart(
  edges: Edges,
  { same, light, packed }: SweepShades,
  rows: number,
): StartingEdges {
  const { count, x, y, dx, dy, ahead, back, width, height } = edges;
  const firstIn = new Int32Array(rows + 1);
  const isSeen = (edge: number) => dy[edge] !== 0 && same[ahead[edge]!] !== same[back[edge]!];
  for (let edge = 0; edge < count; edge += 1) if (isSeen(edge)) firstIn[(y[edge]! >> 8) + 1]! += 1;
  for (let row = 0; row < rows; row += 1) firstIn[row + 1]! += firstIn[row]!;
  const places = firstIn.slice();
  const order = new Int32Array(firstIn[rows]!);
  for (let edge = 0; edge < count; edge += 1) if (isSeen(edge)) order[places[y[edge]! >> 8]!++] = edge;
  for (let row = 0; row < rows; row += 1) sortByX(order.subarray(firstIn[row]!, firstIn[row + 1]!), x);
  const numbers = new Float64Array(order.length * 4);
  order.forEach((edge, place) => {
    numbers[place * 4] = x[edge]!;
    numbers[place * 4 + 1] = y[edge]!;
    numbers[place * 4 + 2] = dx[edge]!;
    numbers[place * 4 + 3] = dy[edge]!;
  });
  const byShades = new Map<number, EdgeMix>();
  const mixes = Array.from(order, (edge) => {
    const right = same[ahead[edge]!]!;
    const left = same[back[edge]!]!;
    const name = left * same.length + right;
    const known = byShades.get(name);
    if (known !== undefined) return known;
    const made = edgeMix(left, right, light, packed[right]!);
    byShades.set(name, made);
    return made;
  });
  return { width, height, firstIn, numbers, mixes };
}

/** Edges of a row up to which each is put in its place among those before it. */
const FEW = 24;

function sortByX(edges: Int32Array, x: Float64Array): void {
  if (edges.length > FEW) {
    edges.sort((one, other) => x[one]! - x[other]!);
    return;
  }
  for (let at = 1; at < edges.length; at += 1) {
    const edge = edges[at]!;
    let place = at;
    for (; place > 0 && x[edges[place - 1]!]! > x[edge]!; place -= 1) edges[place] = edges[place - 1]!;
    edges[place] = edge;
  }
}
