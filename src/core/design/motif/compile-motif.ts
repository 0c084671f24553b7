import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { type PlaneLattice, pointsIn, uprightRepeat } from '../../exact/lattice.ts';
import { addPoints, type Point, scalePoint } from '../../exact/plane.ts';
import { divide, multiply, type Rational, rational, toDecimal, toNumber } from '../../exact/rational.ts';
import { compareSurds, rationalOf, surd } from '../../exact/surd.ts';
import type { Partition } from '../../faces/partition.ts';
import type { Marks, RepeatUnit, RowOrder } from '../../repeat/repeat-unit.ts';
import { shiftBy } from '../../shape/contour.ts';
import { type Figure, moveFigure } from '../../shape/figure.ts';
import type { Fill } from '../../shape/fill.ts';
import type { Mark } from '../../shape/shape.ts';
import { parseLength } from '../../units/length.ts';
import { indexOf } from '../tiling/index-of.ts';
import { type MotifScale, parseStepPart, parseSteps } from './motif-numbers.ts';
import type { Motif, MotifLay, Piece, PieceShape } from './motif-schema.ts';
import { type Layer, layersOf, type MadePiece } from './piece-layers.ts';
import { nameOf } from './piece-name.ts';

/** Longest side of a repeat in millimetres, and most figures of one. */
const MAX_REPEAT = 100_000;
export const MAX_FIGURES = 20_000;

/** Most boxes of one repeat. */
const MAX_BOXES = 10_000;

/** The box of a motif and its lattice, exact, in millimetres. */
export interface LaidBox {
  readonly width: Rational;
  readonly height: Rational;
  readonly lattice: readonly [Vector, Vector];
  readonly repeat: { readonly width: Rational; readonly height: Rational };
  /** The lower left of each box of the repeat. */
  readonly places: readonly Vector[];
}

interface Vector {
  readonly x: Rational;
  readonly y: Rational;
}

/** @throws CoreError of its numbers */
export function scaleOf({ step }: Pick<Motif, 'step'>, pixel: Rational): MotifScale {
  return { step: parseLength(step, 'mm', pixel), pixel };
}

/** @throws CoreError "motif/lay" | "motif/too-large" {width, height, most} */
export function layBox({ box, lay }: Pick<Motif, 'box' | 'lay'>, scale: MotifScale): LaidBox {
  const width = parseSteps(box.width, scale);
  const height = parseSteps(box.height, scale);
  const lattice = latticeOf(lay, width, height);
  const plane = lattice.map(({ x, y }): Point => ({ x: surd(x), y: surd(y) })) as unknown as PlaneLattice;
  const upright = uprightRepeat(plane);
  if (upright === undefined) throw new CoreError('motif/lay', {});
  const repeat = { width: rationalOf(upright.width)!, height: rationalOf(upright.height)! };
  if (toNumber(repeat.width) > MAX_REPEAT || toNumber(repeat.height) > MAX_REPEAT) {
    throw new CoreError('motif/too-large', {
      width: toDecimal(repeat.width, 0),
      height: toDecimal(repeat.height, 0),
      most: MAX_REPEAT / 1000,
    });
  }
  const within: PlaneLattice = [
    { x: upright.width, y: surd(0) },
    { x: surd(0), y: upright.height },
  ];
  const steps = pointsIn(plane, within, MAX_BOXES);
  if (steps === undefined) throw new CoreError('motif/lay', {});
  const places = steps.map(([i, j]) =>
    into(addPoints(scalePoint(plane[0], surd(i)), scalePoint(plane[1], surd(j))), repeat),
  );
  return { width, height, lattice, repeat, places };
}

/** A rational point moved by whole repeats into the first. */
function into(point: Point, { width, height }: LaidBox['repeat']): Vector {
  return { x: wrapped(rationalOf(point.x)!, width), y: wrapped(rationalOf(point.y)!, height) };
}

function wrapped(value: Rational, size: Rational): Rational {
  const { n, d } = divide(value, size);
  return multiply(rational(((n % d) + d) % d, d), size);
}

function latticeOf(lay: MotifLay, width: Rational, height: Rational): readonly [Vector, Vector] {
  const zero = rational(0);
  switch (lay.kind) {
    case 'straight':
      return [
        { x: width, y: zero },
        { x: zero, y: height },
      ];
    case 'half-drop':
      return [
        { x: width, y: multiply(height, parseStepPart(lay.by)) },
        { x: zero, y: height },
      ];
    case 'brick':
      return [
        { x: width, y: zero },
        { x: multiply(width, parseStepPart(lay.by)), y: height },
      ];
    default:
      return lay satisfies never;
  }
}

/** What a motif is made with. */
export interface MotifContext {
  readonly shades: readonly Shade[];
  /** Millimetres of a pixel. */
  readonly pixel: Rational;
}

