import type { Making } from '../../../core/design/motif/making-schema.ts';
import type { NumberShape } from '../../../core/design/motif/shapes.ts';
import type { Place } from '../../../core/shape/places.ts';
import { shapeLabel } from '../../../wording/motif-words.ts';
import type { ClothPlaces } from '../../cloth/use-cloth-view.ts';
import { withNumber } from '../motif-edits.ts';
import { putPiece } from '../put-motif.ts';
import { numberOf } from './in-steps.ts';
import type { LaidMotif, LaidPiece } from './motif-places.ts';
import { sizesOf, textOf } from './shape-sizes.ts';
import { squareEdge } from './square-edge.ts';
import { standOf } from './stand.ts';

/** A number of the chosen piece as it stands on the cloth, between two places of the view. */
export interface Dimension {
  readonly label: string;
  readonly text: string;
  readonly from: Place;
  readonly to: Place;
  /** Where its extension lines come from. */
  readonly ends: readonly [Place, Place];
  readonly kind: 'size' | 'sizeOrNone' | 'way';
  readonly put: (text: string) => void;
}

/** CSS pixels that a dimension line stands off from what it measures, and from one that is there already. */
const OFF = 26;
const FURTHER = 30;

/** The numbers of a piece as on a technical drawing: its sizes, its place in the box, what is made of it further. */
export function dimensionsOf(motif: LaidMotif, laid: LaidPiece, view: ClothPlaces): readonly Dimension[] {
  return [
    ...shapeDimensions(motif, laid, view),
    ...placeDimensions(motif, laid, view),
    ...laid.piece.made.flatMap((making, at) => makingDimensions(making, at, motif, laid, view)),
  ];
}

/** A level line over or under two places, or an upright one beside them. */
function level(one: Place, other: Place, y: number): Pick<Dimension, 'from' | 'to' | 'ends'> {
  return { from: { x: one.x, y }, to: { x: other.x, y }, ends: [one, other] };
}

function upright(one: Place, other: Place, x: number): Pick<Dimension, 'from' | 'to' | 'ends'> {
  return { from: { x, y: one.y }, to: { x, y: other.y }, ends: [one, other] };
}

/** The shape's own width, height or radius, along the way that it is turned. */
function shapeDimensions(
  motif: LaidMotif,
  { piece, at }: LaidPiece,
  view: ClothPlaces,
): readonly Dimension[] {
  const shape = piece.shape as NumberShape;
  const sizes = sizesOf(piece, motif);
  const reach = (axis: 'x' | 'y') => sizes.find((size) => size.axis === axis)?.reach ?? sizes[0]?.reach ?? 0;
  const { onCloth } = standOf(piece);
  const place = (way: Place) => {
    const { x, y } = onCloth(way);
    return view.toView({ x: at.x + x, y: at.y + y });
  };
  return sizes.map(({ key, axis, times, reach: far }): Dimension => {
    const near = times === 2 ? -far : 0;
    const along = (way: number) =>
      place(axis === 'x' ? { x: way, y: reach('y') } : { x: -reach('x'), y: way });
    const ends = axis === 'x' ? ([along(near), along(far)] as const) : ([along(far), along(near)] as const);
    // Above the shape, or before it, as it stands itself; y goes down as it is seen.
    const out = onCloth(axis === 'x' ? { x: 0, y: OFF } : { x: -OFF, y: 0 });
    const [from, to] = ends.map(({ x, y }) => ({ x: x + out.x, y: y - out.y })) as [Place, Place];
    return {
      from,
      to,
      ends,
      label: shapeLabel(shape.kind, key),
      text: textOf(shape, key),
      kind: 'size',
      put: (text) => putPiece(piece.id, { shape: withNumber(shape, key, text) }, `shape-${key}`),
    };
  });
}

