import type { MotifDesign } from '../../../core/design/design-schema.ts';
import { pixelOf } from '../../../core/design/lay/lay-schema.ts';
import { checkReach } from '../../../core/design/motif/check-reach.ts';
import {
  type BoxPlace,
  type LaidBox,
  layBox,
  nearRepeat,
  scaleOf,
} from '../../../core/design/motif/lay-box.ts';
import { madePieces, usedBy } from '../../../core/design/motif/made-pieces.ts';
import { type MotifScale, parseWay } from '../../../core/design/motif/motif-numbers.ts';
import type { Piece } from '../../../core/design/motif/motif-schema.ts';
import { toNumber } from '../../../core/exact/rational.ts';
import { inverseMotion, type Motion, movePlace } from '../../../core/shape/contour.ts';
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
export function laidMotif({ construction, resolution, lay }: MotifDesign): LaidMotif {
  const scale = scaleOf(construction, pixelOf(resolution));
  const laid = layBox(construction, lay.arrangement, scale);
  const box = { width: toNumber(laid.width), height: toNumber(laid.height) };
  const grid = { width: 0, height: 0, pitch: { x: box.width, y: box.height }, scale: { x: FINE, y: FINE } };
  const used = usedBy(construction);
  const repeat = nearRepeat(laid);
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
): readonly (LaidPiece & Pick<BoxPlace, 'motion'>)[] {
  const { x: width, y: height } = nearRepeat(laid);
  return pieces
    .flatMap((laidPiece) => {
      const box = laid.places.find((each) => {
        const back = inverseMotion(each.motion);
        const carried = boundsOf(laidPiece, each.motion);
        const rights = shifts(place.x, carried.left, carried.right, width);
        const ups = shifts(place.y, carried.bottom, carried.top, height);
        return rights.some((dx) =>
          ups.some((dy) =>
            isInside(laidPiece.polygons, movePlace({ x: place.x - dx, y: place.y - dy }, back)),
          ),
        );
      });
      return box === undefined ? [] : [{ ...laidPiece, motion: box.motion }];
    })
    .reverse();
}

/** As far as a piece reaches at most where a motion carries it; exact by quarters of a turn. */
export function boundsOf(
  { left, right, bottom, top }: Pick<LaidPiece, 'left' | 'right' | 'bottom' | 'top'>,
  motion: Motion,
) {
  const corners = [left, right].flatMap((x) => [bottom, top].map((y) => movePlace({ x, y }, motion)));
  const xs = corners.map(({ x }) => x);
  const ys = corners.map(({ y }) => y);
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    bottom: Math.min(...ys),
    top: Math.max(...ys),
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
