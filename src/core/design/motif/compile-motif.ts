import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import type { Point } from '../../exact/plane.ts';
import { type Rational, rational } from '../../exact/rational.ts';
import { compareSurds, surd } from '../../exact/surd.ts';
import type { Partition } from '../../faces/partition.ts';
import type { Marks, RepeatUnit, RowOrder } from '../../repeat/repeat-unit.ts';
import { shiftBy } from '../../shape/contour.ts';
import { type FadeWay, fadeAlong, fadeOutward } from '../../shape/fade-way.ts';
import { type Figure, moveFigure } from '../../shape/figure.ts';
import type { Fill } from '../../shape/fill.ts';
import type { Pictures } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';
import type { Mark, Softness } from '../../shape/shape.ts';
import type { StrapFigures } from '../../shape/straps/strap-figures.ts';
import type { Arrangement } from '../lay/lay-schema.ts';
import { patchMarks, type StrapPaint, strapMarks } from '../strap/strap-marks.ts';
import { indexOf } from '../tiling/index-of.ts';
import { checkReach } from './check-reach.ts';
import { goesOn } from './goes-on.ts';
import { type BoxPlace, layBox, nearRepeat, scaleOf, variesIn } from './lay-box.ts';
import { isOverRepeat, type Layer, type LayerPaint, moveLayer, type OverRepeat } from './layer.ts';
import { madePieces, shownPieces } from './made-pieces.ts';
import type { Motif } from './motif-schema.ts';
import { onceEach } from './once-each.ts';
import { figuresOfStraps } from './straps/motif-straps.ts';
import { isStrapPiece, type StrapPiece } from './straps/strap-pieces.ts';
import { type LightPaint, lightPaints } from './vary-copies.ts';

/** Most figures of one repeat. */
export const MAX_FIGURES = 20_000;

/** What a motif is made with. */
export interface MotifContext {
  readonly shades: readonly Shade[];
  readonly arrangement: Arrangement;
  /** Millimetres of a pixel. */
  readonly pixel: Rational;
  /** Those that can be painted. */
  readonly pictures?: Pictures;
}

/** @throws CoreError as `layBox` and `madePieces`; "motif/too-many" {figures, most} */
export function compileMotif(
  motif: Motif,
  { shades, arrangement, pixel, pictures }: MotifContext,
): RepeatUnit<Marks> {
  const scale = scaleOf(motif, pixel);
  const laid = layBox(motif, arrangement, scale);
  const { repeat, carries, places } = laid;
  const rows = rowsOf(motif, places);
  const made = madePieces(motif, scale, pictures);
  const shown = shownPieces(motif).map((piece) => [piece, made.get(piece)!] as const);
  const figures = places.length * shown.reduce((sum, [, { layers }]) => sum + layers.length, 0);
  if (figures > MAX_FIGURES) throw new CoreError('motif/too-many', { figures, most: MAX_FIGURES });
  const light = variesIn(motif) ? lightPaints(motif, shades) : { shades, of: () => 0 };
  const size = nearRepeat(laid);
  const straps = figuresOfStraps(motif, laid, scale);
  const marks = shown.flatMap(([piece, { layers }], at) => {
    const room: MarkRoom = {
      piece: at,
      size,
      shades,
      light: (layer, box) => light.of(piece, layer.copy, box),
    };
    if (isStrapPiece(piece)) return marksOfStrap(piece, layers, straps.get(piece)!, room);
    for (const layer of layers) checkReach(layer, size, piece);
    if (goesOn(piece.shape)) return endlessMarks(layers, places, room);
    const copies = places.map((place, index) =>
      marksAt(layers, { place, row: rows?.rowAt[index] ?? 0 }, room),
    );
    // What lies on a mirror or on the middle of a turn is carried onto itself: it is there once.
    return arrangement.kind === 'group' ? onceEach(copies, size) : copies.flat();
  });
  const patches = shown.flatMap(([piece, { layers }], at) => {
    if (!isStrapPiece(piece)) return [];
    const room = { size, shades, piece: shown.length + at, light: () => 0 };
    const paint = paintOfStrap(layers, room);
    return paint === undefined ? [] : patchMarks(straps.get(piece)!, piece.shape.strap, paint, room.piece);
  });
  return {
    lattice: carries,
    repeat: { width: rational(1), height: rational(1) },
    pitch: { x: repeat.width, y: repeat.height },
    grid: { step: 'mm' },
    content: {
      kind: 'marks',
      base: groundOf(motif.ground, light.shades),
      marks: [...marks, ...patches],
      ...(rows === undefined ? {} : { rows: rows.order }),
    },
  };
}

