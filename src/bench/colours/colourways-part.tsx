import { Trash2 } from 'lucide-react';
import { type Variation, varied } from '../../core/colour/variations.ts';
import type { Colourway } from '../../core/design/colourway.ts';
import { coloured } from '../../core/design/colourway.ts';
import { MAX_COLOURWAYS } from '../../core/design/design-schema.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { NameInPlace } from '../../kit/fields/name-in-place.tsx';
import { useCloth } from '../cloth/cloth-store.ts';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { addColourway, removeColourway, renameColourway, updateColourway } from '../state/colourway-edits.ts';
import { setShades } from '../state/shade-edits.ts';

/** Variations that one click adds as a colourway, told apart by how many of the kind there are already. */
const VARIATIONS: readonly { readonly name: string; readonly of: (count: number) => Variation }[] = [
  { name: 'Shades rotated', of: (count) => ({ kind: 'rotate', by: count + 1 }) },
  { name: 'Hues turned', of: (count) => ({ kind: 'hue', degrees: 40 * (count + 1) }) },
  { name: 'Lighter', of: () => ({ kind: 'lighten', amount: 0.12 }) },
  { name: 'Darker', of: () => ({ kind: 'lighten', amount: -0.12 }) },
  { name: 'Shuffled, dark stays dark', of: (count) => ({ kind: 'shuffle', seed: count }) },
];

/** Other sets of colours for the same design. */
export function ColourwaysPart() {
  const design = useDesign();
  const sideBySide = useCloth((cloth) => cloth.sideBySide);
  const { colourways, shades } = design;
  const full = colourways.length >= MAX_COLOURWAYS;
  const add = (name: string, hexes: readonly string[]) =>
    dispatch({
      kind: 'edit',
      edit: addColourway(name, Object.fromEntries(shades.map(({ key }, index) => [key, hexes[index]!]))),
    });
  return (
    <section aria-label="Colourways" className="flex flex-col gap-3 border-rule border-t pt-3">
      <h3 className="text-[14px]">Colourways</h3>
      {colourways.length === 0 && (
        <p className="hint">The same design in another set of colours. Keep these, or let some be made.</p>
      )}
      <ul className="m-0 flex list-none flex-col p-0">
        {colourways.map((colourway) => (
          <ColourwayRow key={colourway.name} colourway={colourway} />
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          disabled={full}
          onClick={() =>
            add(
              'As kept',
              shades.map(({ hex }) => hex),
            )
          }
        >
          Keep these colours
        </button>
        <select
          aria-label="Make a colourway"
          className="field w-auto"
          value=""
          disabled={full}
          onChange={(event) => {
            const variation = VARIATIONS.find(({ name }) => name === event.target.value)!;
            const made = colourways.filter(({ name }) => name.startsWith(variation.name)).length;
            add(variation.name, varied(shades, variation.of(made)));
          }}
        >
          <option value="" disabled>
            Make one…
          </option>
          {VARIATIONS.map(({ name }) => (
            <option key={name}>{name}</option>
          ))}
        </select>
      </div>
      <CheckField
        text="See all side by side"
        on={sideBySide}
        onChange={(on) => useCloth.setState({ sideBySide: on })}
      />
    </section>
  );
}

function ColourwayRow({ colourway }: { colourway: Colourway }) {
  const design = useDesign();
  const { name } = colourway;
  const shades = coloured(design, colourway);
  return (
    <li className="flex items-center gap-2 border-rule/70 border-b py-1.5">
      <span className="flex flex-none overflow-hidden rounded" aria-hidden="true">
        {shades.slice(0, 6).map(({ key, hex }) => (
          <span key={key} className="h-5 w-3.5" style={{ backgroundColor: hex }} />
        ))}
      </span>
      <NameInPlace
        label={`Name of colourway ${name}`}
        name={name}
        className="min-w-0 flex-1 rounded px-1.5 py-1 hover:bg-linen"
        onDone={(typed) => {
          if (typed !== undefined) dispatch({ kind: 'edit', edit: renameColourway(name, typed) });
        }}
      />
      <button
        type="button"
        className="button button-plain text-woad"
        title="The design takes these colours"
        aria-label={`Use ${name}`}
        onClick={() => dispatch({ kind: 'edit', edit: setShades(shades) })}
      >
        Use
      </button>
      <button
        type="button"
        className="button button-plain text-woad"
        title="It takes the colours that the design has now"
        aria-label={`Update ${name}`}
        onClick={() => {
          const colours = Object.fromEntries(design.shades.map(({ key, hex }) => [key, hex]));
          dispatch({ kind: 'edit', edit: updateColourway(name, colours) });
        }}
      >
        Update
      </button>
      <button
        type="button"
        className="button button-plain text-ash"
        aria-label={`Remove ${name}`}
        onClick={() => dispatch({ kind: 'edit', edit: removeColourway(name) })}
      >
        <Trash2 size={15} aria-hidden="true" />
      </button>
    </li>
  );
}
