import { followPointer } from '../../kit/follow-pointer.ts';
import { panBy } from './cloth-actions.ts';
import { useCloth } from './cloth-store.ts';

/** CSS pixels that a pointer may stray and still have clicked. */
const STRAY = 4;

/**
 * Pans the cloth with the pointer, by its first or its middle button.
 * @param clicked  called when the first button came up again where it went down
 */
export function panCloth(event: React.PointerEvent<HTMLElement>, clicked?: () => void): void {
  const { button } = event;
  if (button !== 0 && button !== 1) return;
  const from = { x: event.clientX, y: event.clientY };
  let last = from;
  // Without anything to click, the cloth follows from the first pixel on.
  let panning = clicked === undefined || button === 1;
  followPointer(
    event,
    (moved) => {
      panning ||= Math.hypot(moved.clientX - from.x, moved.clientY - from.y) > STRAY;
      if (!panning) return;
      const by = { x: moved.clientX - last.x, y: moved.clientY - last.y };
      last = { x: moved.clientX, y: moved.clientY };
      if (!useCloth.getState().pinching) panBy(by.x, by.y);
    },
    () => {
      if (!panning) clicked?.();
    },
  );
}
