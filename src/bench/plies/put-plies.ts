import type { PlySpec } from '../../core/design/plies/plies-schema.ts';
import { dispatch } from '../state/bench-store.ts';
import { changing } from '../state/design-edits.ts';
import { changePly } from './plies-edits.ts';

/** Changes the list of plies. */
export function putPlies(plies: PlySpec[]): void {
  dispatch({ kind: 'edit', edit: changing('plies', () => ({ plies })) });
}

/** Changes one ply; changes of one tag that follow each other are undone together. */
export function putPly(at: number, change: Partial<PlySpec>, tag?: string): void {
  dispatch({
    kind: 'edit',
    edit: changePly(at, (ply) => ({ ...ply, ...change })),
    ...(tag === undefined ? {} : { tag: `ply-${at}-${tag}` }),
  });
}
