import type { Point } from '../exact/plane.ts';
import { shiftBy } from '../shape/contour.ts';
import { moveFade } from '../shape/fade-way.ts';
import { moveFigure } from '../shape/figure.ts';
import { withCorners } from '../shape/inset.ts';
import { movePicture } from '../shape/picture.ts';
import type { Place } from '../shape/places.ts';
import type { Mark, PlacedFigure, TorusShape } from '../shape/shape.ts';
import type { Block } from './block-cells.ts';
import { blockPartition } from './block-faces.ts';
import { movedInto, placesIn } from './block-places.ts';
import type { Marks, RowOrder } from './repeat-unit.ts';

/** Marks repeated, with what lies beneath them. @param pitch  lengths of one repeat in millimetres */
export function blockMarks({ base, marks, rows, ...content }: Marks, block: Block, pitch: Place): Marks {
  return {
    ...content,
    base: blockPartition(base, block),
    marks: marks.flatMap((mark): readonly Mark[] =>
      mark.shape.kind === 'figure'
        ? blockFigure(mark, mark.shape, { block, pitch, rows })
        : [{ ...mark, shape: blockShape(mark.shape, block) }],
    ),
    ...(rows === undefined ? {} : { rows: { up: rows.up * block.down, right: rows.right * block.across } }),
  };
}

interface FigureBlock {
  readonly block: Block;
  readonly pitch: Place;
  readonly rows: RowOrder | undefined;
}

/** A figure in each repeat of a block, in the row that it has there; one that goes on stays one. */
function blockFigure(mark: Mark, shape: PlacedFigure, { block, pitch, rows }: FigureBlock): readonly Mark[] {
  const moved = placesIn(block).map(({ i, j }) => ({ i, j, motion: shiftBy(i * pitch.x, j * pitch.y) }));
  if (shape.endless) {
    const parts = moved.map(({ motion }) => moveFigure(shape.figure, motion));
    return [{ ...mark, shape: { ...shape, figure: { kind: 'join', parts } } }];
  }
  return moved.map(({ i, j, motion }) => ({
    ...mark,
    shape: {
      ...shape,
      figure: moveFigure(shape.figure, motion),
      row: rows === undefined ? 0 : shape.row + rows.up * j + rows.right * i,
    },
    ...(mark.fade && { fade: { ...mark.fade, way: moveFade(mark.fade.way, motion) } }),
    ...(mark.picture && {
      picture: { ...mark.picture, place: movePicture(mark.picture.place, motion) },
    }),
  }));
}

function blockShape(shape: TorusShape, block: Block): TorusShape {
  switch (shape.kind) {
    case 'stroke':
      return {
        ...shape,
        paths: copies(block, (move) =>
          shape.paths.map((path) => ({ ...path, points: path.points.map(move) })),
        ),
      };
    case 'cut':
      return { ...shape, parts: copies(block, (move) => shape.parts.map((part) => withCorners(part, move))) };
    case 'frames':
      return { ...shape, parts: copies(block, (move) => shape.parts.map((part) => withCorners(part, move))) };
    default:
      return shape satisfies never;
  }
}

/** What is made in each repeat of a block. */
function copies<T>(block: Block, make: (move: (point: Point) => Point) => readonly T[]): readonly T[] {
  return placesIn(block).flatMap((place) => make((point) => movedInto(point, place, block)));
}
