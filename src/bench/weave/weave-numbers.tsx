import { checkedWeave, ruleOf } from '../../core/thread/weaves/weave-rules.ts';
import type { WeaveSpec } from '../../core/thread/weaves/weave-spec.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { dispatch } from '../state/bench-store.ts';
import { setWeave } from './weave-edits.ts';
import { partsOfWeave, type WeavePart } from './weave-fields.ts';

/** Puts a weave into the design. */
export function putWeave(weave: WeaveSpec, tag?: string): void {
  dispatch({ kind: 'edit', edit: setWeave(weave), ...(tag === undefined ? {} : { tag }) });
}

/** The numbers of a weave's rule; what cannot be woven is told and not taken. */
export function WeaveNumbers({ weave }: { weave: WeaveSpec }) {
  return partsOfWeave(weave).map((part, index) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: the parts of a rule are always the same
    <Part key={`${ruleOf(weave) ?? weave.kind} ${index}`} weave={weave} part={part} />
  ));
}

const COLUMNS: Readonly<Record<number, string>> = { 2: 'grid-cols-2', 3: 'grid-cols-3' };

function Part({ weave, part }: { weave: WeaveSpec; part: WeavePart<WeaveSpec> }) {
  switch (part.kind) {
    case 'row':
      return (
        <div className={`grid gap-3 ${COLUMNS[part.fields.length]}`}>
          {part.fields.map((field) => (
            <Part key={field.label} weave={weave} part={field} />
          ))}
        </div>
      );
    case 'number':
      return (
        <NumberField
          label={part.label}
          text={part.text(weave)}
          resolve={(typed) => {
            checkedWeave(part.made(weave, typed));
            return typed.trim();
          }}
          onChange={(typed) => putWeave(part.made(weave, typed), `weave-${part.label}`)}
        />
      );
    case 'choice':
    case 'select': {
      const Field = part.kind === 'choice' ? Choice : SelectField;
      return (
        <Field
          label={part.label}
          value={part.value(weave)}
          options={part.options(weave)}
          onChange={(value: string) => putWeave(part.made(weave, value))}
        />
      );
    }
    case 'check':
      return (
        <CheckField text={part.label} on={part.on(weave)} onChange={(on) => putWeave(part.made(weave, on))} />
      );
    case 'button':
      return (
        <button
          type="button"
          className="button self-start"
          onClick={() => putWeave(part.made(weave), `weave-${part.label}`)}
        >
          {part.label}
        </button>
      );
    case 'hint':
      return <p className="hint">{part.text(weave)}</p>;
    default:
      return part satisfies never;
  }
}
