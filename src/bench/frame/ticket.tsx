import { X } from 'lucide-react';
import { inThreads } from '../../core/design/design-facts.ts';
import { type Design, MAX_NOTES } from '../../core/design/design-schema.ts';
import { toText } from '../../core/exact/rational.ts';
import type { Mirror } from '../../core/thread/sequence.ts';
import { Measure } from '../../kit/panel.tsx';
import { VerdictMark } from '../../kit/verdict-mark.tsx';
import { wordsFor } from '../../wording/construction-words.ts';
import { sizeText } from '../../wording/measures.ts';
import { useThreadFacts } from '../bands/use-thread-facts.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { railsOf, sequenceOf } from '../state/band-edits.ts';
import { isCheckDue, verdictOf } from '../state/bench-state.ts';
import { dispatch, useBenchState, useDesign } from '../state/bench-store.ts';

/** Most shades shown as chips. */
const CHIPS = 15;

/** The card that travels with a design, pinned to a corner of the cloth. */
export function Ticket() {
  const design = useDesign();
  const range = useBenchState((state) => state.range);
  const checked = useBenchState((state) => state.checked);
  const isDue = useBenchState(isCheckDue);
  const verdict = useBenchState(verdictOf);
  const shown = useCloth((cloth) => cloth.ticket);
  const facts = useThreadFacts();
  if (!shown) return null;
  const [made, how] = wordsFor(design.construction).made(design.construction);
  return (
    <aside
      aria-label="Ticket"
      className="absolute top-[58px] right-[22px] z-20 w-[232px] rounded-t-sm rounded-b-card bg-paper px-4 pt-[30px] pb-3.5 shadow-[0_6px_22px_rgb(32_41_43/0.22)]"
    >
      <span className="-ml-[7px] absolute top-[9px] left-1/2 h-[13px] w-[13px] rounded-full bg-[#cfc7b4] shadow-[inset_0_1px_2px_rgb(0_0_0/0.35),0_0_0_3px_#ede6d6]" />
      <button
        type="button"
        aria-label="Unpin the ticket"
        className="absolute top-1 right-1 rounded p-[6px] text-ash hover:bg-linen"
        onClick={() => useCloth.setState({ ticket: false })}
      >
        <X size={14} aria-hidden="true" />
      </button>
      <h2 className="break-words text-[17px] leading-tight">{design.name}</h2>
      <p className="text-[12.5px] text-ash">
        {[design.number, range].filter((part) => part !== '').join(' · ')}
      </p>
      <dl aria-busy={isDue} className="found mt-2 mb-0 flex flex-col gap-0.5">
        {checked !== undefined && (
          <>
            {checked.report.repeat && inThreads(checked.design) && (
              <Measure name="Repeat">
                {toText(checked.report.repeat.width)} × {toText(checked.report.repeat.height)}
              </Measure>
            )}
            {checked.report.size && (
              <Measure name="Size">
                <span className="whitespace-nowrap text-[12px]">
                  {sizeText(checked.report.size, checked.design.lay.unit)}
                </span>
              </Measure>
            )}
          </>
        )}
        <Measure name={made}>{how}</Measure>
        {facts?.float !== undefined && <Measure name="Longest float">{facts.float}</Measure>}
        {railsOf(design).length > 0 && <Pivots design={design} />}
      </dl>
      <div className="mt-2.5 flex items-end gap-2">
        <div className="flex min-w-0 flex-1 flex-wrap gap-1.5">
          {design.shades.slice(0, CHIPS).map((shade) => (
            <span
              key={shade.key}
              className="chip h-5 w-5"
              title={shade.name}
              style={{ backgroundColor: shade.hex }}
            />
          ))}
        </div>
        <span className="found" aria-busy={isDue}>
          {verdict !== undefined && <VerdictMark verdict={verdict} short />}
        </span>
      </div>
      <Notes />
    </aside>
  );
}

/** What its maker wants to remember, on the ticket itself. */
function Notes() {
  const { notes } = useDesign();
  return (
    <textarea
      aria-label="Notes"
      placeholder="Notes…"
      rows={1}
      maxLength={MAX_NOTES}
      value={notes}
      className="field-sizing-content mt-2 block max-h-24 min-h-7 w-full resize-none rounded border border-transparent bg-linen/60 px-2 py-1 text-[12.5px] hover:border-rule focus:bg-white"
      onChange={(event) => {
        const typed = event.target.value;
        dispatch({ kind: 'edit', edit: (design) => ({ ...design, notes: typed }), tag: 'notes' });
      }}
      onBlur={() => dispatch({ kind: 'settle' })}
    />
  );
}

const MIRROR_WORDS: Readonly<Record<Mirror, string>> = {
  none: 'no',
  shared: 'end bands once',
  doubled: 'end bands twice',
};

function Pivots({ design }: { design: Design }) {
  const pivots = sequenceOf(design, 'warp').mirror;
  return <Measure name="Mirrored">{MIRROR_WORDS[pivots]}</Measure>;
}
