import type { LucideIcon } from 'lucide-react';

interface IconButtonProps {
  readonly name: string;
  /** What does the same by keyboard. */
  readonly keys?: string;
  readonly icon: LucideIcon;
  readonly disabled?: boolean;
  readonly onClick: () => void;
}

/** A button of a header that shows its icon alone; its name and keys show where the pointer rests. */
export function IconButton({ name, keys, icon: Icon, disabled = false, onClick }: IconButtonProps) {
  return (
    <button
      type="button"
      className="button button-plain"
      aria-label={name}
      title={keys === undefined ? name : `${name} (${keys})`}
      disabled={disabled}
      onClick={onClick}
    >
      <Icon size={17} aria-hidden="true" />
    </button>
  );
}
