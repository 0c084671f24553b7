import { useEffect } from 'react';
import { STEPS } from '../state/bench-state.ts';
import { dispatch } from '../state/bench-store.ts';
import { useSending } from './sending-store.ts';

/** What was typed in other steps and is not in force, when something is to be sent: to go there, or to send without it. */
export function RefusedPart() {
  const question = useSending((state) => state.question);
  // Who leaves the step may mend it there: nothing is sent, and the question is not found again.
  useEffect(() => () => useSending.getState().question?.answer(false), []);
  if (question === undefined) return null;
  const { drafts, answer } = question;
  const first = STEPS.find((step) => step === drafts[0]?.place);
  return (
    <div role="alert" className="flex flex-col gap-2 rounded-lg bg-madder-pale px-3 py-2 text-[13px]">
      <p className="font-semibold text-madder">Not sent yet: some of what was typed could not be read.</p>
      <ul className="m-0 flex list-none flex-col gap-1.5 p-0">
        {drafts.map(({ place, label, draft, sentence }) => (
          <li key={`${place} ${label} ${draft}`}>
            {place}, {label}: “{draft}” is not in force. {sentence}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        {first !== undefined && (
          <button type="button" className="button" onClick={() => dispatch({ kind: 'step', step: first })}>
            Go to {first}
          </button>
        )}
        <button type="button" className="button" onClick={() => answer(true)}>
          Send as it stands
        </button>
      </div>
    </div>
  );
}
