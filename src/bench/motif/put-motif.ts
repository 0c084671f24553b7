import type { Motif, Piece } from '../../core/design/motif/motif-schema.ts';
import { dispatch } from '../state/bench-store.ts';
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
