import type { Making, MakingKind } from '../../core/design/motif/making-schema.ts';
import type {
  LineShape,
  Motif,
  Piece,
  PieceFade,
  PieceOutline,
  PieceShadow,
  PieceShape,
} from '../../core/design/motif/motif-schema.ts';
import { isNumberShape, type ShapeName, usualShape } from '../../core/design/motif/shapes.ts';
import { usualPiece } from '../../core/design/motif/usual-piece.ts';
import type { PaintPicture } from '../../core/design/picture-schema.ts';
import { parseExact } from '../../core/exact/parse-exact.ts';
import { compare, multiply, type Rational, rational, toText } from '../../core/exact/rational.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { changing, type Edit } from '../state/design-edits.ts';

/** Changes what a motif is. */
export function setMotif(change: Partial<Motif>): Edit {
  return changing('motif', () => change);
}

/** Changes one piece, by its id. */
export function changePiece(id: number, change: (piece: Piece) => Piece): Edit {
  return changing('motif', ({ pieces }) => ({
    pieces: pieces.map((piece) => (piece.id === id ? change(piece) : piece)),
  }));
}

/** A line as it is usual: it rises and falls, and goes on. */
function usualLine(): LineShape {
  const points = [
    ['-2', '0'],
    ['0', '1'],
    ['2', '0'],
  ].map(([x, y]) => ({ x: x!, y: y!, bend: 'curve' as const, radius: '0' }));
  return { kind: 'line', points, run: 'open', width: '1/2', ends: 'round', dashes: null, strap: null };
}

/** A sensible piece of a shape in the middle of the box. */
export function pieceInBox({ pieces, box }: Motif, kind: ShapeName | 'line', shade: string): Piece {
  const shape = kind === 'line' ? usualLine() : usualShape(kind);
  return usualPiece(freeId(pieces), shape, halfOf(box.width), halfOf(box.height), { shade });
}

/** A rectangle of a picture's own ratio in the middle of the box; its longer side is half of the box's shorter one. */
export function pictureInBox({ pieces, box }: Motif, picture: PaintPicture): Piece {
  const { width, height } = picture;
  const sides = [box.width, box.height].map((text) => partOf(text, rational(1, 2)));
  // Lengths with a unit are not weighed against steps.
  const most = sides.every((side) => side !== undefined) ? least(sides[0]!, sides[1]!) : rational(4);
  const side = (pixels: number) => toText(multiply(most, rational(pixels, Math.max(width, height))));
  const shape = { ...usualShape('rectangle'), width: side(width), height: side(height) } as PieceShape;
  return usualPiece(freeId(pieces), shape, halfOf(box.width), halfOf(box.height), { picture });
}

function least(one: Rational, other: Rational): Rational {
  return compare(one, other) < 0 ? one : other;
}

/** Half of a number as it is typed. */
function halfOf(text: string): string {
  const half = partOf(text, rational(1, 2));
  if (half !== undefined) return toText(half);
  const [, number, unit] = /^(.*?)\s*([a-z"]*)$/i.exec(text)!;
  return `(${number})/2 ${unit}`;
}

/** A part of a number of steps; undefined where a unit stands behind it. */
function partOf(text: string, part: Rational): Rational | undefined {
  const number = valueIfAny(() => parseExact(text));
  return number === undefined ? undefined : multiply(number, part);
}

function freeId(pieces: readonly Piece[]): number {
  return Math.max(0, ...pieces.map(({ id }) => id)) + 1;
}

/** A piece once more, over the one that it was made of. */
export function duplicatePiece({ pieces }: Motif, id: number): { pieces: Piece[]; made: number } {
  const made = freeId(pieces);
  return {
    pieces: pieces.flatMap((piece) =>
      piece.id === id ? [piece, { ...piece, id: made, locked: false }] : [piece],
    ),
    made,
  };
}

/** Pieces without one of them; what was made with it is made without it. */
export function withoutPiece(pieces: readonly Piece[], id: number): Piece[] {
  return pieces
    .filter((piece) => piece.id !== id)
    .map((piece) => ({ ...piece, made: piece.made.flatMap((making) => withoutOther(making, id)) }));
}

function withoutOther(making: Making, id: number): readonly Making[] {
  if (!('with' in making)) return [making];
  const others = making.with.filter((other) => other !== id);
  return others.length === 0 ? [] : [{ ...making, with: others }];
}

/** The other pieces that a piece may be made with: those that are not made with it. */
export function partners(pieces: readonly Piece[], id: number): readonly Piece[] {
  const known = new Map(pieces.map((piece) => [piece.id, piece]));
  const needs = (piece: Piece | undefined, seen: ReadonlySet<number>): boolean =>
    piece !== undefined &&
    (piece.id === id ||
      piece.made.some(
        (making) =>
          'with' in making &&
          making.with.some((other) => !seen.has(other) && needs(known.get(other), new Set([...seen, other]))),
      ));
  return pieces.filter((piece) => !needs(piece, new Set([piece.id])));
}

/** Something that is made of a piece further, as it is usual. */
export function usualMaking(
  kind: MakingKind,
  { box }: Motif,
  others: readonly Piece[],
  shade: string,
): Making {
  const middle = { x: halfOf(box.width), y: halfOf(box.height) };
  switch (kind) {
    case 'copies':
      return { kind, count: 2, x: '1', y: '0' };
    case 'round':
      return { kind, count: 6, ...middle, by: null };
    case 'mirror':
      return { kind, ...middle, angle: '90' };
    case 'grid':
      return { kind, across: 2, up: 2, ...middle };
    case 'bands':
      return { kind, side: 'outward', corner: 'round', bands: [{ width: '1/4', shade }] };
    case 'rounded':
      return { kind, radius: '1/4' };
    case 'moved':
      return { kind, x: '1', y: '0' };
    case 'join':
    case 'cut':
    case 'overlap':
      return { kind, with: [others.at(-1)!.id] };
    case 'divide':
      return { kind, with: [others.at(-1)!.id], shade };
    default:
      return kind satisfies never;
  }
}

export function usualOutline(shade: string): PieceOutline {
  return { width: '1/4', shade, side: 'inside', ends: 'round', dashes: null };
}

export function usualFade(shades: readonly string[]): PieceFade {
  const [first = 'A', second = first] = shades;
  return { kind: 'along', shades: [first, second], over: 'piece', angle: '90' };
}

export function usualShadow(shade: string): PieceShadow {
  return { x: '1/4', y: '-1/4', softness: '1/4', shade, strength: '40%' };
}

/** A piece's shape with one of its numbers changed. */
export function withNumber(shape: PieceShape, key: string, value: string | number): PieceShape {
  return isNumberShape(shape) ? ({ ...shape, [key]: value } as PieceShape) : shape;
}
