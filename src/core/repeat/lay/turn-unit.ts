import { CoreError } from '../../error.ts';
import { latticePoint, type PlaneLattice, pointsIn, uprightRepeat } from '../../exact/lattice.ts';
import { addPoints, ORIGIN, type Point } from '../../exact/plane.ts';
import { add, divide, multiply, type Rational, rational } from '../../exact/rational.ts';
import { squareRoot } from '../../exact/square-root.ts';
import {
  addSurds,
  divideSurds,
  multiplySurds,
  rationalOf,
  type Surd,
  scaleSurd,
  subtractSurds,
  surd,
  surdToNumber,
  ZERO_SURD,
} from '../../exact/surd.ts';
import type { Vector } from '../../exact/vector.ts';
import { cornerAt } from '../../faces/check-partition.ts';
import type { Partition } from '../../faces/partition.ts';
import { foldTiling } from '../../faces/torus.ts';
import { type Motion, movePlace, moveWay } from '../../shape/contour.ts';
import { moveFade } from '../../shape/fade-way.ts';
import { moveFigure } from '../../shape/figure.ts';
import { movePicture } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';
import type { Mark, PlacedFigure, TorusShape } from '../../shape/shape.ts';
import { type Content, type Marks, type RepeatUnit, repeatSize, type TrueSize } from '../repeat-unit.ts';
import { cellsAsFaces } from './cells-as-faces.ts';
import { MAX_LAID_FACES, mapFill } from './lay-faces.ts';
import { partsOf } from './parts-of.ts';

/** A turn counterclockwise by the angle of the diagonal of so many repeats up on so many across. */
export interface RepeatSlope {
  readonly up: number;
  readonly across: number;
}

/** An exact turn, and what it makes of an upright repeat. */
export interface Turn {
  readonly cosine: Surd;
  readonly sine: Surd;
  /** The smallest upright rectangle that repeats after the turn. */
  readonly size: TrueSize;
  /** Repeats that it holds. */
  readonly repeats: number;
}

/**
 * What is turned repeats upright again when the square of the repeat's height to its width is a fraction: then each way
 * across holds whole repeats, and the diagonal's length, √(across² + up²·(height/width)²) widths, is a square root of a
 * fraction.
 *
 * @throws CoreError "lay/no-turn" where no upright rectangle repeats
 */
export function turnOf({ width, height }: TrueSize, slope: RepeatSlope): Turn {
  const { cosine, sine } = directionOf({ width, height }, slope);
  const lattice = turnedLattice({ width, height }, cosine, sine);
  const upright = uprightRepeat(lattice);
  if (upright === undefined) throw new CoreError('lay/no-turn', {});
  const area = divideSurds(multiplySurds(upright.width, upright.height), multiplySurds(width, height));
  return { cosine, sine, size: upright, repeats: Math.round(surdToNumber(area)) };
}

/** @throws CoreError "lay/no-turn" */
function directionOf({ width, height }: TrueSize, slope: RepeatSlope): Pick<Turn, 'cosine' | 'sine'> {
  if (slope.across === 0) return { cosine: ZERO_SURD, sine: surd(Math.sign(slope.up)) };
  const ratio = divideSurds(height, width);
  const square = rationalOf(multiplySurds(ratio, ratio));
  const across = rational(slope.across);
  const up = rational(slope.up);
  const length = square && squareRoot(surd(sumOfSquares(across, up, square)));
  if (length === undefined) throw new CoreError('lay/no-turn', {});
  return { cosine: divideSurds(surd(across), length), sine: divideSurds(scaleSurd(ratio, up), length) };
}

function sumOfSquares(across: Rational, up: Rational, square: Rational): Rational {
  return add(multiply(across, across), multiply(multiply(up, up), square));
}

function turnedLattice({ width, height }: TrueSize, cosine: Surd, sine: Surd): PlaneLattice {
  return [
    { x: multiplySurds(width, cosine), y: multiplySurds(width, sine) },
    { x: subtractSurds(ZERO_SURD, multiplySurds(height, sine)), y: multiplySurds(height, cosine) },
  ];
}

/**
 * A pattern turned, as large as it then repeats. Threads become faces.
 * @throws CoreError as `turnOf`; "lay/no-repeat", "lay/faces" {most}, "lay/turned-fade" for a fade over all of a repeat
 */
