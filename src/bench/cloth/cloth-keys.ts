import type { KeyboardEvent } from 'react';
import { wayOf } from '../../kit/arrow-keys.ts';
import type { KeyWords } from '../state/key-list.ts';
import { panBy, zoomByLevel } from './cloth-actions.ts';

/** CSS pixels that an arrow key pans by; with Shift so many times as far. */
const STEP = 40;
const FAR = 5;

export const CLOTH_KEYS: readonly KeyWords[] = [
  { keys: 'Wheel, pinch', what: 'zoom about the pointer' },
  { keys: 'Drag', what: 'pan' },
  { keys: '+ −', what: 'zoom in, zoom out' },
  { keys: 'Arrows', what: 'pan; with Shift farther' },
];

/** Zooms and pans by the keyboard while the cloth has the focus. */
export function pressClothKey(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  const way = wayOf(event.key);
  if (way !== undefined) {
    const by = STEP * (event.shiftKey ? FAR : 1);
    // The view moves the way of the arrow, so the cloth the other way.
    panBy(-way.right * by, way.up * by);
  } else if (event.key === '+' || event.key === '=') zoomByLevel(1);
  else if (event.key === '-' || event.key === '−') zoomByLevel(-1);
  else return;
  event.preventDefault();
}
