import type { Point } from '../exact/plane.ts';
import type { Shape } from '../shape/shape.ts';
import type { Block } from './block-cells.ts';
import { blockPartition } from './block-faces.ts';
import { movedInto, placesIn } from './block-places.ts';
import type { Marks } from './repeat-unit.ts';

/** Marks repeated, with what lies beneath them. */
export function blockMarks({ base, marks, ...content }: Marks, block: Block): Marks {
  return {
    ...content,
    base: blockPartition(base, block),
    marks: marks.map(({ shape, shade }) => ({ shape: blockShape(shape, block), shade })),
  };
}

function blockShape(shape: Shape, block: Block): Shape {
  switch (shape.kind) {
    case 'stroke':
      return {
        ...shape,
        paths: copies(block, (move) =>
          shape.paths.map((path) => ({ ...path, points: path.points.map(move) })),
        ),
      };
    case 'cut':
      return {
        ...shape,
        parts: copies(block, (move) =>
          shape.parts.map((part) => ({ ...part, corners: part.corners.map(move) })),
        ),
      };
    default:
      return shape satisfies never;
  }
}

/** What is made in each repeat of a block. */
function copies<T>(block: Block, make: (move: (point: Point) => Point) => readonly T[]): readonly T[] {
  return placesIn(block).flatMap((place) => make((point) => movedInto(point, place, block)));
}
