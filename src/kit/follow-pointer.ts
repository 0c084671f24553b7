import type { PointerEvent as ReactPointerEvent } from 'react';

/**
 * Holds a pressed pointer and hears where it goes until it is let go.
 * @param ended  hears once, whether it was let go or taken away
 */
export function followPointer(
  pressed: ReactPointerEvent,
  moved: (event: PointerEvent) => void,
  ended?: (event: PointerEvent) => void,
  element = pressed.currentTarget as HTMLElement,
): void {
  element.setPointerCapture(pressed.pointerId);
  const end = (event: PointerEvent) => {
    element.removeEventListener('pointermove', moved);
    element.removeEventListener('pointerup', end);
    element.removeEventListener('pointercancel', end);
    ended?.(event);
  };
  element.addEventListener('pointermove', moved);
  element.addEventListener('pointerup', end);
  element.addEventListener('pointercancel', end);
}
