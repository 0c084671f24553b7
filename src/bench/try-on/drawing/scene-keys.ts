import type { KeyWords } from '../../state/key-list.ts';

/** What the hand and the keys do on a scene. */
export const SCENE_KEYS: readonly KeyWords[] = [
  { keys: 'Click', what: 'choose a part' },
  { keys: 'Drag', what: 'move the chosen part’s cloth; elsewhere, pan' },
  { keys: 'Arrows', what: 'move the cloth by a millimetre; with Shift ten, with Alt a tenth' },
  { keys: '+ − Home', what: 'zoom in, zoom out, all of it' },
];
