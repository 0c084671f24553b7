import { roundMultiple } from '../exact/surd.ts';
import type { Corner } from '../faces/check-partition.ts';
import type { Partition } from '../faces/partition.ts';
import { SUBPIXELS } from '../shape/grid.ts';
import type { Place } from '../shape/places.ts';
import type { PaintWindow } from './painting.ts';

/**
 * The edges of a partition in a window's subpixels: x to the right and y downward from the window's upper left
 * corner, one repeat being `width` × `height`. Each edge stands once, walked downward (or to the right when level).
 */
export interface Edges {
  readonly width: number;
  readonly height: number;
  readonly count: number;
  /** Start, wrapped into the repeat. */
  readonly x: Float64Array;
  readonly y: Float64Array;
  /** Way to its end; dy ≥ 0. */
  readonly dx: Float64Array;
  readonly dy: Float64Array;
  /** Place in the light of the face that walks the edge as it stands here, and of the one that walks it back. */
  readonly ahead: Uint16Array;
  readonly back: Uint16Array;
}

/** A face's edge in the window's subpixels, not wrapped. */
export interface Side {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  readonly shade: number;
  /** Whether the face walks it as it stands here. */
  readonly ahead: boolean;
}

/**
 * Vertices are rounded to subpixels (a half up) before anything is wrapped and are moved only by whole shifts after,
 * so that an edge is the same wherever the window lies.
 */
function sidesOf(partition: Partition, { tile, offset }: PaintWindow): readonly Side[] {
  const width = tile.width * SUBPIXELS;
  const height = tile.height * SUBPIXELS;
  const xs = partition.vertices.map(({ x }) => roundMultiple(x, width) - offset.x * SUBPIXELS);
  const ys = partition.vertices.map(({ y }) => height - roundMultiple(y, height) - offset.y * SUBPIXELS);
  const place = ({ vertex, across, up }: Corner): Place => ({
    x: xs[vertex]! + across * width,
    y: ys[vertex]! - up * height,
  });
  const sides: Side[] = [];
  const clear = partition.shades.length;
  for (const { corners, fill } of partition.faces) {
    const places = corners.map(place);
    const shade = fill.kind === 'clear' ? clear : fill.shade;
    for (let at = 0; at < places.length; at += 1) {
      sides.push(sideBetween(places[at]!, places[(at + 1) % places.length]!, shade));
    }
  }
  return sides;
}

/** A side walked by a face from one place to another. */
export function sideBetween(from: Place, to: Place, shade: number): Side {
  const ahead = to.y > from.y || (to.y === from.y && to.x > from.x);
  const [start, end] = ahead ? [from, to] : [to, from];
  return { x: start.x, y: start.y, dx: end.x - start.x, dy: end.y - start.y, shade, ahead };
}

/** Faces by their sides, and the edges that those make. */
export interface Walked {
  readonly sides: readonly Side[];
  readonly edges: Edges;
}

/** The sides of a partition's faces, each edge joined of two. */
export function walkPartition(partition: Partition, window: PaintWindow): Walked {
  const { width, height } = sizeOf(window);
  const sides = sidesOf(partition, window);
  return { sides, edges: joinSides(sides, width, height) };
}

/** Sides of faces that have nothing of their kind beside them: beyond each lies shade 1. */
export function walkAlone(sides: readonly Side[], window: PaintWindow): Walked {
  const { width, height } = sizeOf(window);
  const edges = sides.map((side) => ({
    side: { ...side, x: wrap(side.x, width), y: wrap(side.y, height) },
    ahead: side.ahead ? side.shade : NOTHING,
    back: side.ahead ? NOTHING : side.shade,
  }));
  return { sides, edges: packEdges(edges, width, height) };
}

/** The shade of what lies beyond. */
const NOTHING = 1;

function sizeOf({ tile }: PaintWindow) {
  return { width: tile.width * SUBPIXELS, height: tile.height * SUBPIXELS };
}

/** Joins the two sides of each edge. */
function joinSides(sides: readonly Side[], width: number, height: number): Edges {
  const edges: OpenEdge[] = [];
  // By the place where an edge begins, the edges that begin there.
  const known = new Map<number, OpenEdge[]>();
  for (const side of sides) {
    if (side.dx === 0 && side.dy === 0) continue;
    const x = wrap(side.x, width);
    const y = wrap(side.y, height);
    const place = x * height + y;
    let there = known.get(place);
    if (there === undefined) {
      there = [];
      known.set(place, there);
    }
    // Where rounding laid edges upon each other, the second pair makes an edge of its own.
    let edge = there.find(
      (each) =>
        each.side.dx === side.dx && each.side.dy === side.dy && (side.ahead ? each.ahead : each.back) < 0,
    );
    if (edge === undefined) {
      edge = { side: { ...side, x, y }, ahead: -1, back: -1 };
      there.push(edge);
      edges.push(edge);
    }
    if (side.ahead) edge.ahead = side.shade;
    else edge.back = side.shade;
  }
  const lonely = edges.filter(({ ahead, back }) => ahead < 0 || back < 0).length;
  if (lonely > 0) throw new Error(`expected two faces at every edge, got ${lonely} edges with one`);
  return packEdges(edges, width, height);
}

/** An edge, of which the sides found so far are told; below 0 where one is missing. */
interface OpenEdge {
  readonly side: Side;
  ahead: number;
  back: number;
}

type Doubles = Float64Array<ArrayBuffer>;

function packEdges(edges: readonly OpenEdge[], width: number, height: number): Edges {
  const count = edges.length;
  const [x, y, dx, dy] = [0, 1, 2, 3].map(() => new Float64Array(count)) as [
    Doubles,
    Doubles,
    Doubles,
    Doubles,
  ];
  const ahead = new Uint16Array(count);
  const back = new Uint16Array(count);
  for (let at = 0; at < count; at += 1) {
    const edge = edges[at]!;
    x[at] = edge.side.x;
    y[at] = edge.side.y;
    dx[at] = edge.side.dx;
    dy[at] = edge.side.dy;
    ahead[at] = edge.ahead;
    back[at] = edge.back;
  }
  return { width, height, count, x, y, dx, dy, ahead, back };
}

function wrap(value: number, size: number): number {
  return value - Math.floor(value / size) * size;
}

/**
 * floor(a × b / c) for whole numbers, also where the product is beyond 2^53. Below it the division alone is right: the
 * quotient would have to lie nearer to a whole number than 1/c for rounding to reach it, and n × c < 2^53.
 */
export function mulDivFloor(a: number, b: number, c: number): number {
  const product = a * b;
  if (product < Number.MAX_SAFE_INTEGER && product > -Number.MAX_SAFE_INTEGER) return Math.floor(product / c);
  const top = BigInt(a) * BigInt(b);
  const bottom = BigInt(c);
  const quotient = top / bottom;
  return Number(top % bottom !== 0n && top < 0n !== bottom < 0n ? quotient - 1n : quotient);
}
