import type { Design } from '../../core/design/design-schema.ts';
import type { Arrangement } from '../../core/design/lay/lay-schema.ts';
import { withStep } from '../../core/design/lay/with-step.ts';
import type { ThreadCut } from '../../core/repeat/check-repeat.ts';
import { cutSentence } from '../../wording/verdict.ts';
import { sequenceOf, setSequence } from '../state/band-edits.ts';
import { dispatch } from '../state/bench-store.ts';
import { putLay } from './lay-edits.ts';

/** Why a lay leaves threads cut, and the counts that close, each on one click. */
export function OpenPart({ design, cuts }: { readonly design: Design; readonly cuts: readonly ThreadCut[] }) {
  return (
    <div role="status" className="rounded-card bg-madder-pale px-3 py-2 text-[13px] text-madder">
      {cuts.map((cut) => (
        <div key={`${cut.ply} ${cut.of}`}>
          <p>Open: {cutSentence(cut)}</p>
          <Closing design={design} cut={cut} />
        </div>
      ))}
    </div>
  );
}

function Closing({ design, cut }: { readonly design: Design; readonly cut: ThreadCut }) {
  const { of, closing, steps } = cut;
  const direction = of === 'ends' ? 'warp' : 'weft';
  const put = (arrangement: Arrangement | undefined) => arrangement && putLay({ arrangement });
  return (
    <p className="m-0 flex flex-wrap gap-2">
      {closing.map(({ threads, bands }) => (
        <button
          key={threads}
          type="button"
          className="button button-plain text-woad"
          onClick={() =>
            dispatch({
              kind: 'edit',
              edit: setSequence(direction, { ...sequenceOf(design, direction), bands }),
            })
          }
        >
          Scale it to {threads} {of}
        </button>
      ))}
      {steps.map((by) => (
        <button
          key={by}
          type="button"
          className="button button-plain text-woad"
          onClick={() => put(withStep(design.lay.arrangement, of, by))}
        >
          Step by {by}
        </button>
      ))}
    </p>
  );
}
