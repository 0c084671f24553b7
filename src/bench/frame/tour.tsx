import { X } from 'lucide-react';
import { STEPS, type Step } from '../state/bench-state.ts';
import { dispatch, useBenchState } from '../state/bench-store.ts';

/** What each step is for, said to those who are new. */
const WORDS: Readonly<Record<Step, string>> = {
  Colours: 'The shade card. Give each shade a colour and a name; a change shows wherever it is used.',
  Build: 'The numbers of the design. Type counts or widths, or take hold of the bands along the cloth.',
  Lay: 'How repeats lie, and how close the threads are. The true size follows from it.',
  Check: 'Does it repeat? The proof in numbers and in pixels, and by how much it misses if it does.',
  'Try on':
    'See the cloth in use: a cushion, a dress, letters, a room, at true size, bent and matched at its seams. The design stays as it is.',
  Send: 'One repeat, a sheet of any size, or the numbers themselves, as a file.',
};

/** A short tour of the steps, over the panel of each; it goes along with the bench and can be left at any time. */
export function Tour({ onLeave }: { onLeave: () => void }) {
  const step = useBenchState((state) => state.step);
  const at = STEPS.indexOf(step);
  const go = (to: number) => dispatch({ kind: 'step', step: STEPS[to]! });
  return (
    <aside
      aria-label="Tour of the steps"
      className="m-3 mb-0 rounded-card border border-woad/40 bg-woad-pale/50 p-3"
    >
      <div className="flex items-center justify-between">
        <h2 className="text-[16px]">
          {step}{' '}
          <span className="font-normal font-text text-[12.5px] text-ash">
            step {at + 1} of {STEPS.length}
          </span>
        </h2>
        <button
          type="button"
          aria-label="Leave the tour"
          className="button button-plain px-1"
          onClick={onLeave}
        >
          <X size={15} aria-hidden="true" />
        </button>
      </div>
      <p aria-live="polite" className="mt-1 mb-2 text-[13px]">
        {WORDS[step]}
      </p>
      <div className="flex items-center gap-2">
        <button type="button" className="button" disabled={at === 0} onClick={() => go(at - 1)}>
          Back
        </button>
        {at < STEPS.length - 1 ? (
          <button type="button" className="button button-go" onClick={() => go(at + 1)}>
            Next
          </button>
        ) : (
          <button type="button" className="button button-go" onClick={onLeave}>
            Done
          </button>
        )}
        <span className="hint ml-auto">Ctrl K calls it again</span>
      </div>
    </aside>
  );
}
