import type { OpenedFromShelf } from './open-design.ts';
import type { OnShelf } from './use-on-shelf.ts';

interface NewerOnShelfProps {
  /** Which version of it is a copy; null where the copy is of nothing on the shelf. */
  readonly from: { readonly id: string; readonly version: number } | null;
  readonly onShelf: OnShelf;
  readonly onTake: (newer: OpenedFromShelf, from: { id: string; version: number }) => void;
}

/** Says of a copy that the shelf has a newer one, which is taken on a click, or none any more. */
export function NewerOnShelf({ from, onShelf, onTake }: NewerOnShelfProps) {
  if (onShelf === 'gone') return <p className="hint">It is no longer on the shelf; this copy stays.</p>;
  if (from === null || onShelf === undefined || onShelf.version <= from.version) return null;
  return (
    <div className="flex flex-col gap-2 rounded-lg bg-weld-pale px-3 py-2">
      <p>“{onShelf.design.name}” has changed on the shelf since.</p>
      <button
        type="button"
        className="button self-start"
        onClick={() => onTake(onShelf, { id: from.id, version: onShelf.version })}
      >
        Take the change
      </button>
    </div>
  );
}
