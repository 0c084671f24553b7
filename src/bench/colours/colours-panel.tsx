import { arrayMove } from '@dnd-kit/sortable';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { nameWithin } from '../../core/colour/free-name.ts';
import { freeKey, MAX_SHADES, type Shade } from '../../core/colour/shade.ts';
import { Panel } from '../../kit/panel.tsx';
import { SortableList } from '../../kit/sortable-list.tsx';
import { PictureDialog } from '../../picture/picture-dialog.tsx';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { bandsUsing, removeShade, setShades } from '../state/shade-edits.ts';
import { CardTools } from './card-tools.tsx';
import { ColourwaysPart } from './colourways-part.tsx';
import { ReplaceDialog } from './replace-dialog.tsx';
import { ShadeRow } from './shade-row.tsx';

/** The shade card: pick, name, order, remove. */
export function ColoursPanel() {
  const design = useDesign();
  const [removing, setRemoving] = useState<Shade>();
  const [picturing, setPicturing] = useState(false);
  const { shades } = design;
  const remove = (shade: Shade) => {
    if (bandsUsing(design, shade.key) > 0) setRemoving(shade);
    else dispatch({ kind: 'edit', edit: removeShade(shade.key, undefined) });
  };
  return (
    <Panel title="Colours" purpose="The shade card. A change here changes it wherever it is used.">
      <SortableList
        ids={shades.map(({ key }) => key)}
        what="the shade"
        nameOf={(key) => shades.find((shade) => shade.key === key)?.name ?? ''}
        onMove={(from, to) => dispatch({ kind: 'edit', edit: setShades(arrayMove(shades, from, to)) })}
      >
        {shades.map((shade) => (
          <ShadeRow
            key={shade.key}
            shade={shade}
            bands={bandsUsing(design, shade.key)}
            onRemove={shades.length > 1 ? () => remove(shade) : undefined}
          />
        ))}
      </SortableList>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          disabled={shades.length >= MAX_SHADES}
          onClick={() => dispatch({ kind: 'edit', edit: setShades([...shades, newShade(shades)]) })}
        >
          <Plus size={16} aria-hidden="true" /> Add a shade
        </button>
        <button type="button" className="button" onClick={() => setPicturing(true)}>
          From a picture…
        </button>
      </div>
      {picturing && (
        <PictureDialog
          title="Shades from a picture"
          action="Add these shades"
          card={shades}
          bands={undefined}
          onTake={(taken) => dispatch({ kind: 'edit', edit: setShades(taken.shades) })}
          onClose={() => setPicturing(false)}
        />
      )}
      <ColourwaysPart />
      <CardTools />
      {removing !== undefined && (
        <ReplaceDialog
          shade={removing}
          others={shades.filter((shade) => shade.key !== removing.key)}
          onClose={() => setRemoving(undefined)}
        />
      )}
    </Panel>
  );
}

/** A shade to begin with: a step lighter or darker than the last, so that it shows. */
function newShade(shades: readonly Shade[]): Shade {
  const taken = new Set(shades.map((shade) => shade.hex));
  const hex =
    ['#c79a3b', '#2e4c63', '#efe6cf', '#8c2f25', '#7f96a3', '#24402f'].find((each) => !taken.has(each)) ??
    '#888888';
  return { key: freeKey(new Set(shades.map((shade) => shade.key))), name: nameWithin(shades, hex), hex };
}
