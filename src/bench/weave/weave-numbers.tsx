import { HANDS, type Hand } from '../../core/thread/weave.ts';
import { satinSteps } from '../../core/thread/weaves/satin-steps.ts';
import { checkedWeave, onEnds, parseLine } from '../../core/thread/weaves/weave-rules.ts';
import type { WeaveSpec } from '../../core/thread/weaves/weave-spec.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { whole } from '../../kit/fields/whole.ts';
import { dispatch } from '../state/bench-store.ts';
import { setWeave } from './weave-edits.ts';

/** Puts a weave into the design. */
export function putWeave(weave: WeaveSpec, tag?: string): void {
  dispatch({ kind: 'edit', edit: setWeave(weave), ...(tag === undefined ? {} : { tag }) });
}

interface FieldProps {
  readonly label: string;
  readonly text: string;
  /** The weave that a text comes to, or a CoreError. */
  readonly made: (text: string) => WeaveSpec;
}

/** One number, or a line of them; what cannot be woven is told and not taken. */
function Field({ label, text, made }: FieldProps) {
  return (
    <NumberField
      label={label}
      text={text}
      resolve={(typed) => {
        checkedWeave(made(typed));
        return typed.trim();
      }}
      onChange={(typed) => putWeave(made(typed), `weave-${label}`)}
    />
  );
}

/** The numbers of a weave's rule; what cannot be woven is told and not taken. */
export function WeaveNumbers({ weave }: { weave: WeaveSpec }) {
  switch (weave.kind) {
    case 'twill':
    case 'line':
      return (
        <TwillNumbers
          line={weave.kind === 'line' ? weave : { ...weave, line: [weave.over, weave.under], step: 1 }}
        />
      );
    case 'steps':
      return (
        <>
          <LineField weave={weave} />
          <Field
            label="Ends that each pick moves on"
            text={weave.steps.join(' ')}
            made={(text) => ({
              ...weave,
              steps: text
                .trim()
                .split(/[\s,]+/)
                .map(wholeStep),
            })}
          />
          <p className="hint">Such as 1 1 2: broken; 1 1 1 2 2 1: waved; −1 goes back.</p>
        </>
      );
    case 'turned':
      return (
        <>
          <div className="grid grid-cols-2 gap-3">
            <LineField weave={weave} />
            <Field
              label="Ends each way"
              text={String(weave.run)}
              made={(text) => ({ ...weave, run: whole(text, 2) })}
            />
          </div>
          <Choice
            label="Where it turns"
            value={weave.turn}
            options={[
              { value: 'complemented', text: 'Cut, complemented' },
              { value: 'kept', text: 'Cut, face kept' },
              { value: 'point', text: 'Pointed' },
            ]}
            onChange={(turn) => putWeave({ ...weave, turn })}
          />
        </>
      );
    case 'rib':
      return (
        <>
          <FaceChoice
            label="Ribs of the"
            value={weave.face}
            onChange={(face) => putWeave({ ...weave, face })}
          />
          <div className="grid grid-cols-2 gap-3">
            <Field
              label="Threads together"
              text={String(weave.a)}
              made={(text) => ({ ...weave, a: whole(text, 1) })}
            />
            <Field
              label="and then"
              text={String(weave.b)}
              made={(text) => ({ ...weave, b: whole(text, 1) })}
            />
          </div>
        </>
      );
    case 'hopsack':
      return (
        <div className="grid grid-cols-2 gap-3">
          <Field
            label="Ends together"
            text={String(weave.ends)}
            made={(text) => ({ ...weave, ends: whole(text, 1) })}
          />
          <Field
            label="Picks together"
            text={String(weave.picks)}
            made={(text) => ({ ...weave, picks: whole(text, 1) })}
          />
        </div>
      );
    case 'satin':
      return (
        <>
          <SatinNumbers weave={weave} />
          <FaceChoice
            label="Face of the"
            value={weave.face}
            onChange={(face) => putWeave({ ...weave, face })}
          />
        </>
      );
    case 'honeycomb':
      return (
        <Field
          label="Shafts"
          text={String(weave.size)}
          made={(text) => ({ ...weave, size: whole(text, 3) })}
        />
      );
    case 'crepe':
      return (
        <>
          <div className="grid grid-cols-3 gap-3">
            <Field
              label="Threads"
              text={String(weave.size)}
              made={(text) => ({ ...weave, size: whole(text, 1) })}
            />
            <Field
              label="No float above"
              text={String(weave.most)}
              made={(text) => ({ ...weave, most: whole(text, 1) })}
            />
            <Field
              label="Seed"
              text={String(weave.seed)}
              made={(text) => ({ ...weave, seed: whole(text, 0) })}
            />
          </div>
          <button
            type="button"
            className="button self-start"
            onClick={() => putWeave({ ...weave, seed: weave.seed + 1 }, 'weave-seed')}
          >
            Another of its kind
          </button>
        </>
      );
    case 'shaded':
      return (
        <>
          <SatinNumbers weave={weave} />
          <Field
            label="Tones"
            text={String(weave.tones)}
            made={(text) => ({ ...weave, tones: whole(text, 2) })}
          />
        </>
      );
    case 'double':
      return (
        <CheckField
          text="The lower cloth is stitched to the upper"
          on={weave.stitched}
          onChange={(on) => putWeave({ ...weave, stitched: on })}
        />
      );
    case 'blocks':
      return (
        <p className="hint">The rows of its profile, and a weave for each letter, are the text below.</p>
      );
    case 'matrix':
    case 'draft':
      return <p className="hint">It is worked on its draft; a rule would take its place.</p>;
    default:
      return weave satisfies never;
  }
}

