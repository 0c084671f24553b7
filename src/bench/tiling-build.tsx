import { useMemo } from 'react';
import type { TilingDesign } from '../core/design/design-schema.ts';
import { colouringOf, tilingOf, uprightTurns } from '../core/design/tiling/compile-tiling.ts';
import { parseSize, TILING_COLOURS, type TilingColours } from '../core/design/tiling/tiling-schema.ts';
import { Choice } from '../kit/choice.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { SelectField } from '../kit/select-field.tsx';
import { valueIfAny } from '../wording/attempt.ts';
import { lengthText } from '../wording/measures.ts';
import { polygonText } from '../wording/tiling-words.ts';
import { dispatch } from './bench-store.ts';
import { setTiling } from './design-edits.ts';
import { FaceRings } from './face-rings.tsx';
import { Panel } from './panel.tsx';
import { TilingForm } from './tiling-form.tsx';
import { useTiling } from './use-construction.ts';

const COLOUR_NAMES: Readonly<Record<TilingColours, string>> = {
  sides: 'Number of sides',
  directions: 'The way they lie',
  neighbours: 'Neighbours differ',
  faces: 'Each by itself',
};

/** The unit of a tiling: which one, how large, how it lies, and which faces are alike. */
export function TilingBuild() {
  const design = useTiling();
  const { construction } = design;
  const { form, dual, turn, size, measured, colours } = construction;
  const turns = useMemo(() => uprightTurns({ form, dual }), [form, dual]);
  const shown = turns.includes(turn) ? turns : [...turns, turn].sort((a, b) => a - b);
  return (
    <Panel title="Build" purpose="Polygons that cover the plane, in exact sides.">
      <TilingForm form={form} />
      <label className="flex items-center gap-2 text-[13px]">
        <input
          type="checkbox"
          className="accent-woad"
          checked={dual}
          onChange={(event) => dispatch({ kind: 'edit', edit: setTiling({ dual: event.target.checked }) })}
        />
        Its dual: middles of faces become corners
      </label>
      <NumberField
        label={measured === 'side' ? 'A side of 1 is' : 'One repeat is wide'}
        text={size}
        resolve={(text) => `${lengthText(parseSize(text), 'mm')} mm`}
        onChange={(text) => dispatch({ kind: 'edit', edit: setTiling({ size: text }), tag: 'size' })}
      />
      <Choice
        label="That is the length of"
        value={measured}
        options={[
          { value: 'side', text: 'A side' },
          { value: 'repeat', text: 'The repeat, across' },
        ]}
        onChange={(of) => dispatch({ kind: 'edit', edit: setTiling({ measured: of }) })}
      />
      <SelectField
        label="Turned by"
        value={String(turn)}
        options={shown.map((steps) => ({
          value: String(steps),
          text: `${steps * 15}°${turns.includes(steps) ? '' : ', without an upright repeat'}`,
        }))}
        onChange={(steps) => dispatch({ kind: 'edit', edit: setTiling({ turn: Number(steps) }) })}
      />
      <SelectField
        label="Faces are told apart by"
        value={colours}
        options={TILING_COLOURS.map((each) => ({ value: each, text: COLOUR_NAMES[each] }))}
        onChange={(each) => dispatch({ kind: 'edit', edit: setTiling({ colours: each }) })}
      />
      <FaceShades design={design} />
      <FaceRings design={design} />
    </Panel>
  );
}

/** A shade for each kind of face. */
function FaceShades({ design }: { design: TilingDesign }) {
  const { construction, shades } = design;
  const kinds = useMemo(() => kindsOf(construction), [construction]);
  const { faces } = construction;
  return (
    <div className="flex flex-col gap-2">
      {kinds.map((name, kind) => {
        const key = faces[kind % faces.length]!;
        return (
          <div key={name} className="grid grid-cols-[22px_minmax(0,1fr)] items-end gap-2">
            <span
              className="chip mb-2 h-5 w-5"
              style={{ backgroundColor: shades.find((shade) => shade.key === key)?.hex }}
            />
            <SelectField
              label={name}
              value={key}
              options={shades.map((shade) => ({ value: shade.key, text: `${shade.key} ${shade.name}` }))}
              onChange={(next) => {
                const all = kinds.map((_, at) => (at === kind ? next : faces[at % faces.length]!));
                dispatch({ kind: 'edit', edit: setTiling({ faces: all }) });
              }}
            />
          </div>
        );
      })}
    </div>
  );
}

/** The kinds of faces by name; none while they cannot be told apart. */
function kindsOf(construction: TilingDesign['construction']): readonly string[] {
  return (
    valueIfAny(() => {
      const tiling = tilingOf(construction);
      const { classes } = colouringOf(tiling, construction);
      if (construction.colours === 'sides') {
        return [...new Set(tiling.faces.map(({ length }) => length))].sort((a, b) => a - b).map(polygonText);
      }
      return Array.from({ length: classes }, (_, kind) => `Faces ${kind + 1}`);
    }) ?? []
  );
}
