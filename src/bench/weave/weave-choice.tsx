import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { buildWeave } from '../../core/thread/weaves/build-weave.ts';
import type { WeaveSpec } from '../../core/thread/weaves/weave-spec.ts';
import { formatWeave, parseWeave, weaveName } from '../../core/thread/weaves/weave-text.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { attempt } from '../../wording/attempt.ts';
import { lateSentence } from '../../wording/verdict.ts';
import { useThreadFacts } from '../bands/use-thread-facts.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { dispatch } from '../state/bench-store.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { StructureTools } from './structure-tools.tsx';
import { setWeave } from './weave-edits.ts';
import { WeaveRuleFields } from './weave-rule.tsx';

/** Interlacings at hand; any other a/b can be typed. */
const OFFERED: readonly WeaveSpec[] = [
  { kind: 'twill', over: 1, under: 1, hand: 'Z' },
  { kind: 'twill', over: 2, under: 2, hand: 'Z' },
  { kind: 'twill', over: 2, under: 2, hand: 'S' },
  { kind: 'twill', over: 2, under: 1, hand: 'Z' },
  { kind: 'twill', over: 3, under: 1, hand: 'Z' },
];

/** How the sequences are crossed. */
export function WeaveChoice() {
  const { weave } = useDesignOf('plaid').construction;
  const drafting = useCloth((cloth) => cloth.draft);
  const id = useId();
  const [draft, setDraft] = useState<string>();
  const problem = useMemo(() => (draft === undefined ? undefined : problemOf(draft)), [draft]);
  const facts = useThreadFacts();
  const late =
    facts !== undefined &&
    (lateSentence(facts.warp, 'end') !== undefined || lateSentence(facts.weft, 'pick') !== undefined);
  const choose = (twill: WeaveSpec, tag?: string) =>
    dispatch({ kind: 'edit', edit: setWeave(twill), ...(tag === undefined ? {} : { tag }) });
  return (
    <div>
      <span className="label">Woven as</span>
      <div className="grid grid-cols-5 gap-1.5">
        {OFFERED.map((twill) => {
          const chosen = formatWeave(twill) === formatWeave(weave);
          return (
            <button
              key={formatWeave(twill)}
              type="button"
              aria-pressed={chosen}
              title={weaveName(twill)}
              className={`rounded-md text-center text-[11.5px] ${chosen ? 'font-semibold text-woad' : 'text-ash'}`}
              onClick={() => {
                setDraft(undefined);
                choose(twill);
              }}
            >
              <PointPaper twill={twill} chosen={chosen} />
              {formatWeave(twill) === 'plain' ? 'Plain' : formatWeave(twill).replace(/([ZS])/, ' $1')}
            </button>
          );
        })}
      </div>
      <div className="mt-3">
        <WeaveRuleFields />
      </div>
      <label htmlFor={id} className="label mt-3">
        Any other weave
      </label>
      <input
        id={id}
        className="field numbers"
        value={draft ?? formatWeave(weave)}
        aria-invalid={problem !== undefined}
        onChange={(event) => {
          setDraft(event.target.value);
          const read = attempt(() => parseWeave(event.target.value));
          if ('value' in read) choose(read.value, 'weave');
        }}
        onBlur={() => {
          if (problem === undefined) setDraft(undefined);
          dispatch({ kind: 'settle' });
        }}
      />
      {problem !== undefined && <p className="mt-1 text-[12.5px] text-madder">{problem}</p>}
      {late && (
        <p className="mt-1 text-[12.5px] text-weld">
          This weave and the sequences come round together only late; counts that close sooner stand with
          each.
        </p>
      )}
      <p className="hint mt-1">
        As text, to copy or to type: 3/1/1/2 S, satin 8/3, herringbone 2/2 8, blocks AAB ABB; A = satin 5/2; B
        = 2/2, rows ##.. .##. ..## #..#
      </p>
      <div className="mt-2">
        <CheckField text="Show the draft" on={drafting} onChange={(on) => useCloth.setState({ draft: on })} />
      </div>
      {drafting && <StructureTools />}
    </div>
  );
}

function problemOf(text: string): string | undefined {
  const read = attempt(() => parseWeave(text));
  return 'problem' in read ? read.problem : undefined;
}

/** Threads of the little drawing each way. */
const DRAWN = 12;

/** The interlacing on squared paper: dark where the warp lies on top, the first pick at the bottom. */
function PointPaper({ twill, chosen }: { twill: WeaveSpec; chosen: boolean }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current!.getContext('2d')!;
    const { ends, picks, up } = buildWeave(twill);
    context.clearRect(0, 0, DRAWN, DRAWN);
    context.fillStyle = '#20292b';
    for (let pick = 0; pick < DRAWN; pick += 1) {
      for (let end = 0; end < DRAWN; end += 1) {
        if (up[(pick % picks) * ends + (end % ends)] === 1) context.fillRect(end, DRAWN - 1 - pick, 1, 1);
      }
    }
  }, [twill]);
  return (
    <canvas
      ref={canvas}
      width={DRAWN}
      height={DRAWN}
      aria-hidden="true"
      className={`block aspect-square w-full max-w-[58px] rounded-md border border-rule bg-white [image-rendering:pixelated] ${chosen ? 'ring-[2.5px] ring-woad' : ''}`}
    />
  );
}
