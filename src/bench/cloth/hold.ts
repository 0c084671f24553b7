import { type Rational, rational } from '../../core/exact/rational.ts';
import type { Place } from '../../core/shape/places.ts';
import { wayOf } from '../../kit/arrow-keys.ts';
import { followPointer } from '../../kit/follow-pointer.ts';
import { dispatch } from '../state/bench-store.ts';
import type { ClothPlaces } from './use-cloth-view.ts';

/** What is done as something is dragged: it hears how far, in millimetres, and whether nothing takes hold. */
export type Dragged = (
  by: Place,
  how: { readonly perMillimetre: number; readonly free: boolean },
  tag: string,
) => void;

/** Follows the pointer from where it is pressed; one drag is undone in one step. */
export function startDrag(
  event: React.PointerEvent<HTMLElement>,
  { perMillimetre }: ClothPlaces,
  dragged: Dragged,
  ended: () => void,
): void {
  if (event.button !== 0) return;
  event.stopPropagation();
  const from = { x: event.clientX, y: event.clientY };
  const tag = `drag-${event.timeStamp}`;
  followPointer(
    event,
    (moved) => {
      const by = {
        x: (moved.clientX - from.x) / perMillimetre,
        y: (from.y - moved.clientY) / perMillimetre,
      };
      dragged(by, { perMillimetre, free: moved.altKey }, tag);
    },
    () => {
      ended();
      dispatch({ kind: 'settle' });
    },
  );
}

/** Steps that an arrow key goes: one, ten with Shift, a tenth with Alt; undefined for other keys. */
export function stepsOfKey(
  event: React.KeyboardEvent,
): { readonly x: Rational; readonly y: Rational } | undefined {
  const way = wayOf(event.key);
  if (way === undefined) return undefined;
  const [times, parts] = event.shiftKey ? [10, 1] : event.altKey ? [1, 10] : [1, 1];
  return { x: rational(way.right * times, parts), y: rational(way.up * times, parts) };
}