function TwillNumbers({ line }: { line: { line: readonly number[]; step: number; hand: Hand } }) {
  const made = (change: Partial<typeof line>): WeaveSpec => {
    const next = { ...line, ...change };
    const [over, under, ...more] = next.line;
    return more.length === 0 && next.step === 1
      ? { kind: 'twill', over: over!, under: under!, hand: next.hand }
      : { kind: 'line', line: next.line, step: next.step, hand: next.hand };
  };
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="Over and under"
          text={line.line.join('/')}
          made={(text) => made({ line: parseLine(text) })}
        />
        <Field label="Step" text={String(line.step)} made={(text) => made({ step: whole(text, 1) })} />
      </div>
      <Choice
        label="Climbs"
        value={line.hand}
        options={HANDS.map((hand) => ({
          value: hand,
          text: hand === 'Z' ? 'Z, to the right' : 'S, to the left',
        }))}
        onChange={(hand) => putWeave(made({ hand }))}
      />
    </>
  );
}

function LineField<W extends WeaveSpec & { readonly line: readonly number[] }>({ weave }: { weave: W }) {
  return (
    <Field
      label="Over and under"
      text={weave.line.join('/')}
      made={(text) => ({ ...weave, line: parseLine(text) })}
    />
  );
}

type SatinLike = Extract<WeaveSpec, { kind: 'satin' | 'shaded' }>;

/** Only steps with which there is a satin are offered. */
function SatinNumbers({ weave }: { weave: SatinLike }) {
  const steps = satinSteps(weave.ends);
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="Ends of the satin"
          text={String(weave.ends)}
          made={(text) => onEnds(weave, whole(text, 1))}
        />
        <SelectField
          label="Step"
          value={String(weave.step)}
          options={steps.map((step) => ({ value: String(step), text: String(step) }))}
          onChange={(step) => putWeave({ ...weave, step: Number(step) })}
        />
      </div>
      <p className="hint">
        On {weave.ends} ends, 1 and {weave.ends - 1} make a twill, and a step that shares a divisor with{' '}
        {weave.ends} leaves ends unbound.
      </p>
    </>
  );
}

interface FaceChoiceProps {
  readonly label: string;
  readonly value: 'warp' | 'weft';
  readonly onChange: (face: 'warp' | 'weft') => void;
}

function FaceChoice({ label, value, onChange }: FaceChoiceProps) {
  return (
    <Choice
      label={label}
      value={value}
      options={[
        { value: 'warp', text: 'Warp' },
        { value: 'weft', text: 'Weft' },
      ]}
      onChange={onChange}
    />
  );
}

function wholeStep(text: string): number {
  return /^[-−]/.test(text) ? -whole(text.slice(1), 0) : whole(text, 0);
}
