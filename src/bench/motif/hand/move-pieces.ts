import type { MotifScale } from '../../../core/design/motif/motif-numbers.ts';
import type { Piece } from '../../../core/design/motif/motif-schema.ts';
import {
  add,
  divide,
  multiply,
  type Rational,
  rational,
  subtract,
  toText,
} from '../../../core/exact/rational.ts';
import { addSteps, inSteps, stepsNear } from './in-steps.ts';
import type { LaidMotif, LaidPiece } from './motif-places.ts';

type Pieces = readonly Piece[];

/** Moves pieces by whole numbers and parts of steps; locked ones stay. */
export function movePieces(
  pieces: Pieces,
  ids: readonly number[],
  by: { readonly x: Rational; readonly y: Rational },
  scale: MotifScale,
): Piece[] {
  return pieces.map((piece) =>
    ids.includes(piece.id) && !piece.locked
      ? { ...piece, x: moved(piece.x, by.x, scale), y: moved(piece.y, by.y, scale) }
      : piece,
  );
}

function moved(text: string, by: Rational, scale: MotifScale): string {
  return by.n === 0n ? text : addSteps(text, by, scale);
}

/** What pieces may be brought in line by: sides or the middle of what they cover. */
export type Alignment = 'left' | 'centre' | 'right' | 'bottom' | 'middle' | 'top';

/** Where a piece lies, for each way to bring it in line. */
const PLACES: Readonly<Record<Alignment, { axis: 'x' | 'y'; of: (laid: LaidPiece) => number }>> = {
  left: { axis: 'x', of: ({ left }) => left },
  centre: { axis: 'x', of: ({ left, right }) => (left + right) / 2 },
  right: { axis: 'x', of: ({ right }) => right },
  bottom: { axis: 'y', of: ({ bottom }) => bottom },
  middle: { axis: 'y', of: ({ bottom, top }) => (bottom + top) / 2 },
  top: { axis: 'y', of: ({ top }) => top },
};

/** Brings chosen pieces in line with the last of them. */
export function alignPieces(
  motif: LaidMotif,
  pieces: Pieces,
  ids: readonly number[],
  how: Alignment,
): Piece[] {
  const { axis, of } = PLACES[how];
  const laidOf = (id: number) => motif.pieces.find(({ piece }) => piece.id === id);
  const aim = laidOf(ids.at(-1)!);
  if (aim === undefined) return [...pieces];
  return pieces.map((piece) => {
    const laid = laidOf(piece.id);
    if (!ids.includes(piece.id) || piece.locked || laid === undefined) return piece;
    const by = stepsNear((of(aim) - of(laid)) / motif.step);
    return { ...piece, [axis]: moved(piece[axis], by, motif.scale) };
  });
}

/** Spreads the places of chosen pieces evenly between the two that lie furthest apart; three or more. */
export function spreadPieces(
  motif: LaidMotif,
  pieces: Pieces,
  ids: readonly number[],
  axis: 'x' | 'y',
): Piece[] {
  const some = pieces
    .filter(({ id }) => ids.includes(id))
    .map((piece) => ({ id: piece.id, at: inSteps(piece[axis], motif.scale) }))
    .sort((one, other) => Number(subtract(one.at, other.at).n > 0n) * 2 - 1);
  const first = some[0]!.at;
  const gap = divide(subtract(some.at(-1)!.at, first), rational(some.length - 1));
  return pieces.map((piece) => {
    const place = some.findIndex(({ id }) => id === piece.id);
    if (place <= 0 || place === some.length - 1 || piece.locked) return piece;
    return { ...piece, [axis]: toText(add(first, multiply(gap, rational(place)))) };
  });
}
