import type { Shade } from '../colour/shade.ts';
import type { Fill } from '../shape/fill.ts';
import type { Corner, TorusFaces } from './check-partition.ts';

/** A polygon, its corners counterclockwise (x to the right, y upward). */
export interface Face {
  readonly fill: Fill;
  readonly corners: readonly Corner[];
}

/**
 * Polygons that cover the torus of one upright repeat exactly once, vertices in repeats. Neighbours share their
 * vertices; a vertex that lies on a neighbour's side is a corner of that neighbour too.
 */
export interface Partition extends TorusFaces {
  readonly kind: 'partition';
  readonly shades: readonly Shade[];
  readonly faces: readonly Face[];
}

/** Whether some of its faces are left clear. */
export function hasClear({ faces }: Partition): boolean {
  return faces.some(({ fill }) => fill.kind === 'clear');
}

/** The same with every clear face filled with the shade that it is known by. */
export function filledPartition(partition: Partition): Partition {
  if (!hasClear(partition)) return partition;
  return {
    ...partition,
    faces: partition.faces.map((face) =>
      face.fill.kind === 'clear' ? { ...face, fill: { kind: 'shade', shade: face.fill.shade } } : face,
    ),
  };
}
