import { formOf } from '../core/design/tiling/compile-tiling.ts';
import {
  type FormSpec,
  parsePart,
  parseProportion,
  parseSmall,
} from '../core/design/tiling/tiling-schema.ts';
import { ARCHIMEDEAN, type Archimedean } from '../core/tiling/forms/archimedean.ts';
import { TWO_KINDS, type TwoKinds } from '../core/tiling/forms/two-kinds.ts';
import { buildTiling } from '../core/tiling/tiling-form.ts';
import { NumberField } from '../kit/number-field.tsx';
import { SelectField } from '../kit/select-field.tsx';
import { dispatch } from './bench-store.ts';
import { setTiling } from './design-edits.ts';
import { whole } from './rework-wish.ts';

/** Forms as they are usual, by the words that offer them. */
const FAMILIES: readonly (readonly [text: string, form: FormSpec])[] = [
  ['Rhombuses', { kind: 'rhombus', across: '3', up: '4' }],
  ['Bricks', { kind: 'bricks', height: '1/2', step: '1/2' }],
  ['Basket bricks', { kind: 'basket', count: 2 }],
  ['Two squares', { kind: 'squares', small: '1/2' }],
  ['Octagons and squares', { kind: 'octagons', slant: '1' }],
  ['Triangles', { kind: 'triangles', height: '1', tip: '1/2' }],
  ['Hexagons, stretched', { kind: 'hexagons', across: '1', up: '1/2' }],
  ['Rows of squares and triangles', { kind: 'rows', squares: 2, triangles: 1 }],
];

/** Which tiling, and the numbers of its family. */
export function TilingForm({ form }: { form: FormSpec }) {
  const chosen = form.kind === 'regular' || form.kind === 'two-kinds' ? form.name : form.kind;
  return (
    <>
      <SelectField
        label="Tiling"
        value={chosen}
        options={[
          ...Object.keys(ARCHIMEDEAN).map((name) => ({ value: name, text: `${name}, regular polygons` })),
          ...Object.keys(TWO_KINDS).map((name) => ({ value: name, text: name })),
          ...FAMILIES.map(([text, { kind }]) => ({ value: kind as string, text })),
        ]}
        onChange={(value) => {
          const family = FAMILIES.find(([, { kind }]) => kind === value);
          if (family !== undefined) put(family[1]);
          else if (value in TWO_KINDS) put({ kind: 'two-kinds', name: value as TwoKinds });
          else put({ kind: 'regular', name: value as Archimedean });
        }}
      />
      <Numbers form={form} />
    </>
  );
}

function put(form: FormSpec, tag?: string): void {
  dispatch({ kind: 'edit', edit: setTiling({ form }), ...(tag === undefined ? {} : { tag }) });
}

function Numbers({ form }: { form: FormSpec }) {
  const field = (label: string, text: string, made: (text: string) => FormSpec) => (
    <NumberField
      label={label}
      text={text}
      resolve={(typed) => {
        buildTiling(formOf(made(typed)));
        return typed.trim();
      }}
      onChange={(typed) => put(made(typed), `tiling-${label}`)}
    />
  );
  /** Keeps a text that its reader takes. */
  const read = (reader: (text: string) => unknown, text: string) => {
    reader(text);
    return text.trim();
  };
  const proportion = (text: string) => read(parseProportion, text);
  switch (form.kind) {
    case 'regular':
    case 'two-kinds':
      return null;
    case 'rows':
      return (
        <div className="grid grid-cols-2 gap-3">
          {field('Rows of squares', String(form.squares), (text) => ({ ...form, squares: few(text) }))}
          {field('Rows of triangles', String(form.triangles), (text) => ({ ...form, triangles: few(text) }))}
        </div>
      );
    case 'rhombus':
    case 'hexagons':
      return (
        <div className="grid grid-cols-2 gap-3">
          {field('Across', form.across, (text) => ({ ...form, across: proportion(text) }))}
          {field('Up', form.up, (text) => ({ ...form, up: proportion(text) }))}
        </div>
      );
    case 'bricks':
      return (
        <div className="grid grid-cols-2 gap-3">
          {field('Height of a brick', form.height, (text) => ({ ...form, height: proportion(text) }))}
          {field('Step of a row', form.step, (text) => ({ ...form, step: read(parsePart, text) }))}
        </div>
      );
    case 'basket':
      return field('Bricks to a block', String(form.count), (text) => ({ ...form, count: few(text) }));
    case 'squares':
      return field('The smaller, beside 1', form.small, (text) => ({
        ...form,
        small: read(parseSmall, text),
      }));
    case 'octagons':
      return field('Slanting side, beside 1', form.slant, (text) => ({ ...form, slant: proportion(text) }));
    case 'triangles':
      return (
        <div className="grid grid-cols-2 gap-3">
          {field('Height, base 1', form.height, (text) => ({ ...form, height: proportion(text) }))}
          {field('Tip along the base', form.tip, (text) => ({ ...form, tip: read(parsePart, text) }))}
        </div>
      );
    default:
      return form satisfies never;
  }
}

/** Most rows or bricks of a kind. */
const FEW = 12;

function few(text: string): number {
  return Math.min(FEW, whole(text, 1));
}
