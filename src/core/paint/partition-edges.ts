import { roundMultiple } from '../exact/surd.ts';
import type { Partition } from '../faces/partition.ts';
import { SUBPIXELS } from '../shape/grid.ts';
import type { Place } from '../shape/places.ts';
import { EdgeTable } from './edge-table.ts';
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
  /** Shade of the face that walks the edge as it stands here, and of the one that walks it back. */
  readonly ahead: Int32Array;
  readonly back: Int32Array;
}

/** Faces by the edges that they make. */
export interface Walked {
  readonly edges: Edges;
  /** How often each shade holds the place just left of and above the window's upper left corner; once in all. */
  readonly held: Int32Array;
}

/**
 * The edges of a partition's faces. Vertices are rounded to subpixels (a half up) before anything is wrapped and are
 * moved only by whole shifts after, so that an edge is the same wherever the window lies. Over a ground faces need not
 * meet: it lies beyond them, and in those that are clear.
 *
 * @returns  shades as the partition's, after them that of what is clear
 * @throws   Error where faces do not cover everything once, unless there is a ground
 */
export function walkPartition(
  { vertices, faces, shades }: Partition,
  { tile, offset, ground }: Pick<PaintWindow, 'tile' | 'offset' | 'ground'>,
): Walked {
  const width = tile.width * SUBPIXELS;
  const height = tile.height * SUBPIXELS;
  const xs = Float64Array.from(vertices, ({ x }) => roundMultiple(x, width) - offset.x * SUBPIXELS);
  const ys = Float64Array.from(vertices, ({ y }) => height - roundMultiple(y, height) - offset.y * SUBPIXELS);
  const clear = shades.length;
  const sides = faces.reduce((sum, { corners }) => sum + corners.length, 0);
  const table = new EdgeTable({ width, height }, sides, clear + 1);
  for (const { corners, fill } of faces) {
    const shade = fill.kind === 'clear' ? clear : fill.shade;
    const last = corners.at(-1)!;
    let fromX = xs[last.vertex]! + last.across * width;
    let fromY = ys[last.vertex]! - last.up * height;
    for (const { vertex, across, up } of corners) {
      const toX = xs[vertex]! + across * width;
      const toY = ys[vertex]! - up * height;
      table.add(fromX, fromY, toX, toY, shade);
      fromX = toX;
      fromY = toY;
    }
  }
  return ground === undefined ? table.closed() : table.open(clear);
}

/** Shades of an outline. */
export const INSIDE = 0;
export const OUTSIDE = 1;

/** The edges of polygons by themselves, moved by the window's offset. */
export function walkPolygons(
  polygons: readonly (readonly Place[])[],
  { tile, offset }: Pick<PaintWindow, 'tile' | 'offset'>,
): Walked {
  const size = { width: tile.width * SUBPIXELS, height: tile.height * SUBPIXELS };
  const sides = polygons.reduce((sum, { length }) => sum + length, 0);
  const table = new EdgeTable(size, sides, OUTSIDE + 1);
  const left = offset.x * SUBPIXELS;
  const top = offset.y * SUBPIXELS;
  for (const places of polygons) {
    let from = places.at(-1)!;
    for (const to of places) {
      table.add(from.x - left, from.y - top, to.x - left, to.y - top, INSIDE);
      from = to;
    }
  }
  return table.open(OUTSIDE);
}
