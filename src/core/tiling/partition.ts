import type { Shade } from '../colour/shade.ts';
import type { Corner, TorusFaces } from './check-partition.ts';

/** A polygon, its corners counterclockwise (x to the right, y upward). */
export interface Face {
  /** Index into the partition's shades. */
  readonly shade: number;
  readonly corners: readonly Corner[];
}

/**
 * Polygons that cover the torus of one upright repeat exactly once, vertices in repeats. Neighbours share their
 * vertices; a vertex that lies on a neighbour's side is a corner of that neighbour too.
 */
export interface Partition extends TorusFaces {
  readonly kind: 'partition';
  readonly shades: readonly Shade[];
  /** For each shade, whether its faces are left clear. */
  readonly clear: readonly boolean[];
  readonly faces: readonly Face[];
}
