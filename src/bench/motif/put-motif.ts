import type { Motif, Piece } from '../../core/design/motif/motif-schema.ts';
import { asKind } from '../../core/design/of-kind.ts';
import { benchState, dispatch } from '../state/bench-store.ts';
import { changePiece, setMotif } from './motif-edits.ts';

/** Changes a motif on the bench; changes of one tag that follow each other are undone together. */
export function putMotif(change: Partial<Motif>, tag?: string): void {
  dispatch({ kind: 'edit', edit: setMotif(change), ...(tag === undefined ? {} : { tag: `motif-${tag}` }) });
}

/** Changes one piece. */
export function putPiece(id: number, change: Partial<Piece>, tag?: string): void {
  dispatch({
    kind: 'edit',
    edit: changePiece(id, (piece) => ({ ...piece, ...change })),
    ...(tag === undefined ? {} : { tag: `piece-${id}-${tag}` }),
  });
}

/** The pieces as they are now, later perhaps than those that were drawn. */
export function piecesNow(): readonly Piece[] {
  return asKind('motif', benchState().history.present).construction.pieces;
}
