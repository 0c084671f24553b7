import type { Shade } from '../core/colour/shade.ts';
import type { Design } from '../core/design/design-schema.ts';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import type { ShadeChanges } from './begun-card.ts';
import { NewCard } from './new-card.tsx';

export interface NewPreviewProps {
  /** What is made so far; undefined while it cannot be. */
  readonly design: Design | undefined;
  /** CSS pixels a thread, or a millimetre. */
  readonly perThread: number;
  /** What is said of it. */
  readonly words: string;
  /** Said while there is nothing to be seen. */
  readonly waiting: string;
  /** The shades that can be changed. */
  readonly shades: readonly Shade[];
  readonly changes: ShadeChanges;
  readonly onChange: (changes: ShadeChanges) => void;
}

/** The cloth that is begun, and its shades beside it. */
export function NewPreview({
  design,
  perThread,
  words,
  waiting,
  shades,
  changes,
  onChange,
}: NewPreviewProps) {
  return (
    <div className="flex flex-col gap-2">
      {design === undefined ? (
        <div className="grid h-[132px] w-[220px] place-items-center rounded border border-rule border-dashed p-4 text-center text-ash">
          {waiting}
        </div>
      ) : (
        <ClothSwatch design={design} width={220} height={132} perThread={perThread} />
      )}
      <p className="hint">{design === undefined ? '' : words}</p>
      <NewCard shades={shades} changes={changes} onChange={onChange} />
    </div>
  );
}
