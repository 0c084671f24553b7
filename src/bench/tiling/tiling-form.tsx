import { FAMILY_NUMBERS, type FamilyForm, isFamily, numbersOf } from '../../core/design/tiling/families.ts';
import { formOf } from '../../core/design/tiling/form-of.ts';
import type { FormSpec } from '../../core/design/tiling/form-schema.ts';
import { parseProportion } from '../../core/design/tiling/tiling-numbers.ts';
import { buildTiling } from '../../core/tiling/tiling-form.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { numberLabel } from '../../wording/tiling-words.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { few as fewOf, keptBy, putTiling } from './put-tiling.ts';

/** The numbers of a tiling's family; of one that is grown, what is seen of it. */
export function TilingForm({ form }: { form: FormSpec }) {
  if (form.kind === 'grown') return <GrowingChoice />;
  return isFamily(form) ? <FamilyNumbers form={form} /> : null;
}

function put(form: FormSpec, tag?: string): void {
  putTiling({ form }, tag);
}

/** A field for each number of a family. */
function FamilyNumbers({ form }: { form: FamilyForm }) {
  const all = Object.entries(numbersOf(form.kind));
  const numbers = all.filter(([key]) => !RATIO.includes(key));
  const stored = form as unknown as Readonly<Record<string, string | number>>;
  return (
    <div className={numbers.length <= 1 ? '' : 'grid grid-cols-2 gap-3'}>
      {all.length > numbers.length && <RatioField form={form} />}
      {numbers.map(([key, number]) => {
        const label = numberLabel(form.kind, key);
        const change = (value: string | number) => ({ ...form, [key]: value }) as FamilyForm;
        if (number === 'rise') {
          return (
            <SelectField
              key={key}
              label={label}
              value={String(stored[key])}
              options={[1, 2, 3, 4, 5].map((rise) => ({ value: String(rise), text: `${rise * 30}°` }))}
              onChange={(rise) => put(change(Number(rise)))}
            />
          );
        }
        const read = number === 'few' ? few : keptBy(FAMILY_NUMBERS[number].read);
        return (
          <NumberField
            key={key}
            label={label}
            text={String(stored[key])}
            resolve={(typed) => {
              buildTiling(formOf(change(read(typed))));
              return typed.trim();
            }}
            onChange={(typed) => put(change(read(typed)), label)}
          />
        );
      })}
    </div>
  );
}

/** The two numbers of a family that are only said beside each other. */
const RATIO: readonly string[] = ['across', 'up'];

/** Width and height beside each other: "2 : 3". */
function RatioField({ form }: { form: FamilyForm }) {
  const { across, up } = form as unknown as { readonly across: string; readonly up: string };
  const changed = (text: string) => {
    const [first, second = '1'] = text.split(':').map((part) => part.trim());
    parseProportion(first!);
    parseProportion(second);
    return { ...form, across: first!, up: second } as FamilyForm;
  };
  return (
    <NumberField
      label="Width : height"
      text={`${across} : ${up}`}
      resolve={(typed) => {
        buildTiling(formOf(changed(typed)));
        return typed.trim();
      }}
      onChange={(typed) => put(changed(typed), 'ratio')}
    />
  );
}

/** Whether the patch is seen, or the cloth that it makes. */
function GrowingChoice() {
  const growing = useCloth((cloth) => cloth.growing);
  return (
    <Choice
      label="Show"
      value={growing ? 'patch' : 'cloth'}
      options={[
        { value: 'patch', text: 'The patch' },
        { value: 'cloth', text: 'The cloth' },
      ]}
      onChange={(what) => useCloth.setState({ growing: what === 'patch' })}
    />
  );
}

/** Most rows or bricks of a kind. */
const FEW = 12;

function few(text: string): number {
  return fewOf(text, 1, FEW);
}
