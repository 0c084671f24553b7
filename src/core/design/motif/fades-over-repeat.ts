import type { PieceFade, PieceShape } from './motif-schema.ts';

/** Whether a fade goes over the whole repeat: as it says, or as a line that goes on has no ends to fade between. */
export function fadesOverRepeat(fade: PieceFade, shape: PieceShape): boolean {
  return fade.over === 'repeat' || (shape.kind === 'line' && shape.run === 'onward');
}