export function turnUnit(unit: RepeatUnit, slope: RepeatSlope): RepeatUnit {
  if (slope.up === 0) return unit;
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('lay/no-repeat', {});
  const turn = turnOf(size, slope);
  const lattice = turnedLattice(size, turn.cosine, turn.sine);
  const { width, height } = turn.size;
  const whole: PlaneLattice = [
    { x: width, y: ZERO_SURD },
    { x: ZERO_SURD, y: height },
  ];
  const steps = pointsIn(lattice, whole, MAX_LAID_FACES);
  if (steps === undefined) throw new CoreError('lay/faces', { most: MAX_LAID_FACES });
  const room: TurnRoom = {
    turn,
    lattice,
    steps,
    pitch: { x: surdToNumber(size.width), y: surdToNumber(size.height) },
    repeat: { x: surdToNumber(width), y: surdToNumber(height) },
    map: ({ x, y }, shift) => {
      const wide = multiplySurds(x, size.width);
      const high = multiplySurds(y, size.height);
      const point = {
        x: subtractSurds(multiplySurds(wide, turn.cosine), multiplySurds(high, turn.sine)),
        y: addSurds(multiplySurds(wide, turn.sine), multiplySurds(high, turn.cosine)),
      };
      const { x: dx, y: dy } = addPoints(point, shift);
      return { x: divideSurds(dx, width), y: divideSurds(dy, height) };
    },
  };
  const one = rational(1);
  // Of the turned lattice's vectors each is a part of the new repeat that is a fraction, since some multiples are whole.
  const turned = ({ x, y }: Vector): Vector => {
    const { repeat } = unit;
    const inRepeats = { x: surd(divide(x, repeat!.width)), y: surd(divide(y, repeat!.height)) };
    const point = room.map(inRepeats, ORIGIN);
    return { x: rationalOf(point.x)!, y: rationalOf(point.y)! };
  };
  return {
    lattice: [turned(unit.lattice[0]), turned(unit.lattice[1])],
    repeat: { width: one, height: one },
    pitch: { x: width, y: height },
    grid: { step: 'mm' },
    content: turnedContent(unit.content, room),
  };
}

interface TurnRoom {
  readonly turn: Turn;
  /** The repeat's two sides, turned, in millimetres. */
  readonly lattice: PlaneLattice;
  /** Which of its steps lie in the new repeat. */
  readonly steps: readonly (readonly [number, number])[];
  /** Millimetres of the repeat, and of the new one. */
  readonly pitch: Place;
  readonly repeat: Place;
  /** A point in repeats, turned and moved by millimetres, in new repeats. */
  readonly map: (point: Point, shift: Point) => Point;
}

function turnedContent(content: Content, room: TurnRoom): Content {
  switch (content.kind) {
    case 'cells':
      return turnedPartition(cellsAsFaces(content), room);
    case 'partition':
      return turnedPartition(content, room);
    case 'marks':
      return turnedMarks(content, room);
    default:
      return content satisfies never;
  }
}

function turnedPartition(partition: Partition, room: TurnRoom): Partition {
  const { steps, pitch, repeat } = room;
  if (partition.faces.length * steps.length > MAX_LAID_FACES) {
    throw new CoreError('lay/faces', { most: MAX_LAID_FACES });
  }
  // Faces are turned once and moved after: their corners are sums of roots.
  const turned = partition.faces.map(({ corners, fill }) => ({
    corners: corners.map((corner) => room.map(cornerAt(partition, corner), ORIGIN)),
    fill,
  }));
  const laid = motionsOf(room).flatMap(({ shift, motion }) => {
    const inNew = room.map(ORIGIN, shift);
    return turned.map(({ corners, fill }) => ({
      corners: corners.map((corner) => addPoints(corner, inNew)),
      fill: mapFill(fill, {
        place: ({ x, y }) => {
          const moved = movePlace({ x: x * pitch.x, y: y * pitch.y }, motion);
          return { x: moved.x / repeat.x, y: moved.y / repeat.y };
        },
        way: ({ x, y }) => {
          const moved = moveWay({ x: x * pitch.x, y: y * pitch.y }, motion);
          return { x: moved.x / repeat.x, y: moved.y / repeat.y };
        },
      }),
    }));
  });
  const one = surd(1);
  const torus = foldTiling({
    lattice: [
      { x: one, y: ZERO_SURD },
      { x: ZERO_SURD, y: one },
    ],
    faces: laid.map(({ corners }) => corners),
  });
  return {
    ...partition,
    vertices: torus.vertices,
    faces: torus.faces.map(({ corners }, at) => ({ corners, fill: laid[at]!.fill })),
  };
}

/** The old repeats of the new one: how each is moved, exactly and in doubles. */
function motionsOf({ turn, lattice, steps }: TurnRoom) {
  const a = surdToNumber(turn.cosine);
  const b = surdToNumber(turn.sine);
  return steps.map((step) => {
    const shift = latticePoint(lattice, step);
    const motion: Motion = { a, b, mirrored: false, dx: surdToNumber(shift.x), dy: surdToNumber(shift.y) };
    return { step, shift, motion };
  });
}

/** Most parts of the figures of a turned repeat. */
const MAX_FIGURES = 40_000;

function turnedMarks({ base, marks, rows }: Marks, room: TurnRoom): Marks {
  const placed = motionsOf(room);
  if (partsOf({ kind: 'marks', base, marks }) * placed.length > MAX_FIGURES) {
    throw new CoreError('lay/faces', { most: MAX_FIGURES });
  }
  return {
    kind: 'marks',
    base: turnedPartition(base, room),
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

type TurnedPlace = ReturnType<typeof motionsOf>[number];

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
    case 'frames':
      return {
        ...shape,
        parts: all((move) => shape.parts.map((part) => ({ ...part, corners: part.corners.map(move) }))),
      };
    default:
      return shape satisfies never;
  }
}
