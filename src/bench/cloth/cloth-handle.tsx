import type { Place } from '../../core/shape/places.ts';
import { wayOf } from '../../kit/arrow-keys.ts';
import { followPointer } from '../../kit/follow-pointer.ts';
import { dispatch } from '../state/bench-store.ts';
import type { ClothPlaces } from './use-cloth-view.ts';

interface ClothHandleProps {
  readonly name: string;
  /** What its edits are called, so that those of one drag are undone together. */
  readonly tag: string;
  /** Millimetres on the cloth. */
  readonly at: Place;
  readonly view: ClothPlaces;
  readonly onDrag: (place: Place, tag: string) => void;
  readonly onArrow: (way: { readonly right: number; readonly up: number }, far: boolean, tag: string) => void;
}

/** A round handle on the cloth, which is dragged, or moved by the arrow keys. */
export function ClothHandle({ name, tag, at, view, onDrag, onArrow }: ClothHandleProps) {
  const { x, y } = view.toView(at);
  return (
    <button
      type="button"
      aria-label={name}
      title={`${name}: drag it, or use the arrows`}
      className="-translate-x-1/2 -translate-y-1/2 absolute h-6 w-6 cursor-move touch-none rounded-full border-2 border-paper bg-woad shadow-[0_1px_6px_rgb(32_41_43/0.45)]"
      style={{ left: x, top: y }}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        const box = event.currentTarget.parentElement!.getBoundingClientRect();
        const drag = `${tag}-${event.timeStamp}`;
        followPointer(
          event,
          ({ clientX, clientY }) =>
            onDrag(view.toCloth({ x: clientX - box.left, y: clientY - box.top }), drag),
          () => dispatch({ kind: 'settle' }),
        );
      }}
      onKeyDown={(event) => {
        const way = wayOf(event.key);
        if (way === undefined) return;
        event.preventDefault();
        event.stopPropagation();
        onArrow(way, event.shiftKey, `${tag}-keys`);
      }}
    />
  );
}
