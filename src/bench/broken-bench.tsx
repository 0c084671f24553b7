import { dispatch, useBenchState } from './bench-store.ts';

/** Shown where a part of the bench broke: the work is kept, and the last change can be undone. */
export function BrokenBench({ again }: { again: () => void }) {
  const canUndo = useBenchState((state) => state.history.past.length > 0);
  return (
    <div role="alert" className="mx-auto mt-20 max-w-[520px] rounded-card bg-paper p-8 shadow-xl">
      <h1 className="mb-2 text-[22px]">This could not be shown</h1>
      <p className="mb-5">
        Something went wrong in Vetro itself. Your design is not lost: it goes on being saved. Undo the last
        change, or try again.
      </p>
      <div className="flex flex-wrap gap-2">
        {canUndo && (
          <button type="button" className="button button-go" onClick={() => dispatch({ kind: 'undo' })}>
            Undo the last change
          </button>
        )}
        <button type="button" className="button" onClick={again}>
          Try again
        </button>
        <a href="/" className="button no-underline">
          Go to the shelf
        </a>
      </div>
    </div>
  );
}
