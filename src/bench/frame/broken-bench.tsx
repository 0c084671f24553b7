import { BrokenPart } from '../../kit/broken-part.tsx';
import { dispatch, useBenchState } from '../state/bench-store.ts';

/** Shown where a part of the bench broke: the work is kept, and the last change can be undone. */
export function BrokenBench({ again }: { again: () => void }) {
  const canUndo = useBenchState((state) => state.history.past.length > 0);
  return (
    <BrokenPart
      words="Your design is not lost: it goes on being saved. Undo the last change, or try again."
      again={again}
    >
      {canUndo && (
        <button type="button" className="button button-go" onClick={() => dispatch({ kind: 'undo' })}>
          Undo the last change
        </button>
      )}
    </BrokenPart>
  );
}
