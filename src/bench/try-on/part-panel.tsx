import type { Design } from '../../core/design/design-schema.ts';
import { parseRepeats, parseScale } from '../../core/design/lay/lay-numbers.ts';
import { parseDegrees, parseWay } from '../../core/design/motif/motif-numbers.ts';
import { type SpecifiedPart, tryOnScale } from '../../core/design/try-on/compile-try-on.ts';
import { parseShading } from '../../core/design/try-on/try-on-numbers.ts';
import type { PartSpec } from '../../core/design/try-on/try-on-schema.ts';
import { equals, ONE, toDecimal, toText } from '../../core/exact/rational.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { lengthText, portionText } from '../../wording/measures.ts';
import { dispatch } from '../state/bench-store.ts';
import { BendList } from './bend-list.tsx';
import { ClothField } from './cloth-field.tsx';
import { changeParts, resetPart, tryOnOf } from './try-on-edits.ts';

interface PartPanelProps {
  readonly design: Design;
  readonly part: SpecifiedPart;
  /** Keys of all parts of the scene. */
  readonly all: readonly string[];
}

/** The chosen part: its cloth, how that lies, and how it is bent. */
export function PartPanel({ design, part: { drawn, spec }, all }: PartPanelProps) {
  const { key, name } = drawn.part;
  const tryOn = tryOnOf(design);
  const put = (change: Partial<PartSpec>, tag?: string) =>
    dispatch({
      kind: 'edit',
      edit: changeParts([key], () => change),
      ...(tag === undefined ? {} : { tag: `part-${key}-${tag}` }),
    });
  const isChanged = tryOn.parts[key] !== undefined;
  return (
    <section
      aria-label={name}
      className="flex flex-col gap-3 rounded-lg border border-woad/40 bg-woad-pale/30 p-3"
    >
      <div className="flex items-baseline justify-between gap-2">
        <h3 className="text-[14px]">{name}</h3>
        {isChanged && (
          <button
            type="button"
            className="button button-plain text-[12.5px]"
            onClick={() => dispatch({ kind: 'edit', edit: resetPart(key) })}
          >
            As it was
          </button>
        )}
      </div>
      <ClothField design={design} part={drawn.part} cloth={spec.cloth} />
      {spec.cloth !== null && (
        <>
          <PlaceFields design={design} spec={spec} put={put} />
          {all.length > 1 && (
            <button
              type="button"
              className="button self-start"
              onClick={() => dispatch({ kind: 'edit', edit: changeParts(all, () => alike(spec)) })}
            >
              All parts alike
            </button>
          )}
          <BendList design={design} part={drawn} />
          <NumberField
            label="Light and shade"
            text={spec.shading}
            resolve={(text) => portionText(parseShading(text), 1)}
            onChange={(shading) => put({ shading: shading.trim() }, 'shading')}
          />
        </>
      )}
    </section>
  );
}

/** The grain that an angle is, where it is one. @throws CoreError of the angle */
function turnName(turn: string): (typeof TURNS)[number]['value'] | undefined {
  const degrees = parseDegrees(turn);
  return TURNS.find(({ value }) => equals(parseDegrees(value), degrees))?.value;
}

interface PlaceFieldsProps {
  readonly design: Design;
  readonly spec: PartSpec;
  readonly put: (change: Partial<PartSpec>, tag?: string) => void;
}

const TURNS = [
  { value: '0°', text: 'Along' },
  { value: '90°', text: 'Across' },
  { value: '45°', text: 'On the bias' },
] as const;

/** Size, turn and shift of the cloth on a part. */
function PlaceFields({ design, spec, put }: PlaceFieldsProps) {
  const { scale, turn, shift } = spec;
  const lengths = tryOnScale(design);
  const length = (text: string) => `${lengthText(parseWay(text, lengths), 'mm')} mm`;
  return (
    <>
      <Choice
        label="Size"
        value={scale.to}
        options={[
          { value: 'factor', text: 'By a factor' },
          { value: 'count', text: 'Repeats across' },
        ]}
        onChange={(to) => put({ scale: to === 'factor' ? { to, factor: '1' } : { to: 'count', count: '4' } })}
      />
      <div className="grid grid-cols-2 gap-3">
        {scale.to === 'factor' ? (
          <NumberField
            label="Factor"
            text={scale.factor}
            resolve={(text) => {
              const factor = parseScale(text);
              return equals(factor, ONE) ? 'true size' : portionText(factor, 2);
            }}
            onChange={(factor) => put({ scale: { to: 'factor', factor: factor.trim() } }, 'scale')}
          />
        ) : (
          <NumberField
            label="Repeats across"
            text={scale.count}
            resolve={(text) => toText(parseRepeats(text))}
            onChange={(count) => put({ scale: { to: 'count', count: count.trim() } }, 'scale')}
          />
        )}
        <NumberField
          label="Turn"
          text={turn}
          resolve={(text) => `${toDecimal(parseDegrees(text), 2)}°`}
          onChange={(next) => put({ turn: next.trim() }, 'turn')}
        />
      </div>
      <Choice
        label="Grain"
        value={valueIfAny(() => turnName(turn)) ?? ''}
        options={TURNS}
        onChange={(next) => put({ turn: next })}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Shift across"
          text={shift.x}
          resolve={length}
          onChange={(x) => put({ shift: { ...shift, x: x.trim() } }, 'shift-x')}
        />
        <NumberField
          label="Shift up"
          text={shift.y}
          resolve={length}
          onChange={(y) => put({ shift: { ...shift, y: y.trim() } }, 'shift-y')}
        />
      </div>
    </>
  );
}

/** What of a part's cloth may be the same on all parts. */
function alike({ cloth, scale, turn }: PartSpec): Partial<PartSpec> {
  return { cloth, scale, turn };
}
