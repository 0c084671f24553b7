import {
  FAMILIES,
  FAMILY_NUMBERS,
  type FamilyForm,
  type FamilyName,
  isFamily,
  numbersOf,
  usualForm,
} from '../../core/design/tiling/families.ts';
import { formOf } from '../../core/design/tiling/form-of.ts';
import type { FormSpec } from '../../core/design/tiling/form-schema.ts';
import { ARCHIMEDEAN, type Archimedean } from '../../core/tiling/forms/archimedean.ts';
import { TWO_KINDS, type TwoKinds } from '../../core/tiling/forms/two-kinds.ts';
import { buildTiling } from '../../core/tiling/tiling-form.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { FAMILY_NAMES, numberLabel } from '../../wording/tiling-words.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { few as fewOf, keptBy, putTiling } from './put-tiling.ts';

/** Which tiling, and the numbers of its family. */
export function TilingForm({ form }: { form: FormSpec }) {
  const chosen = form.kind === 'regular' || form.kind === 'two-kinds' ? form.name : form.kind;
  return (
    <>
      <SelectField
        label="Tiling"
        value={chosen}
        options={[
          { value: 'grown', text: 'Grown by hand', group: 'By their numbers' },
          ...FAMILY_NAMES.map(([value, text]) => ({
            value: value as string,
            text,
            group: 'By their numbers',
          })),
          ...optionsOf(ARCHIMEDEAN, 'Regular polygons, all corners alike'),
          ...optionsOf(TWO_KINDS, 'Regular polygons, two kinds of corners'),
        ]}
        onChange={(value) => {
          if (value === 'grown') beginGrowing();
          else if (Object.hasOwn(FAMILIES, value)) put(usualForm(value as FamilyName));
          else if (Object.hasOwn(TWO_KINDS, value)) put({ kind: 'two-kinds', name: value as TwoKinds });
          else put({ kind: 'regular', name: value as Archimedean });
        }}
      />
      {form.kind === 'grown' && <GrowingChoice />}
      {isFamily(form) && <FamilyNumbers form={form} />}
    </>
  );
}

function optionsOf(forms: Readonly<Record<string, unknown>>, group: string) {
  return Object.keys(forms).map((name) => ({ value: name, text: name, group }));
}

function put(form: FormSpec, tag?: string): void {
  putTiling({ form }, tag);
}

function beginGrowing(): void {
  useCloth.setState({ growing: true });
  put({ kind: 'grown', faces: [{ on: null, shape: 6 }] });
}

/** A field for each number of a family. */
function FamilyNumbers({ form }: { form: FamilyForm }) {
  const numbers = Object.entries(numbersOf(form.kind));
  const stored = form as unknown as Readonly<Record<string, string | number>>;
  return (
    <div className={numbers.length === 1 ? '' : 'grid grid-cols-2 gap-3'}>
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

/** Whether the patch is seen, or the cloth that it makes. */
function GrowingChoice() {
  const growing = useCloth((cloth) => cloth.growing);
  return (
    <Choice
      label="Seen as"
      value={growing ? 'patch' : 'cloth'}
      options={[
        { value: 'patch', text: 'The patch that grows' },
        { value: 'cloth', text: 'The cloth it makes' },
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
