import { CoreError } from '../../error.ts';
import { latticePoint } from '../../exact/lattice.ts';
import type { Point } from '../../exact/plane.ts';
import { surdToNumber } from '../../exact/surd.ts';
import type { Partition } from '../../faces/partition.ts';
import { moveFade } from '../../shape/fade-way.ts';
import { moveFigure } from '../../shape/figure.ts';
import { withCorners } from '../../shape/inset.ts';
import { movePicture } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';
import type { Mark, PlacedFigure, TorusShape } from '../../shape/shape.ts';
import type { Marks } from '../repeat-unit.ts';
import { MAX_TURNED_FIGURES, partsOf } from './parts-of.ts';
import { motionsOf, type TurnedPlace, type TurnRoom } from './turn-room.ts';

/**
 * Marks turned, over their base that is turned already.
 * @throws CoreError "lay/faces" {most}; "lay/turned-fade" for a fade over all of a repeat
 */
export function turnMarks({ base, marks, rows }: Marks, turnedBase: Partition, room: TurnRoom): Marks {
  const placed = motionsOf(room);
  if (partsOf({ kind: 'marks', base, marks }) * placed.length > MAX_TURNED_FIGURES) {
    throw new CoreError('lay/faces', { most: MAX_TURNED_FIGURES });
  }
  return {
    kind: 'marks',
    base: turnedBase,
    marks: piecesOf(marks).flatMap((layers): readonly Mark[] => {
      const [{ shape }] = layers as [Mark];
      if (shape.kind !== 'figure') return [{ ...layers[0]!, shape: turnedShape(shape, room) }];
      return shape.endless
        ? layers.map((mark) => turnedEndless(mark, placed))
        : placed.flatMap((place) => layers.map((mark) => turnedFigure(mark, place, rows)));
    }),
    ...(rows && { rows: turnedRows(rows, room) }),
  };
}

/** Marks by the pieces that they are layers of, in their order. */
function piecesOf(marks: readonly Mark[]): readonly (readonly Mark[])[] {
  const pieces: Mark[][] = [];
  for (const mark of marks) {
    const before = pieces.at(-1)?.[0]?.shape;
    const isSame =
      before?.kind === 'figure' &&
      mark.shape.kind === 'figure' &&
      before.piece === mark.shape.piece &&
      before.endless === mark.shape.endless;
    if (isSame) pieces.at(-1)!.push(mark);
    else pieces.push([mark]);
  }
  return pieces;
}

function turnedEndless(mark: Mark, placed: readonly TurnedPlace[]): Mark {
  const shape = mark.shape as PlacedFigure;
  checkFade(mark);
  const parts = placed.map(({ motion }) => moveFigure(shape.figure, motion));
  return { ...mark, shape: { ...shape, figure: { kind: 'join', parts } } };
}

function turnedFigure(mark: Mark, { motion, step }: TurnedPlace, rows: Marks['rows']): Mark {
  const { fade, picture } = mark;
  const shape = mark.shape as PlacedFigure;
  checkFade(mark);
  return {
    ...mark,
    shape: {
      ...shape,
      figure: moveFigure(shape.figure, motion),
      row: rows === undefined ? 0 : shape.row + rows.right * step[0] + rows.up * step[1],
    },
    ...(fade && { fade: { ...fade, way: moveFade(fade.way, motion) } }),
    ...(picture && { picture: { ...picture, place: movePicture(picture.place, motion) } }),
  };
}

/** @throws CoreError "lay/turned-fade" */
function checkFade({ fade }: Mark): void {
  if (fade !== undefined && fade.way.every !== null) throw new CoreError('lay/turned-fade', {});
}

/** By how many rows a new repeat to the right, or above, lies higher. */
function turnedRows({ up, right }: NonNullable<Marks['rows']>, { lattice, repeat }: TurnRoom) {
  const [across, upward] = lattice.map(({ x, y }) => ({ x: surdToNumber(x), y: surdToNumber(y) })) as [
    Place,
    Place,
  ];
  const area = across.x * upward.y - across.y * upward.x;
  const rowsOf = ({ x, y }: Place) => {
    const i = Math.round((x * upward.y - y * upward.x) / area);
    const j = Math.round((y * across.x - x * across.y) / area);
    return right * i + up * j;
  };
  return { up: rowsOf({ x: 0, y: repeat.y }), right: rowsOf({ x: repeat.x, y: 0 }) };
}

function turnedShape(shape: TorusShape, { steps, lattice, map }: TurnRoom): TorusShape {
  const shifts = steps.map((step) => latticePoint(lattice, step));
  const all = <T>(make: (move: (point: Point) => Point) => readonly T[]) =>
    shifts.flatMap((shift) => make((point) => map(point, shift)));
  switch (shape.kind) {
    case 'stroke':
      return {
        ...shape,
        paths: all((move) => shape.paths.map((path) => ({ ...path, points: path.points.map(move) }))),
      };
    case 'cut':
      return { ...shape, parts: all((move) => shape.parts.map((part) => withCorners(part, move))) };
    case 'frames':
      return { ...shape, parts: all((move) => shape.parts.map((part) => withCorners(part, move))) };
    default:
      return shape satisfies never;
  }
}
