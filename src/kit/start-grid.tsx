import type { Design } from '../core/design/design-schema.ts';
import { ClothSwatch } from './cloth-swatch.tsx';

/** Something to begin from. */
interface Start {
  readonly key: string;
  readonly name: string;
  /** What makes it what it is. */
  readonly what: string;
}

interface StartGridProps<S extends Start> {
  /** What is said over them. */
  readonly legend?: string;
  readonly starts: readonly { readonly start: S; readonly design: Design }[];
  readonly chosen: S | undefined;
  readonly onChoose: (start: S) => void;
  /** Told when one is clicked twice: it is taken as it is. */
  readonly onTake?: () => void;
  /** CSS pixels a thread, or a millimetre. */
  readonly perThread: number;
  /** Whether swatches are taller, and more of them are seen at once. */
  readonly tall?: boolean;
}

/** Examples as small swatches; one gives its numbers. */
export function StartGrid<S extends Start>({
  legend = 'Start from',
  starts,
  chosen,
  onChoose,
  onTake,
  perThread,
  tall = false,
}: StartGridProps<S>) {
  return (
    <fieldset className="m-0 border-0 p-0">
      <legend className="label">
        {legend}
        {chosen === undefined ? '' : ` · ${chosen.name}: ${chosen.what}`}
      </legend>
      <div
        className={`grid grid-cols-[repeat(auto-fill,minmax(104px,1fr))] gap-x-2 gap-y-1 overflow-y-auto ${tall ? 'max-h-[46vh]' : 'max-h-[30vh]'}`}
      >
        {starts.map(({ start, design }) => (
          <button
            key={start.key}
            type="button"
            title={start.what}
            aria-pressed={start.key === chosen?.key}
            className={`flex flex-col items-start rounded-lg p-1.5 text-left text-[12.5px] leading-tight hover:bg-linen ${start.key === chosen?.key ? 'bg-woad-pale font-semibold text-woad' : ''}`}
            onClick={() => onChoose(start)}
            onDoubleClick={onTake}
          >
            <ClothSwatch
              design={design}
              width={92}
              height={tall ? 64 : 40}
              perThread={perThread}
              decorative
            />
            <span className="mt-1 block">{start.name}</span>
          </button>
        ))}
      </div>
    </fieldset>
  );
}
