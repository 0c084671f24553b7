import type { ReactNode } from 'react';
import type { Design } from '../core/design/design-schema.ts';
import { NewPreview, type NewPreviewProps } from './new-preview.tsx';

/** What every form that begins a design is given. */
export interface NewFormProps<D> {
  readonly onClose: () => void;
  readonly onMake: (design: D) => void;
}

interface StartFormProps<D extends Design> {
  /** What is made so far; undefined while it cannot be. */
  readonly design: D | undefined;
  /** How it is shown, beside what is typed. */
  readonly preview: Omit<NewPreviewProps, 'design'>;
  readonly onClose: () => void;
  readonly onMake: (design: D) => void;
  readonly children: ReactNode;
}

/** What a design is begun from, what comes of it, and the two ways out: leave it, or take it to the bench. */
export function StartForm<D extends Design>({
  design,
  preview,
  onClose,
  onMake,
  children,
}: StartFormProps<D>) {
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (design !== undefined) onMake(design);
      }}
    >
      <div className="grid grid-cols-[minmax(0,1fr)_220px] gap-6 max-[640px]:grid-cols-1">
        <div className="flex min-w-0 flex-col gap-3">{children}</div>
        <NewPreview design={design} {...preview} />
      </div>
      <div className="-mx-6 -mb-6 sticky -bottom-6 flex justify-end gap-2 border-rule border-t bg-paper px-6 py-3">
        <button type="button" className="button" onClick={onClose}>
          Cancel
        </button>
        <button type="submit" className="button button-go" disabled={design === undefined}>
          Create
        </button>
      </div>
    </form>
  );
}
