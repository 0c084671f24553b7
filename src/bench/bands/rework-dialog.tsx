import { useMemo, useState } from 'react';
import type { Shade } from '../../core/colour/shade.ts';
import type { Direction } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { formatBandWidths } from '../../core/design/exchange/write-stripe-text.ts';
import { exactDecimal } from '../../core/exact/exact-decimal.ts';
import { multiply, type Rational, rational } from '../../core/exact/rational.ts';
import { formatThreadCount } from '../../core/formats/thread-count.ts';
import { typedThreads } from '../../core/thread/band.ts';
import { checkSequence, layOut, type Sequence } from '../../core/thread/sequence.ts';
import { Dialog } from '../../kit/dialog.tsx';
import { DialogActions } from '../../kit/dialog-actions.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { type Attempt, attempt } from '../../wording/attempt.ts';
import { plural } from '../../wording/measures.ts';
import { measuresOf, railsOf, sequenceOf, setSequence } from '../state/band-edits.ts';
import { dispatch, useBenchState, useDesign } from '../state/bench-store.ts';
import { onCard } from '../state/shade-edits.ts';
import { ReworkFields } from './rework-fields.tsx';
import { REWORKS, type Rework, type ReworkResult, type ReworkWish, rework } from './rework-wish.ts';

const NAMES: Readonly<Record<Rework, string>> = {
  run: 'Graduated bands',
  line: 'An overcheck line',
  scale: 'Scale',
  fit: 'Fit repeats to a width',
  reverse: 'Reverse',
  rotate: 'Start at a later band',
  repeat: 'Repeat',
  space: 'A spacer between bands',
  trade: 'Swap two shades',
};

/** Reworks a whole sequence by a rule; what comes of it is shown before it is taken. */
export function ReworkDialog({ direction, onClose }: { direction: Direction; onClose: () => void }) {
  const design = useDesign();
  const selected = useBenchState((state) => state.selection?.band ?? 0);
  const sequence = sequenceOf(design, direction);
  const measured = measuresOf(design);
  const [wish, setWish] = useState<ReworkWish>(() => firstWish(design.shades, sequence, selected));
  const made = useMemo(() => attempt(() => reworked(design, direction, wish)), [design, direction, wish]);
  const set = (change: Partial<ReworkWish>) => setWish((old) => ({ ...old, ...change }));
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={railsOf(design).length === 1 ? 'Rework the bands' : `Rework the ${direction}`}
      wide
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if ('problem' in made) return;
          const { bands, step, shades } = made.value;
          const next = { mirror: sequence.mirror, bands, ...(step !== undefined && { step }) };
          dispatch({ kind: 'edit', edit: onCard(shades, setSequence(direction, next)) });
          onClose();
        }}
      >
        <div className="grid grid-cols-[220px_minmax(0,1fr)] gap-6">
          <fieldset className="m-0 flex flex-col border-0 p-0" aria-label="What to do">
            {REWORKS.map((kind) => (
              <label key={kind} className="flex items-center gap-2 rounded px-2 py-1 hover:bg-linen">
                <input
                  type="radio"
                  name="rework"
                  className="accent-woad"
                  checked={wish.kind === kind}
                  onChange={() => set({ kind })}
                />
                {NAMES[kind]}
              </label>
            ))}
          </fieldset>
          <div className="flex flex-col gap-3">
            {wish.kind === 'run' && (
              <Choice
                label="Growing"
                value={wish.growth}
                options={[
                  { value: 'arithmetic', text: 'By a step' },
                  { value: 'geometric', text: 'By a ratio' },
                  { value: 'fibonacci', text: 'Fibonacci' },
                ]}
                onChange={(growth) => set({ growth })}
              />
            )}
            <ReworkFields
              wish={wish}
              shades={design.shades}
              unit={measured?.unit ?? 'thread'}
              onChange={set}
            />
          </div>
        </div>
        <Outcome sequence={sequence} made={made} />
        <DialogActions action="Apply" disabled={'problem' in made} onClose={onClose} />
      </form>
    </Dialog>
  );
}

function firstWish(shades: readonly { key: string }[], { bands }: Sequence, selected: number): ReworkWish {
  const before = typedThreads(bands.slice(0, selected));
  const shade = bands[selected]!.shade;
  return {
    kind: 'run',
    growth: 'arithmetic',
    first: '2',
    by: '2',
    bands: '6',
    times: '2',
    factor: '3/2',
    at: String(before + Math.floor(Math.max(0, bands[selected]!.count - 2) / 2)),
    count: '2',
    width: '60 in',
    larger: false,
    shade: shades.find(({ key }) => key !== shade)?.key ?? shade,
    other: shade,
    colour: '#c79a3b',
    atWrap: true,
  };
}

/** The rework's result, also refused when it could not be laid out. */
function reworked(design: Design, direction: Direction, wish: ReworkWish): ReworkResult {
  const result = rework(design, direction, wish);
  checkSequence({ bands: result.bands, mirror: sequenceOf(design, direction).mirror });
  return result;
}

function Outcome({ sequence, made }: { sequence: Sequence; made: Attempt<ReworkResult> }) {
  const design = useDesign();
  const { shades } = design;
  const measures = measuresOf(design);
  return (
    <div aria-live="polite" className="flex flex-col gap-2 border-rule border-t pt-3">
      <span className="label mb-0">Now</span>
      <Strip sequence={sequence} shades={shades} step={measures?.step} />
      <span className="label mb-0">After</span>
      {'problem' in made ? (
        <p className="rounded-lg bg-madder-pale px-3 py-2 text-madder">{made.problem}</p>
      ) : (
        <>
          <Strip
            sequence={{ mirror: sequence.mirror, bands: made.value.bands }}
            shades={made.value.shades}
            step={made.value.step}
          />
          {made.value.note !== '' && <p className="hint">{made.value.note}</p>}
        </>
      )}
    </div>
  );
}

function widthText(count: number, step: Rational): string {
  return exactDecimal(multiply(rational(count), step));
}

/** Most blocks that a strip shows. */
const BLOCKS = 400;

interface StripProps {
  readonly sequence: Sequence;
  readonly shades: readonly Shade[];
  /** What one count is, in the unit of measured bands. */
  readonly step: Rational | undefined;
}

/** A sequence as a strip of its bands, in proportion, with its counts or widths as text. */
function Strip({ sequence, shades, step }: StripProps) {
  const unit = measuresOf(useDesign())?.unit;
  const laid = layOut(sequence);
  const threads = laid.at(-1)!.start + laid.at(-1)!.count;
  return (
    <div>
      <div className="flex h-7 overflow-hidden rounded-md" aria-hidden="true">
        {laid.slice(0, BLOCKS).map((band) => (
          <span
            key={band.start}
            className={band.reflected ? 'reflected' : ''}
            style={{
              flexGrow: band.count,
              backgroundColor: shades.find(({ key }) => key === band.shade)?.hex,
            }}
          />
        ))}
      </div>
      <p className="numbers mt-1 max-h-16 overflow-y-auto">
        {step === undefined
          ? formatThreadCount(sequence)
          : formatBandWidths({
              mirror: sequence.mirror,
              bands: sequence.bands.map(({ shade, count }) => ({ shade, width: widthText(count, step) })),
            })}{' '}
        <span className="font-text text-ash">
          · {step === undefined ? plural(threads, 'thread') : `${widthText(threads, step)} ${unit}`} laid out
        </span>
      </p>
    </div>
  );
}
