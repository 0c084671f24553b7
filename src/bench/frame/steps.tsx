import { inThreads } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { equals, toDecimal } from '../../core/exact/rational.ts';
import { sceneOf } from '../../core/scene/scenes.ts';
import { parseDensity } from '../../core/units/density.ts';
import { wordsFor } from '../../wording/construction-words.ts';
import { wholeLayText } from '../../wording/lay-words.ts';
import { plural } from '../../wording/measures.ts';
import { FILE_NAMES } from '../send/send-names.ts';
import { useSend } from '../send/send-store.ts';
import { type BenchState, problemOf, reportOf, STEPS, type Step, unmadeOf } from '../state/bench-state.ts';
import { dispatch, useBenchState } from '../state/bench-store.ts';

/** The order of work as words on a running stitch, each with where it stands. */
export function Steps() {
  const current = useBenchState((state) => state.step);
  const bench = useBenchState((state) => state);
  const file = useSend((wish) => wish.file);
  return (
    <nav aria-label="Steps" className="relative flex h-[54px] px-[18px]">
      <span className="absolute right-[18px] bottom-2 left-[18px] border-rule border-b-2 border-dashed" />
      {STEPS.map((step) => (
        <button
          key={step}
          type="button"
          aria-current={step === current ? 'step' : undefined}
          className="relative flex min-w-0 flex-1 flex-col pt-1.5 text-left leading-tight"
          onClick={() => dispatch({ kind: 'step', step })}
        >
          <b className={`font-semibold ${step === current ? 'text-woad' : ''}`}>{step}</b>
          <small className="block truncate pr-3 text-[12px] text-ash">
            {step === 'Send'
              ? `${FILE_NAMES[file]}, ${bench.history.present.resolution} dpi`
              : stateOf(step, bench)}
          </small>
          {step === current && (
            <>
              <span className="absolute right-[30px] bottom-2 left-0 -mb-px border-woad border-b-[3px]" />
              <span className="absolute right-6 bottom-[5px] h-[9px] w-[9px] rotate-45 rounded-[1px] bg-woad" />
            </>
          )}
        </button>
      ))}
    </nav>
  );
}

function stateOf(step: Exclude<Step, 'Send'>, state: BenchState): string {
  const { history } = state;
  const { shades, colourways, construction, lay } = history.present;
  switch (step) {
    case 'Colours':
      return colourways.length === 0
        ? plural(shades.length, 'shade')
        : `${plural(shades.length, 'shade')}, ${plural(colourways.length, 'colourway')}`;
    case 'Build':
      return wordsFor(construction).built(construction);
    case 'Lay': {
      const laid = wholeLayText(lay);
      if (!inThreads(history.present)) return laid;
      const ends = parseDensity(lay.ends);
      const picks = parseDensity(lay.picks);
      const per = lay.per === 'in' ? 'per inch' : 'per cm';
      return equals(ends, picks)
        ? `${laid}, ${toDecimal(ends, 3)} threads ${per}`
        : `${laid}, ${toDecimal(ends, 3)} × ${toDecimal(picks, 3)} ${per}`;
    }
    case 'Check':
      return problemOf(state) === undefined && unmadeOf(state) === undefined
        ? (reportOf(state)?.verdict ?? 'Checking…')
        : wordsFor(construction).refused;
    case 'Try on':
      return tryOnText(history.present.tryOn);
    default:
      return step satisfies never;
  }
}

/** What the cloth is tried on, and how many designs besides. */
function tryOnText(tryOn: Design['tryOn']): string {
  if (tryOn === null) return 'See it in use';
  const { name } = sceneOf(tryOn.scene);
  return tryOn.cloths.length === 0 ? name : `${name}, ${plural(tryOn.cloths.length + 1, 'design')}`;
}
