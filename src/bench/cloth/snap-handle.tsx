import { useState } from 'react';
import type { Rational } from '../../core/exact/rational.ts';
import type { Place } from '../../core/shape/places.ts';
import { type Dragged, startDrag, stepsOfKey } from './hold.ts';
import type { ClothPlaces } from './use-cloth-view.ts';

interface SnapHandleProps {
  readonly label: string;
  readonly title: string;
  readonly at: Place;
  readonly view: ClothPlaces;
  /** Of the knob, and of the pointer over it. */
  readonly className: string;
  readonly cursor: string;
  readonly dragged: (...of: Parameters<Dragged>) => readonly (string | undefined)[];
  readonly moved: (by: { readonly x: Rational; readonly y: Rational }) => void;
}

/** A knob on the cloth: dragged, it says what it lies on; the arrow keys move it by steps. */
export function SnapHandle({ label, title, at, view, className, cursor, dragged, moved }: SnapHandleProps) {
  const [snapped, setSnapped] = useState('');
  const place = view.toView(at);
  return (
    <>
      <button
        type="button"
        aria-label={label}
        title={title}
        className={`-translate-x-1/2 -translate-y-1/2 absolute flex h-6 w-6 touch-none items-center justify-center rounded-full bg-transparent p-0 ${cursor}`}
        style={{ left: place.x, top: place.y }}
        onPointerDown={(event) =>
          startDrag(
            event,
            view,
            (...how) => {
              const on = dragged(...how).filter((each) => each !== undefined);
              setSnapped([...new Set(on)].join(', '));
            },
            () => setSnapped(''),
          )
        }
        onKeyDown={(event) => {
          const by = stepsOfKey(event);
          if (by === undefined) return;
          event.preventDefault();
          event.stopPropagation();
          moved(by);
        }}
      >
        <span
          className={`border-2 border-paper bg-woad shadow-[0_1px_6px_rgb(32_41_43/0.45)] ${className}`}
        />
      </button>
      {snapped !== '' && (
        <span
          className="pointer-events-none absolute rounded bg-ink px-1.5 py-0.5 text-[12px] text-paper"
          style={{ left: place.x + 16, top: place.y + 12 }}
        >
          {snapped}
        </span>
      )}
    </>
  );
}
