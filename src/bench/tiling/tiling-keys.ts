import type { KeyList } from '../state/key-list.ts';

export const TILING_KEYS: KeyList = {
  where: 'On a tiling',
  keys: [
    { keys: 'Click', what: 'choose a face, a side or a corner' },
    { keys: 'Arrows', what: 'move a corner that can be dragged' },
    { keys: 'Enter on a side', what: 'grow a patch there' },
  ],
};
