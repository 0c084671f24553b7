import { Minus, Plus, Scan } from 'lucide-react';
import { zoomByLevel, zoomToThree } from './cloth-actions.ts';

/** Nearer, farther, and three repeats again, for a mouse without a wheel and for fingers. */
export function ZoomButtons() {
  return (
    <fieldset
      aria-label="Zoom"
      className="absolute right-3 bottom-3 m-0 flex overflow-hidden rounded-lg border border-rule bg-paper p-0 shadow-[0_2px_8px_rgb(32_41_43/0.18)]"
    >
      {BUTTONS.map(({ label, Icon, onClick }) => (
        <button
          key={label}
          type="button"
          aria-label={label}
          title={label}
          className="grid h-8 w-8 place-items-center hover:bg-linen"
          onClick={onClick}
        >
          <Icon size={16} aria-hidden="true" />
        </button>
      ))}
    </fieldset>
  );
}

const BUTTONS = [
  { label: 'Zoom out (−)', Icon: Minus, onClick: () => zoomByLevel(-1) },
  { label: 'Three repeats (2)', Icon: Scan, onClick: zoomToThree },
  { label: 'Zoom in (+)', Icon: Plus, onClick: () => zoomByLevel(1) },
] as const;
