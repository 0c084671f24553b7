import { Minus, Plus, Scan } from 'lucide-react';
import { fitScene, zoomScene } from './scene-actions.ts';

const BUTTONS = [
  { label: 'Zoom out (−)', Icon: Minus, onClick: () => zoomScene(0.8) },
  { label: 'All of it (2)', Icon: Scan, onClick: fitScene },
  { label: 'Zoom in (+)', Icon: Plus, onClick: () => zoomScene(1.25) },
] as const;

/** Nearer, farther, and all of the drawing again. */
export function SceneZoom() {
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
