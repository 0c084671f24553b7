import {
  type Announcements,
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  type UniqueIdentifier,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { nameWithin } from '../../core/colour/free-name.ts';
import { freeKey, MAX_SHADES, type Shade } from '../../core/colour/shade.ts';
import { Panel } from '../../kit/panel.tsx';
import { PictureDialog } from '../picture/picture-dialog.tsx';
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
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const { shades } = design;
  const remove = (shade: Shade) => {
    if (bandsUsing(design, shade.key) > 0) setRemoving(shade);
    else dispatch({ kind: 'edit', edit: removeShade(shade.key, undefined) });
  };
  return (
    <Panel title="Colours" purpose="The shade card. A change here changes it wherever it is used.">
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={moveWords(shades)}
        onDragEnd={({ active, over }) => {
          const [from, to] = [active.id, over?.id].map((id) => shades.findIndex((shade) => shade.key === id));
          if (from! >= 0 && to! >= 0)
            dispatch({ kind: 'edit', edit: setShades(arrayMove(shades, from!, to!)) });
        }}
      >
        <SortableContext items={shades.map((shade) => shade.key)} strategy={verticalListSortingStrategy}>
          <ul className="m-0 flex list-none flex-col p-0">
            {shades.map((shade) => (
              <ShadeRow
                key={shade.key}
                shade={shade}
                bands={bandsUsing(design, shade.key)}
                onRemove={shades.length > 1 ? () => remove(shade) : undefined}
              />
            ))}
          </ul>
        </SortableContext>
      </DndContext>
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
      {picturing && <PictureDialog direction={undefined} onClose={() => setPicturing(false)} />}
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

/** What a screen reader says while a shade is moved. */
function moveWords(shades: readonly Shade[]) {
  const nameOf = (key: UniqueIdentifier) => shades.find((shade) => shade.key === key)?.name ?? '';
  const placeOf = (key: UniqueIdentifier) => shades.findIndex((shade) => shade.key === key) + 1;
  return {
    screenReaderInstructions: {
      draggable: 'Space takes the shade up, the arrow keys move it, Space puts it down, Escape leaves it.',
    },
    announcements: {
      onDragStart: ({ active }) => `Took up ${nameOf(active.id)}.`,
      onDragOver: ({ active, over }) => over && `${nameOf(active.id)} is over place ${placeOf(over.id)}.`,
      onDragEnd: ({ active, over }) => over && `Put ${nameOf(active.id)} down at place ${placeOf(over.id)}.`,
      onDragCancel: ({ active }) => `Left ${nameOf(active.id)} where it was.`,
    } as Announcements,
  };
}

/** A shade to begin with: a step lighter or darker than the last, so that it shows. */
function newShade(shades: readonly Shade[]): Shade {
  const taken = new Set(shades.map((shade) => shade.hex));
  const hex =
    ['#c79a3b', '#2e4c63', '#efe6cf', '#8c2f25', '#7f96a3', '#24402f'].find((each) => !taken.has(each)) ??
    '#888888';
  return { key: freeKey(new Set(shades.map((shade) => shade.key))), name: nameWithin(shades, hex), hex };
}
