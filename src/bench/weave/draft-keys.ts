import type { Interlacing } from '../../core/thread/weave.ts';
import { wayOf } from '../../kit/arrow-keys.ts';
import { dispatch } from '../state/bench-store.ts';
import type { KeyList } from '../state/key-list.ts';
import { reachOf, workCell } from './draft-work.ts';

export const DRAFT_KEYS: KeyList = {
  where: 'On a draft',
  keys: [
    { keys: 'Arrows', what: 'go over the drawdown' },
    { keys: 'Space', what: 'raise or lower the warp there' },
    { keys: 'Shift, Alt', what: 'work a whole pick, a whole end' },
  ],
};

/** A place of the drawdown. */
export interface DraftCursor {
  readonly end: number;
  readonly pick: number;
}

/** A key on a draft: where the cursor then stands; undefined when it is another key. */
export function pressDraftKey(
  event: React.KeyboardEvent,
  cursor: DraftCursor | undefined,
  { ends, picks, up }: Interlacing,
): DraftCursor | undefined {
  const at = cursor ?? { end: 0, pick: 0 };
  const way = wayOf(event.key);
  if (way !== undefined) {
    event.preventDefault();
    return { end: (at.end + way.right + ends) % ends, pick: (at.pick + way.up + picks) % picks };
  }
  if (event.key !== ' ') return undefined;
  event.preventDefault();
  const on = up[at.pick * ends + at.end] === 0;
  workCell({ part: 'drawdown', across: at.end, up: at.pick }, on, 'draft-key', reachOf(event));
  dispatch({ kind: 'settle' });
  return at;
}
