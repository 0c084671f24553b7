import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { goToRefused } from './fields/refused-drafts.ts';

interface DialogProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  readonly children: ReactNode;
  readonly wide?: boolean;
  /** As much room as the window has. */
  readonly full?: boolean;
}

/** A paper slip over the bench. */
export function Dialog({ open, onOpenChange, title, children, wide = false, full = false }: DialogProps) {
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/35" />
        <Radix.Content
          aria-describedby={undefined}
          onSubmitCapture={(event) => {
            // Nothing is done with a field that is refused: it is gone to.
            if (!goToRefused(event.currentTarget, false)) return;
            event.preventDefault();
            event.stopPropagation();
          }}
          className={`-translate-x-1/2 -translate-y-1/2 fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[92vw] overflow-auto rounded-card bg-paper p-6 shadow-xl outline-none ${full ? 'max-w-[1120px]' : wide ? 'max-w-[860px]' : 'max-w-[440px]'}`}
        >
          <Radix.Title className="mb-3 text-xl">{title}</Radix.Title>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
