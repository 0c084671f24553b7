import type { LucideIcon } from 'lucide-react';

/** A button of the bar. */
export interface ZoomButton {
  readonly label: string;
  readonly Icon: LucideIcon;
  readonly onClick: () => void;
}

/** Buttons in the lower right corner of what is looked at, for a mouse without a wheel and for fingers. */
export function ZoomBar({ buttons }: { buttons: readonly ZoomButton[] }) {
  return (
    <fieldset
      aria-label="Zoom"
      className="absolute right-3 bottom-3 m-0 flex overflow-hidden rounded-lg border border-rule bg-paper p-0 shadow-[0_2px_8px_rgb(32_41_43/0.18)]"
    >
      {buttons.map(({ label, Icon, onClick }) => (
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
