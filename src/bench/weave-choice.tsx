import { useEffect, useId, useRef, useState } from 'react';
import { formatTwill, interlace, parseTwill, type Twill, twillName } from '../core/thread/weave.ts';
import { errorSentence } from '../wording/error-sentence.ts';
import { dispatch } from './bench-store.ts';
import { setWeave } from './design-edits.ts';
import { usePlaid } from './use-construction.ts';

/** Interlacings at hand; any other a/b can be typed. */
const OFFERED: readonly Twill[] = [
  { over: 1, under: 1, hand: 'Z' },
  { over: 2, under: 2, hand: 'Z' },
  { over: 2, under: 2, hand: 'S' },
  { over: 2, under: 1, hand: 'Z' },
  { over: 3, under: 1, hand: 'Z' },
];

/** How the sequences are crossed. */
export function WeaveChoice() {
  const { weave } = usePlaid().construction;
  const id = useId();
  const [draft, setDraft] = useState<string>();
  const problem = draft === undefined ? undefined : sentenceOf(draft);
  const choose = (twill: Twill, tag?: string) =>
    dispatch({ kind: 'edit', edit: setWeave(twill), ...(tag === undefined ? {} : { tag }) });
  return (
    <div>
      <span className="label">Woven as</span>
      <div className="flex gap-2">
        {OFFERED.map((twill) => {
          const chosen = formatTwill(twill) === formatTwill(weave);
          return (
            <button
              key={formatTwill(twill)}
              type="button"
              aria-pressed={chosen}
              title={twillName(twill)}
              className={`w-[54px] rounded-md text-center text-[11.5px] ${chosen ? 'font-semibold text-woad' : 'text-ash'}`}
              onClick={() => {
                setDraft(undefined);
                choose(twill);
              }}
            >
              <PointPaper twill={twill} chosen={chosen} />
              {formatTwill(twill) === 'plain' ? 'Plain' : formatTwill(twill).replace(/([ZS])/, ' $1')}
            </button>
          );
        })}
      </div>
      <label htmlFor={id} className="label mt-3">
        Any other twill
      </label>
      <input
        id={id}
        className="field numbers"
        value={draft ?? formatTwill(weave)}
        aria-invalid={problem !== undefined}
        onChange={(event) => {
          setDraft(event.target.value);
          if (sentenceOf(event.target.value) === undefined) choose(parseTwill(event.target.value), 'weave');
        }}
        onBlur={() => {
          if (problem === undefined) setDraft(undefined);
          dispatch({ kind: 'settle' });
        }}
      />
      {problem !== undefined && <p className="mt-1 text-[12.5px] text-madder">{problem}</p>}
    </div>
  );
}

function sentenceOf(text: string): string | undefined {
  try {
    parseTwill(text);
    return undefined;
  } catch (error) {
    return errorSentence(error) ?? 'That is not a weave.';
  }
}

/** Threads of the little drawing each way. */
const DRAWN = 12;

/** The interlacing on squared paper: dark where the warp lies on top, the first pick at the bottom. */
function PointPaper({ twill, chosen }: { twill: Twill; chosen: boolean }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current!.getContext('2d')!;
    const { ends, picks, up } = interlace(twill);
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
      className={`block h-[54px] w-[54px] rounded-md border border-rule bg-white [image-rendering:pixelated] ${chosen ? 'ring-[2.5px] ring-woad' : ''}`}
    />
  );
}