/** What the marks of a piece are made with. */
interface MarkRoom {
  /** Which piece, in painting order. */
  readonly piece: number;
  /** Millimetres of one repeat. */
  readonly size: Place;
  readonly shades: readonly Shade[];
  /** How much lighter or darker a layer is in a box, in steps. */
  readonly light: (layer: Layer, box: number) => LightPaint;
}

function marksAt(
  layers: readonly Layer[],
  { place, row }: { readonly place: BoxPlace; readonly row: number },
  room: MarkRoom,
): readonly Mark[] {
  const { motion } = place;
  return layers.flatMap((layer): readonly Mark[] => {
    const { figure, paint } = moveLayer(layer, motion);
    if (paint === null) return [];
    const shape = {
      kind: 'figure',
      figure: shadowed(figure, paint),
      row,
      piece: room.piece,
      endless: false,
    } as const;
    return [{ shape, ...paintMark(paint, room.light(layer, place.box), room) }];
  });
}

/** A piece that goes on: in all boxes it is one. It lies below rows that lie over each other. */
function endlessMarks(
  layers: readonly Layer[],
  places: readonly BoxPlace[],
  room: MarkRoom,
): readonly Mark[] {
  return layers.flatMap(({ figure, paint }): readonly Mark[] => {
    if (paint === null) return [];
    const parts = places.map((place) => shadowed(moveFigure(figure, place.motion), paint));
    const shape = {
      kind: 'figure',
      figure: { kind: 'join', parts },
      row: 0,
      piece: room.piece,
      endless: true,
    } as const;
    return [{ shape, ...paintMark(paint, 0, room) }];
  });
}

/** A strap is cut where it goes under others; it may have a shadow as any piece has. */
function marksOfStrap(
  piece: StrapPiece,
  layers: readonly Layer[],
  figures: StrapFigures,
  room: MarkRoom,
): readonly Mark[] {
  const paint = paintOfStrap(layers, room);
  if (paint === undefined) return [];
  return strapMarks(figures, piece.shape.strap, paint, room.piece);
}

/** What a strap and its shadow are painted with; undefined where it is not painted. */
function paintOfStrap(layers: readonly Layer[], room: MarkRoom): StrapPaint | undefined {
  const paints = layers.flatMap(({ paint }) => paint ?? []);
  const shade = paints.find(({ shadow }) => shadow === undefined);
  const shadow = paints.find((paint) => paint.shadow !== undefined);
  return (
    shade && {
      body: paintMark(shade, 0, room),
      shadow: shadow && { paint: paintMark(shadow, 0, room), ...shadow.shadow! },
      shadeOf: (key) => indexOf(key, room.shades),
    }
  );
}

function shadowed(figure: Figure, { shadow }: LayerPaint): Figure {
  return shadow === undefined ? figure : moveFigure(figure, shiftBy(shadow.x, shadow.y));
}

/** What a mark is painted with: shades by their indexes. Shadows stay as they are where copies vary. */
function paintMark(
  { shade, fade, picture, shadow }: LayerPaint,
  light: LightPaint,
  { shades, size }: MarkRoom,
): Omit<Mark, 'shape'> {
  if (shadow !== undefined) {
    const soft: Softness = { deviation: shadow.deviation, strength: shadow.strength };
    return { shade: indexOf(shade!, shades), soft };
  }
  const indexed = (key: string) => indexOf(key, shades) + light;
  const shown = { shade: shade === null ? null : indexed(shade), ...(picture && { picture }) };
  if (fade === undefined) return shown;
  const way = isOverRepeat(fade.way) ? fadeOfRepeat(fade.way, size) : fade.way;
  return { ...shown, fade: { shades: fade.shades.map(indexed), way } };
}

function fadeOfRepeat(way: OverRepeat, size: Place): FadeWay {
  const corners = [{ x: 0, y: 0 }, { x: size.x, y: 0 }, { x: 0, y: size.y }, size];
  return way.kind === 'repeat-outward' ? fadeOutward(corners, size) : fadeAlong(corners, way.angle, size);
}

/** What lies further that way is higher. */
const TOWARD = { up: ['y', 1], down: ['y', -1], right: ['x', 1], left: ['x', -1] } as const;

function rowsOf({ overlap }: Motif, places: readonly Point[]) {
  if (overlap === 'pieces') return undefined;
  const [axis, sign] = TOWARD[overlap];
  const along = places.map((place) => place[axis]);
  const steps = [...along]
    .sort(compareSurds)
    .filter((step, at, all) => at === 0 || compareSurds(step, all[at - 1]!) !== 0);
  const count = sign * steps.length;
  const order: RowOrder = axis === 'y' ? { up: count, right: 0 } : { up: 0, right: count };
  const rowAt = along.map((step) => sign * steps.findIndex((each) => compareSurds(each, step) === 0));
  return { order, rowAt };
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
