import { formOf } from '../../core/design/tiling/form-of.ts';
import {
  type FormSpec,
  parseHalf,
  parseLean,
  parseNarrow,
  parsePart,
  parseProportion,
  parseSmall,
} from '../../core/design/tiling/tiling-schema.ts';
import { ARCHIMEDEAN, type Archimedean } from '../../core/tiling/forms/archimedean.ts';
import { TWO_KINDS, type TwoKinds } from '../../core/tiling/forms/two-kinds.ts';
import { buildTiling } from '../../core/tiling/tiling-form.ts';
import { Choice } from '../../kit/choice.tsx';
import { NumberField } from '../../kit/number-field.tsx';
import { SelectField } from '../../kit/select-field.tsx';
import { useCloth } from '../cloth/cloth-store.ts';
import { few as fewOf, putTiling } from './put-tiling.ts';

/** Forms as they are usual, by the words that offer them. */
const FAMILIES: readonly (readonly [text: string, form: FormSpec])[] = [
  ['Grown by hand', { kind: 'grown', faces: [{ on: null, shape: 6 }] }],
  ['Rhombuses', { kind: 'rhombus', across: '3', up: '4' }],
  ['Bricks', { kind: 'bricks', height: '1/2', step: '1/2' }],
  ['Basket bricks', { kind: 'basket', count: 2 }],
  ['Two squares', { kind: 'squares', small: '1/2' }],
  ['Octagons and squares', { kind: 'octagons', slant: '1' }],
  ['Rhombuses by angle', { kind: 'angled', rise: 2 }],
  ['Parallelograms', { kind: 'parallelograms', height: '1', lean: '1/3' }],
  ['Kites', { kind: 'kites', above: '1', below: '2' }],
  ['Pentagons', { kind: 'pentagons', half: '1/4' }],
  ['Herringbone bricks', { kind: 'herringbone', width: '1/2' }],
  ['Hexagons and triangles', { kind: 'hexagons-triangles', other: '1/2' }],
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
          ...FAMILIES.map(([text, { kind }]) => ({ value: kind as string, text, group: 'By their numbers' })),
          ...optionsOf(ARCHIMEDEAN, 'Regular polygons, all corners alike'),
          ...optionsOf(TWO_KINDS, 'Regular polygons, two kinds of corners'),
        ]}
        onChange={(value) => {
          const family = FAMILIES.find(([, { kind }]) => kind === value);
          if (family?.[1].kind === 'grown') useCloth.setState({ growing: true });
          if (family !== undefined) put(family[1]);
          else if (value in TWO_KINDS) put({ kind: 'two-kinds', name: value as TwoKinds });
          else put({ kind: 'regular', name: value as Archimedean });
        }}
      />
      <Numbers form={form} />
    </>
  );
}

function optionsOf(forms: Readonly<Record<string, unknown>>, group: string) {
  return Object.keys(forms).map((name) => ({ value: name, text: name, group }));
}

function put(form: FormSpec, tag?: string): void {
  putTiling({ form }, tag);
}

function Numbers({ form }: { form: FormSpec }) {
  const field = (label: string, text: string, made: (text: string) => FormSpec) => (
    <NumberField
      label={label}
      text={text}
      resolve={(typed) => {
        const next = made(typed);
        if (next.kind !== 'grown') buildTiling(formOf(next));
        return typed.trim();
      }}
      onChange={(typed) => put(made(typed), label)}
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
    case 'angled':
      return (
        <SelectField
          label="Angle to the left and right"
          value={String(form.rise)}
          options={[1, 2, 3, 4, 5].map((rise) => ({ value: String(rise), text: `${rise * 30}°` }))}
          onChange={(rise) => put({ ...form, rise: Number(rise) })}
        />
      );
    case 'parallelograms':
      return (
        <div className="grid grid-cols-2 gap-3">
          {field('Height, base 1', form.height, (text) => ({ ...form, height: proportion(text) }))}
          {field('Upper side moved by', form.lean, (text) => ({ ...form, lean: read(parseLean, text) }))}
        </div>
      );
    case 'kites':
      return (
        <div className="grid grid-cols-2 gap-3">
          {field('Upper tip, half as wide 1', form.above, (text) => ({ ...form, above: proportion(text) }))}
          {field('Lower tip', form.below, (text) => ({ ...form, below: proportion(text) }))}
        </div>
      );
    case 'pentagons':
      return field('Half the slanting side reaches, fields 2 wide', form.half, (text) => ({
        ...form,
        half: read(parseHalf, text),
      }));
    case 'herringbone':
      return field('Width of a brick 1 long', form.width, (text) => ({
        ...form,
        width: read(parseNarrow, text),
      }));
    case 'hexagons-triangles':
      return field('Every other side, beside 1', form.other, (text) => ({
        ...form,
        other: proportion(text),
      }));
    case 'grown':
      return <GrowingChoice />;
    default:
      return form satisfies never;
  }
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