/** @throws CoreError as `layBox` and `madePieces`; "motif/too-many" {figures, most} */
export function compileMotif(motif: Motif, { shades, pixel }: MotifContext): RepeatUnit<Marks> {
  const scale = scaleOf(motif, pixel);
  const laid = layBox(motif, scale);
  const { repeat, lattice, places } = laid;
  const rows = rowsOf(motif, places);
  const shown = [...madePieces(motif, scale)].filter(
    ([piece]) => !piece.hidden && !usedBy(motif).has(piece.id),
  );
  const figures = places.length * shown.reduce((sum, [, { layers }]) => sum + layers.length, 0);
  if (figures > MAX_FIGURES) throw new CoreError('motif/too-many', { figures, most: MAX_FIGURES });
  const marks = shown.flatMap(([{ shape }, { layers }], piece) =>
    goesOn(shape)
      ? endlessMarks(layers, places, piece, shades)
      : places.flatMap((place, at) => marksAt(layers, { place, piece, row: rows?.rowAt[at] ?? 0, shades })),
  );
  const parts = ({ x, y }: Vector) => ({ x: divide(x, repeat.width), y: divide(y, repeat.height) });
  return {
    lattice: [parts(lattice[0]), parts(lattice[1])],
    repeat: { width: rational(1), height: rational(1) },
    pitch: { x: surd(repeat.width), y: surd(repeat.height) },
    grid: { step: 'mm' },
    content: {
      kind: 'marks',
      base: groundOf(motif.ground, shades),
      marks,
      ...(rows === undefined ? {} : { rows: rows.order }),
    },
  };
}

interface PlacedLayers {
  readonly place: Vector;
  readonly piece: number;
  readonly row: number;
  readonly shades: readonly Shade[];
}

function marksAt(layers: readonly Layer[], { place, piece, row, shades }: PlacedLayers): readonly Mark[] {
  const motion = shiftBy(toNumber(place.x), toNumber(place.y));
  return layers.flatMap(({ figure, shade }): readonly Mark[] =>
    shade === null
      ? []
      : [
          {
            shape: { kind: 'figure', figure: moveFigure(figure, motion), row, piece, endless: false },
            shade: indexOf(shade, shades),
          },
        ],
  );
}

/** Whether a piece is a line that goes on into the next box. */
function goesOn(shape: PieceShape): boolean {
  return shape.kind === 'line' && shape.run === 'onward' && shape.width !== null;
}

/** A piece that goes on: in all boxes it is one. It lies below rows that lie over each other. */
function endlessMarks(
  layers: readonly Layer[],
  places: readonly Vector[],
  piece: number,
  shades: readonly Shade[],
): readonly Mark[] {
  return layers.flatMap(({ figure, shade }): readonly Mark[] => {
    if (shade === null) return [];
    const parts = places.map(({ x, y }) => moveFigure(figure, shiftBy(toNumber(x), toNumber(y))));
    const whole: Figure = { kind: 'join', parts };
    return [
      {
        shape: { kind: 'figure', figure: whole, row: 0, piece, endless: true },
        shade: indexOf(shade, shades),
      },
    ];
  });
}

/** Pieces that others are made with: they are not painted for themselves. */
export function usedBy({ pieces }: Pick<Motif, 'pieces'>): ReadonlySet<number> {
  return new Set(
    pieces.flatMap(({ made }) => made.flatMap((making) => ('with' in making ? making.with : []))),
  );
}

/** Every piece as it is made. @throws CoreError as `layersOf`, "motif/missing" {piece, other}, "motif/circular" {piece} */
export function madePieces(
  { pieces }: Pick<Motif, 'pieces'>,
  scale: MotifScale,
): ReadonlyMap<Piece, MadePiece> {
  const known = new Map(pieces.map((piece) => [piece.id, piece]));
  const made = new Map<Piece, MadePiece>();
  const open = new Set<Piece>();
  const make = (piece: Piece): MadePiece => {
    const ready = made.get(piece);
    if (ready !== undefined) return ready;
    if (open.has(piece)) throw new CoreError('motif/circular', { piece: nameOf(piece) });
    open.add(piece);
    const done = layersOf(piece, { scale, figureOf });
    open.delete(piece);
    made.set(piece, done);
    return done;
  };
  const figureOf = (id: number, from: Piece): Figure => {
    const other = known.get(id);
    if (other === undefined) throw new CoreError('motif/missing', { piece: nameOf(from), other: id });
    return make(other).figure;
  };
  return new Map(pieces.map((piece) => [piece, make(piece)]));
}

function rowsOf({ overlap }: Motif, places: readonly Vector[]) {
  if (overlap === 'pieces') return undefined;
  const along = places.map(({ x, y }) => surd(overlap === 'up' || overlap === 'down' ? y : x));
  const steps = [...along]
    .sort(compareSurds)
    .filter((step, at, all) => at === 0 || compareSurds(step, all[at - 1]!) !== 0);
  const order: RowOrder = { toward: overlap, count: steps.length };
  return { order, rowAt: along.map((step) => steps.findIndex((each) => compareSurds(each, step) === 0)) };
}

/** One face over the whole repeat. */
function groundOf(ground: string | null, shades: readonly Shade[]): Partition {
  const fill: Fill =
    ground === null ? { kind: 'clear', shade: 0 } : { kind: 'shade', shade: indexOf(ground, shades) };
  const corners = [
    { vertex: 0, across: 0, up: 0 },
    { vertex: 0, across: 1, up: 0 },
    { vertex: 0, across: 1, up: 1 },
    { vertex: 0, across: 0, up: 1 },
  ];
  return { kind: 'partition', shades, vertices: [{ x: surd(0), y: surd(0) }], faces: [{ corners, fill }] };
}
