import type { RefusedDraft } from '../../kit/fields/refused-drafts.ts';
import { STEPS } from '../state/bench-state.ts';
import { dispatch } from '../state/bench-store.ts';
import { send } from './send-file.ts';
import { useSending } from './sending-store.ts';

/** What was typed in other steps and is not in force, when a file is asked for: to go there, or to send without it. */
export function RefusedPart() {
  const refused = useSending((state) => state.refused);
  if (refused.length === 0) return null;
  return (
    <div role="alert" className="flex flex-col gap-2 rounded-lg bg-madder-pale px-3 py-2 text-[13px]">
      <p className="font-semibold text-madder">Not sent yet: some of what was typed could not be read.</p>
      <ul className="m-0 flex list-none flex-col gap-1.5 p-0">
        {refused.map((each) => (
          <li key={`${each.place} ${each.label} ${each.draft}`}>
            {each.place}, {each.label}: “{each.draft}” is not in force, “{each.stored}” is. {each.sentence}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => goTo(refused[0]!)}>
          Go to {refused[0]!.place}
        </button>
        <button type="button" className="button" onClick={() => void send(true)}>
          Send as it stands
        </button>
      </div>
    </div>
  );
}

function goTo({ place }: RefusedDraft): void {
  const step = STEPS.find((each) => each === place);
  useSending.setState({ refused: [] });
  if (step !== undefined) dispatch({ kind: 'step', step });
}
