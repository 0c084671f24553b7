import { modulo } from '../../exact/modulo.ts';
import { addPoints, type Point } from '../../exact/plane.ts';
import { divide, isWhole, ONE, rational } from '../../exact/rational.ts';
import {
  divideSurds,
  rationalOf,
  type Surd,
  signOf,
  surd,
  surdToNumber,
  ZERO_SURD,
} from '../../exact/surd.ts';
import type { Vector } from '../../exact/vector.ts';
import { cornerAt } from '../../faces/check-partition.ts';
import type { Partition } from '../../faces/partition.ts';
import { foldTiling } from '../../faces/torus.ts';
import { shiftBy } from '../../shape/contour.ts';
import { shiftFade } from '../../shape/fade-way.ts';
import { moveFigure } from '../../shape/figure.ts';
import { withCorners } from '../../shape/inset.ts';
import { movePicture } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';
import type { Mark, Shape } from '../../shape/shape.ts';
import type { Cells } from '../../thread/cells.ts';
import { cellsAsFaces } from '../lay/cells-as-faces.ts';
import { mapFill } from '../lay/lay-faces.ts';
import { type Content, gridOfFaces, type Marks, type RepeatUnit, repeatSize } from '../repeat-unit.ts';

/**
 * A pattern moved to the right and up. Threads stay threads where they are moved by whole ones, else they become faces.
 *
 * @param by  millimetres
 * @throws CoreError "lay/faces" {most}
 */
export function shiftUnit(unit: RepeatUnit, by: Point): RepeatUnit {
  if (signOf(by.x) === 0 && signOf(by.y) === 0) return unit;
  const { content, pitch } = unit;
  if (content.kind === 'cells') {
    const threads = [divideSurds(by.x, pitch.x), divideSurds(by.y, pitch.y)].map(rationalOf);
    const [across, up] = threads;
    if (across !== undefined && up !== undefined && isWhole(across) && isWhole(up)) {
      return { ...unit, content: turnedCells(content, Number(across.n), Number(up.n)) };
    }
    return shiftUnit(cellsInRepeats({ ...unit, content }), by);
  }
  const size = repeatSize(unit)!;
  const shift: Shift = {
    inRepeats: { x: divideSurds(by.x, size.width), y: divideSurds(by.y, size.height) },
    millimetres: { x: surdToNumber(by.x), y: surdToNumber(by.y) },
  };
  return { ...unit, content: shiftedContent(content, shift, by) };
}

interface Shift {
  readonly inRepeats: Point;
  readonly millimetres: Place;
}

function shiftedContent(content: Exclude<Content, Cells>, shift: Shift, by: Point): Content {
  switch (content.kind) {
    case 'partition':
      return shiftedPartition(content, shift);
    case 'marks':
      return shiftedMarks(content, shift);
    case 'plies':
      return {
        ...content,
        plies: content.plies.map((ply) => ({ ...ply, shift: addPoints(ply.shift, by) })),
      };
    default:
      return content satisfies never;
  }
}

/** Rows and columns that come round by so many. */
function turnedCells({ rows, over, rowAt, ...cells }: Cells, across: number, up: number): Cells {
  const { width, height } = cells;
  const turned = <T extends Uint16Array | Uint8Array | Uint32Array>(row: T, by: number): T =>
    row.map((_, at) => row[modulo(at - by, row.length)]!) as T;
  return {
    ...cells,
    rows: rows.map((row) => turned(row, modulo(across, width))),
    ...(over && { over: over.map((row) => turned(row, modulo(across, width))) }),
    // Rows are counted from the top.
    rowAt: turned(rowAt, modulo(-up, height)),
  };
}

/** Threads as faces, measured in repeats. */
function cellsInRepeats(unit: RepeatUnit<Cells>): RepeatUnit<Partition> {
  const size = repeatSize(unit)!;
  const { width, height } = unit.content;
  const inRepeats = ({ x, y }: Vector): Vector => ({
    x: divide(x, rational(width)),
    y: divide(y, rational(height)),
  });
  return {
    lattice: [inRepeats(unit.lattice[0]), inRepeats(unit.lattice[1])],
    repeat: { width: ONE, height: ONE },
    pitch: { x: size.width, y: size.height },
    grid: gridOfFaces(unit),
    content: cellsAsFaces(unit.content),
  };
}

const ONE_SIDE: Surd = surd(1);

function shiftedPartition(partition: Partition, { inRepeats }: Shift): Partition {
  const near = { x: surdToNumber(inRepeats.x), y: surdToNumber(inRepeats.y) };
  const torus = foldTiling({
    lattice: [
      { x: ONE_SIDE, y: ZERO_SURD },
      { x: ZERO_SURD, y: ONE_SIDE },
    ],
    faces: partition.faces.map(({ corners }) =>
      corners.map((corner) => addPoints(cornerAt(partition, corner), inRepeats)),
    ),
  });
  return {
    ...partition,
    vertices: torus.vertices,
    faces: torus.faces.map(({ corners }, at) => ({
      corners,
      fill: mapFill(partition.faces[at]!.fill, {
        place: ({ x, y }) => ({ x: x + near.x, y: y + near.y }),
        way: (way) => way,
      }),
    })),
  };
}

function shiftedMarks({ base, marks, ...content }: Marks, shift: Shift): Marks {
  return {
    ...content,
    base: shiftedPartition(base, shift),
    marks: marks.map((mark) => shiftedMark(mark, shift)),
  };
}

function shiftedMark({ shape, fade, picture, ...mark }: Mark, shift: Shift): Mark {
  const { x, y } = shift.millimetres;
  const motion = shiftBy(x, y);
  return {
    ...mark,
    shape: shiftedShape(shape, shift),
    ...(fade && { fade: { ...fade, way: shiftFade(fade.way, shift.millimetres) } }),
    ...(picture && { picture: { ...picture, place: movePicture(picture.place, motion) } }),
  };
}

function shiftedShape(shape: Shape, { inRepeats, millimetres }: Shift): Shape {
  const move = (point: Point) => addPoints(point, inRepeats);
  switch (shape.kind) {
    case 'figure':
      return { ...shape, figure: moveFigure(shape.figure, shiftBy(millimetres.x, millimetres.y)) };
    case 'stroke':
      return {
        ...shape,
        paths: shape.paths.map((path) => ({ ...path, points: path.points.map(move) })),
      };
    case 'cut':
      return { ...shape, parts: shape.parts.map((part) => withCorners(part, move)) };
    case 'frames':
      return { ...shape, parts: shape.parts.map((part) => withCorners(part, move)) };
    default:
      return shape satisfies never;
  }
}
