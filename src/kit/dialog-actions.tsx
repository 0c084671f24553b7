import type { ReactNode } from 'react';

interface DialogActionsProps {
  readonly action: string;
  readonly disabled: boolean;
  readonly onClose: () => void;
  /** What stands at the other end of the line. */
  readonly children?: ReactNode;
}

/** The two ways out of a form in a dialog: leave it, or do what it says. */
export function DialogActions({ action, disabled, onClose, children }: DialogActionsProps) {
  return (
    <div className="flex justify-end gap-2">
      {children}
      <button type="button" className="button" onClick={onClose}>
        Cancel
      </button>
      <button type="submit" className="button button-go" disabled={disabled}>
        {action}
      </button>
    </div>
  );
}
