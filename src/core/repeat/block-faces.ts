import { modulo } from '../exact/modulo.ts';
import type { Partition } from '../faces/partition.ts';
import type { Fill } from '../shape/fill.ts';
import type { Block } from './block-cells.ts';
import { type BlockPlace, blockPicture, movedInto, movedPlace, placesIn } from './block-places.ts';

/** Most faces of a block that is painted as one. */
export const MOST_FACES = 20_000;

/** Faces repeated. */
export function blockPartition(partition: Partition, block: Block): Partition {
  const places = placesIn(block);
  const { across, down } = block;
  const count = partition.vertices.length;
  return {
    ...partition,
    vertices: places.flatMap((place) => partition.vertices.map((vertex) => movedInto(vertex, place, block))),
    faces: places.flatMap(({ i, j }) =>
      partition.faces.map((face) => ({
        fill: blockFill(face.fill, { i, j }, block),
        corners: face.corners.map((corner) => {
          const right = i + corner.across;
          const up = j + corner.up;
          const copy = modulo(up, down) * across + modulo(right, across);
          return {
            vertex: copy * count + corner.vertex,
            across: Math.floor(right / across),
            up: Math.floor(up / down),
          };
        }),
      })),
    ),
  };
}

function blockFill(fill: Fill, place: BlockPlace, block: Block): Fill {
  if (fill.kind === 'picture') return { ...fill, place: blockPicture(fill.place, place, block) };
  if (fill.kind !== 'fade') return fill;
  return { ...fill, from: movedPlace(fill.from, place, block), to: movedPlace(fill.to, place, block) };
}
