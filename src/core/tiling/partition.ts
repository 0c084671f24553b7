import type { Shade } from '../colour/shade.ts';
import type { Vector } from '../exact/vector.ts';

/** A corner of a face: a vertex, moved by whole repeats so that a face's corners lie side by side. */
export interface Corner {
  readonly vertex: number;
  readonly across: number;
  readonly up: number;
}

/** A polygon, its corners counterclockwise (x to the right, y upward). */
export interface Face {
  /** Index into the partition's shades. */
  readonly shade: number;
  readonly corners: readonly Corner[];
}

/**
 * Polygons that cover the torus of one upright repeat exactly once. Neighbours share their vertices; a vertex that
 * lies on a neighbour's side is a corner of that neighbour too.
 */
export interface Partition {
  readonly kind: 'partition';
  readonly shades: readonly Shade[];
  /** For each shade, whether its faces are left clear. */
  readonly clear: readonly boolean[];
  /** In repeats: 0 ≤ x, y < 1. */
  readonly vertices: readonly Vector[];
  readonly faces: readonly Face[];
}