/** How far the piece's place lies from the box's lower left. */
function placeDimensions(
  motif: LaidMotif,
  { piece, at, right }: LaidPiece,
  view: ClothPlaces,
): readonly Dimension[] {
  const corner = view.toView({ x: 0, y: 0 });
  const middle = view.toView(at);
  const below = Math.max(corner.y, middle.y) + OFF;
  const beside = view.toView({ x: Math.max(motif.box.width, right), y: 0 }).x + OFF;
  return [
    {
      ...level(corner, middle, below),
      label: 'Place, across',
      text: piece.x,
      kind: 'way',
      put: (x) => putPiece(piece.id, { x }, 'x'),
    },
    {
      ...upright(corner, middle, beside),
      label: 'Place, up',
      text: piece.y,
      kind: 'way',
      put: (y) => putPiece(piece.id, { y }, 'y'),
    },
  ];
}

/** How far apart copies are, how wide bands, and by which radius corners are rounded. */
function makingDimensions(
  making: Making,
  at: number,
  motif: LaidMotif,
  laid: LaidPiece,
  view: ClothPlaces,
): readonly Dimension[] {
  const { piece } = laid;
  const put = (next: Making, tag: string) =>
    putPiece(piece.id, { made: piece.made.with(at, next) }, `made-${at}-${tag}`);
  const length = (text: string) => numberOf(text, motif.scale) * motif.step;
  switch (making.kind) {
    case 'copies':
    case 'grid': {
      const here = view.toView(laid.at);
      const next = view.toView({ x: laid.at.x + length(making.x), y: laid.at.y + length(making.y) });
      const ways: readonly Dimension[] = [
        {
          ...level(here, next, Math.max(here.y, next.y) + OFF + FURTHER),
          label: `${at + 1}: copies apart, across`,
          text: making.x,
          kind: 'way',
          put: (x) => put({ ...making, x }, 'x'),
        },
        {
          ...upright(here, next, Math.max(here.x, next.x) + OFF + FURTHER),
          label: `${at + 1}: copies apart, up`,
          text: making.y,
          kind: 'way',
          put: (y) => put({ ...making, y }, 'y'),
        },
      ];
      return ways.filter(({ text }) => length(text) !== 0);
    }
    case 'bands':
      return bandDimensions(making, at, length, laid, view, put);
    case 'rounded': {
      const corner = view.toView({ x: laid.right, y: laid.top });
      const inner = view.toView({ x: laid.right - length(making.radius), y: laid.top });
      return [
        {
          ...level(inner, corner, corner.y - OFF),
          label: `${at + 1}: radius`,
          text: making.radius,
          kind: 'sizeOrNone',
          put: (radius) => put({ ...making, radius }, 'radius'),
        },
      ];
    }
    default:
      return [];
  }
}

/** Bands from the edge one after another, where a ray from the piece's place meets it squarely. */
function bandDimensions(
  making: Extract<Making, { kind: 'bands' }>,
  at: number,
  length: (text: string) => number,
  laid: LaidPiece,
  view: ClothPlaces,
  put: (next: Making, tag: string) => void,
): readonly Dimension[] {
  const { bands, side } = making;
  const edge = squareEdge(laid);
  if (edge === undefined) return [];
  const whole = bands.reduce((sum, { width }) => sum + length(width), 0);
  // Outward, all of them lie within what the piece reaches to; inward, they begin at its edge.
  let from = side === 'outward' ? edge.reach - whole : edge.reach;
  const place = (way: number) => view.toView({ x: laid.at.x + way * edge.x, y: laid.at.y + way * edge.y });
  return bands.map(({ width, shade }, index): Dimension => {
    const to = from + (side === 'outward' ? length(width) : -length(width));
    const line = beside(place(from), place(to), OFF + index * FURTHER);
    from = to;
    return {
      ...line,
      label: `${at + 1}: band ${index + 1}`,
      text: width,
      kind: 'size',
      put: (text) => put({ ...making, bands: bands.with(index, { width: text, shade }) }, `band-${index}`),
    };
  });
}

/** A line beside two places, to the right of the way from one to the other as it is seen. */
function beside(one: Place, other: Place, off: number): Pick<Dimension, 'from' | 'to' | 'ends'> {
  const length = Math.hypot(other.x - one.x, other.y - one.y);
  const sign = other.x < one.x ? -1 : 1;
  const x = (-sign * off * (other.y - one.y)) / length;
  const y = (sign * off * (other.x - one.x)) / length;
  return { from: { x: one.x + x, y: one.y + y }, to: { x: other.x + x, y: other.y + y }, ends: [one, other] };
}
