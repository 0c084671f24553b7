import type { KeyList } from '../state/key-list.ts';

export const MOTIF_KEYS: KeyList = {
  where: 'On a motif',
  keys: [
    { keys: 'Click', what: 'choose a piece; again, the next below' },
    { keys: 'Shift or Ctrl click', what: 'choose one more' },
    { keys: 'Shift or Ctrl drag', what: 'choose what lies in a rectangle' },
    { keys: 'Arrows on a knob', what: 'a step; ten with Shift, a tenth with Alt' },
    { keys: 'Alt and a drag', what: 'nothing takes hold' },
    { keys: 'Ctrl C, Ctrl V', what: 'in the list: copy pieces, paste them' },
  ],
};
