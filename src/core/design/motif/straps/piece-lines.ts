import { CoreError } from '../../../error.ts';
import type { Point } from '../../../exact/plane.ts';
import { movePoint } from '../../../exact/plane-motion.ts';
import { rational } from '../../../exact/rational.ts';
import { surd } from '../../../exact/surd.ts';
import { moveContour } from '../../../shape/contour.ts';
import { type LinePoint, type LineRun, lineThrough } from '../../../shape/line-figures.ts';
import { type StrapLine, strapPoints } from '../../../shape/straps/strap-line.ts';
import { linePlaces } from '../line-places.ts';
import { mirrored, motionsOf, type PieceMotion, shifted, turned } from '../making-motions.ts';
import { type MotifScale, parseDegrees, parseWay } from '../motif-numbers.ts';
import type { Piece } from '../motif-schema.ts';
import { nameOf } from '../piece-name.ts';
import type { StrapPiece } from './strap-pieces.ts';

/**
 * The middle lines of a strap and of all its copies in one cell, in millimetres.
 *
 * @param style    the number of its style
 * @param copies   what carries the box to its copies in a cell
 * @throws CoreError "straps/made" {piece, making}, or of its numbers
 */
export function linesOfPiece(
  piece: StrapPiece,
  style: number,
  { scale, copies }: { readonly scale: MotifScale; readonly copies: readonly PieceMotion[] },
): readonly StrapLine[] {
  const { points, run } = piece.shape;
  const contour = lineThrough(fromStraight(linePlaces(piece.shape, scale), run), run);
  const isStraight = points.every(
    ({ bend, radius }) => bend === 'corner' && parseWay(radius, scale).n === 0n,
  );
  const corners = points.map(
    ({ x, y }): Point => ({
      x: surd(parseWay(x, scale)),
      y: surd(parseWay(y, scale)),
    }),
  );
  return ways(piece, scale)
    .flatMap((way) => copies.map((copy) => [...way, copy]))
    .map((motions, line): StrapLine => {
      const moved = motions.reduce((made, { motion }) => moveContour(made, motion), contour);
      const exact = isStraight ? movedExactly(corners, motions) : undefined;
      return { name: { piece: piece.id, line }, style, points: strapPoints(moved, exact), run };
    });
}

/**
 * The same line that goes on, from the middle of a straight side: a corner where it comes round is rounded as any other.
 */
function fromStraight(places: readonly LinePoint[], run: LineRun): readonly LinePoint[] {
  const [first] = places;
  if (run !== 'onward' || first?.bend !== 'corner' || first.radius === 0) return places;
  const at = places.findIndex(
    (place, index) => place.bend === 'corner' && places[index + 1]?.bend === 'corner',
  );
  const one = places[at];
  const other = places[at + 1];
  if (one === undefined || other === undefined) return places;
  const last = places.at(-1)!;
  const by = { x: last.x - first.x, y: last.y - first.y };
  const middle = { ...one, x: (one.x + other.x) / 2, y: (one.y + other.y) / 2, radius: 0 };
  const moved = (place: LinePoint) => ({ ...place, x: place.x + by.x, y: place.y + by.y });
  const before = places.slice(1, at + 1).map(moved);
  return [middle, ...places.slice(at + 1), ...before, moved(middle)];
}

/** What is done to a piece's line, one motion after another, for each of its copies. */
function ways(piece: Piece, scale: MotifScale): readonly (readonly PieceMotion[])[] {
  const zero = rational(0);
  const stand = [
    ...(piece.mirrored ? [mirrored(zero, zero, rational(90))] : []),
    turned(zero, zero, parseDegrees(piece.turn)),
    shifted(parseWay(piece.x, scale), parseWay(piece.y, scale)),
  ];
  return piece.made.reduce<readonly (readonly PieceMotion[])[]>(
    (all, making) => {
      const motions = motionsOf(making, scale);
      if (motions === undefined) {
        throw new CoreError('straps/made', { piece: nameOf(piece), making: making.kind });
      }
      return motions.flatMap((motion) => all.map((way) => [...way, motion]));
    },
    [stand],
  );
}

/** @returns undefined where a motion is not known exactly */
function movedExactly(
  corners: readonly Point[],
  motions: readonly PieceMotion[],
): readonly Point[] | undefined {
  let moved = corners;
  for (const { exact } of motions) {
    if (exact === undefined) return undefined;
    moved = moved.map((point) => movePoint(point, exact));
  }
  return moved;
}
