import type { Piece, PieceShape } from './motif-schema.ts';

/** A piece where it lies; what is left out is usual. */
export function usualPiece(
  id: number,
  shape: PieceShape,
  x: string,
  y: string,
  more: Partial<Piece> = {},
): Piece {
  return {
    id,
    name: '',
    shape,
    x,
    y,
    turn: '0',
    mirrored: false,
    made: [],
    shade: null,
    fade: null,
    picture: null,
    outline: null,
    shadow: null,
    vary: null,
    group: null,
    hidden: false,
    locked: false,
    ...more,
  };
}
