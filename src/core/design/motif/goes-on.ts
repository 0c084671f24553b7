import type { PieceFade, PieceShape } from './motif-schema.ts';

/** Whether a piece is a line that goes on into the next box, or a strap: in all boxes it is one. */
export function goesOn(shape: PieceShape): boolean {
  return shape.kind === 'line' && shape.width !== null && (shape.run === 'onward' || shape.strap !== null);
}

/** Whether a fade goes over the whole repeat: as it says, or as a line that goes on has no ends to fade between. */
export function fadesOverRepeat(fade: PieceFade, shape: PieceShape): boolean {
  return fade.over === 'repeat' || goesOn(shape);
}
