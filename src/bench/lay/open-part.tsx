import { threadFacts } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { commonMultiple } from '../../core/exact/common-multiple.ts';
import type { ThreadCut } from '../../core/repeat/check-repeat.ts';
import { closingCounts } from '../../core/thread/closing-counts.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { cutSentence } from '../../wording/verdict.ts';
import { railsOf, sequenceOf, setSequence } from '../state/band-edits.ts';
import { dispatch } from '../state/bench-store.ts';

/** Why a lay leaves threads cut, and the counts that close, each on one click. */
export function OpenPart({ design, cuts }: { readonly design: Design; readonly cuts: readonly ThreadCut[] }) {
  return (
    <div role="status" className="rounded-card bg-madder-pale px-3 py-2 text-[13px] text-madder">
      {cuts.map((cut) => (
        <div key={cut.of}>
          <p>Open: {cutSentence(cut)}</p>
          <Closing design={design} cut={cut} />
        </div>
      ))}
    </div>
  );
}

function Closing({ design, cut: { of, part } }: { readonly design: Design; readonly cut: ThreadCut }) {
  const direction = of === 'ends' ? 'warp' : 'weft';
  if (!railsOf(design).includes(direction)) return null;
  const weave = valueIfAny(() => threadFacts(design)?.[direction].weave) ?? 1;
  const sequence = sequenceOf(design, direction);
  return closingCounts(sequence, commonMultiple(weave, part)).map(({ threads, bands }) => (
    <button
      key={threads}
      type="button"
      className="button button-plain mr-2 text-woad"
      onClick={() => dispatch({ kind: 'edit', edit: setSequence(direction, { ...sequence, bands }) })}
    >
      Scale it to {threads} {of}
    </button>
  ));
}
