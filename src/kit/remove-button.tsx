import { Trash2 } from 'lucide-react';

interface RemoveButtonProps {
  /** What it removes, said to those who do not see it. */
  readonly label: string;
  readonly disabled?: boolean;
  readonly className?: string;
  readonly onClick: () => void;
}

export function RemoveButton({ label, disabled = false, className = '', onClick }: RemoveButtonProps) {
  return (
    <button
      type="button"
      className={`button button-plain px-1 ${className}`}
      aria-label={label}
      disabled={disabled}
      onClick={onClick}
    >
      <Trash2 size={15} aria-hidden="true" />
    </button>
  );
}
