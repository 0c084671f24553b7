import type { MotifDesign } from '../../../core/design/design-schema.ts';
import { pixelOf } from '../../../core/design/lay.ts';
import { checkReach } from '../../../core/design/motif/check-reach.ts';
import { standBack, standMotion } from '../../../core/design/motif/group-blocks.ts';
import {
  type BoxPlace,
  type LaidBox,
  layBox,
  placeMotion,
  scaleOf,
} from '../../../core/design/motif/lay-box.ts';
import { madePieces, usedBy } from '../../../core/design/motif/made-pieces.ts';
import { type MotifScale, parseWay } from '../../../core/design/motif/motif-numbers.ts';
import type { Piece } from '../../../core/design/motif/motif-schema.ts';
import { toNumber } from '../../../core/exact/rational.ts';
import { type Motion, movePlace, shiftBy, thenMotion } from '../../../core/shape/contour.ts';
import type { Figure } from '../../../core/shape/figure.ts';
import { placesOfFigure } from '../../../core/shape/figure-places.ts';
import type { Place } from '../../../core/shape/places.ts';
import { resolveFigure } from '../../../core/shape/resolve-figure.ts';

/** A piece where it lies on the cloth, in millimetres from the lower left of the box. */
export interface LaidPiece {
  readonly piece: Piece;
  /** Where its numbers put it. */
  readonly at: Place;
  /** What it covers, all layers together; holes run the other way. */
  readonly polygons: readonly (readonly Place[])[];
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** A motif's pieces and its box, for the hand. */
export interface LaidMotif {
  readonly pieces: readonly LaidPiece[];
  readonly scale: MotifScale;
  /** Millimetres of a step. */
  readonly step: number;
  readonly box: { readonly width: number; readonly height: number };
  readonly laid: LaidBox;
}

/** Parts of a millimetre that outlines on the cloth are rounded to. */
const FINE = 100;

/** @throws CoreError as `compileMotif` */
export function laidMotif({ construction, resolution }: MotifDesign): LaidMotif {
  const scale = scaleOf(construction, pixelOf(resolution));
  const laid = layBox(construction, scale);
  const box = { width: toNumber(laid.width), height: toNumber(laid.height) };
  const grid = { width: 0, height: 0, pitch: { x: box.width, y: box.height }, scale: { x: FINE, y: FINE } };
  const used = usedBy(construction);
  const repeat = { x: toNumber(laid.repeat.width), y: toNumber(laid.repeat.height) };
  const pieces = [...madePieces(construction, scale)].flatMap(
    ([piece, { figure, layers }]): readonly LaidPiece[] => {
      for (const layer of layers) checkReach(layer, repeat, piece);
      const polygons = resolveFigure(figure, grid).map((polygon) =>
        polygon.map(({ x, y }) => ({ x: x / FINE, y: -y / FINE })),
      );
      const places = polygons.flat();
      if (places.length === 0 || (piece.hidden && !used.has(piece.id))) return [];
      // What is of lines and arcs alone is as far as these say; all else is measured as it is drawn.
      const exact = isOfArcs(figure) ? placesOfFigure(figure) : places;
      const xs = exact.map(({ x }) => x);
      const ys = exact.map(({ y }) => y);
      return [
        {
          piece,
          at: { x: toNumber(parseWay(piece.x, scale)), y: toNumber(parseWay(piece.y, scale)) },
          polygons,
          left: Math.min(...xs),
          right: Math.max(...xs),
          bottom: Math.min(...ys),
          top: Math.max(...ys),
        },
      ];
    },
  );
  return { pieces, scale, step: toNumber(scale.step), box, laid };
}

function isOfArcs(figure: Figure): boolean {
  return (
    figure.kind === 'outline' &&
    figure.contours.every(({ segments }) => segments.every(({ kind }) => kind !== 'curve'))
  );
}

/** The pieces that lie under a place of the endless cloth, the uppermost first, each as its box stands there. */
export function piecesAt(
  { pieces, laid }: LaidMotif,
  place: Place,
): readonly (LaidPiece & Pick<BoxPlace, 'stand'>)[] {
  const width = toNumber(laid.repeat.width);
  const height = toNumber(laid.repeat.height);
  return pieces
    .flatMap((laidPiece) => {
      const box = laid.places.find((each) => {
        const back = boxMotions(each, laid).back;
        const carried = boundsOf(laidPiece, boxMotions(each, laid).there);
        const rights = shifts(place.x, carried.left, carried.right, width);
        const ups = shifts(place.y, carried.bottom, carried.top, height);
        return rights.some((dx) =>
          ups.some((dy) =>
            isInside(laidPiece.polygons, movePlace({ x: place.x - dx, y: place.y - dy }, back)),
          ),
        );
      });
      return box === undefined ? [] : [{ ...laidPiece, stand: box.stand }];
    })
    .reverse();
}

/** How a box carries its pieces to where it lies, and what lies there back. */
function boxMotions(box: BoxPlace, laid: LaidBox): { readonly there: Motion; readonly back: Motion } {
  const size = { x: toNumber(laid.width), y: toNumber(laid.height) };
  const shift = shiftBy(-toNumber(box.x), -toNumber(box.y));
  return {
    there: placeMotion(box, laid),
    back: thenMotion(shift, standMotion(standBack(box.stand), size)),
  };
}

/** As far as a piece reaches where a motion carries it; by quarters of a turn and mirrors alone, so that it is exact. */
export function boundsOf(
  { left, right, bottom, top }: Pick<LaidPiece, 'left' | 'right' | 'bottom' | 'top'>,
  motion: Motion,
) {
  const one = movePlace({ x: left, y: bottom }, motion);
  const other = movePlace({ x: right, y: top }, motion);
  return {
    left: Math.min(one.x, other.x),
    right: Math.max(one.x, other.x),
    bottom: Math.min(one.y, other.y),
    top: Math.max(one.y, other.y),
  };
}

/** Whole repeats by which a place is moved back to lie between two others. */
function shifts(value: number, from: number, to: number, repeat: number): readonly number[] {
  const first = Math.ceil((value - to) / repeat);
  const last = Math.floor((value - from) / repeat);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, at) => (first + at) * repeat);
}

/** Whether polygons, holes among them, hold a place: how often a level line from it meets their sides. */
function isInside(polygons: readonly (readonly Place[])[], { x, y }: Place): boolean {
  let inside = false;
  for (const polygon of polygons) {
    for (const [at, one] of polygon.entries()) {
      const other = polygon[(at + 1) % polygon.length]!;
      if (one.y > y === other.y > y) continue;
      if (x < one.x + ((y - one.y) / (other.y - one.y)) * (other.x - one.x)) inside = !inside;
    }
  }
  return inside;
}
