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
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical, Plus, Trash2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { HexColorPicker } from 'react-colorful';
import { nameWithin } from '../../core/colour/free-name.ts';
import { normaliseHex } from '../../core/colour/hex.ts';
import { freeKey, MAX_SHADES, SHADE_KEY, type Shade } from '../../core/colour/shade.ts';
import { Dialog } from '../../kit/dialog.tsx';
import { Panel } from '../../kit/panel.tsx';
import { plural } from '../../wording/measures.ts';
import { PictureDialog } from '../picture/picture-dialog.tsx';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { bandsUsing, changeShade, removeShade, setShades } from '../state/shade-edits.ts';
import { CardTools } from './card-tools.tsx';
import { ColourwaysPart } from './colourways-part.tsx';

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

interface ShadeRowProps {
  readonly shade: Shade;
  readonly bands: number;
  readonly onRemove: (() => void) | undefined;
}

function ShadeRow({ shade, bands, onRemove }: ShadeRowProps) {
  const sortable = useSortable({ id: shade.key });
  const change = (part: Partial<Shade>, what: string) =>
    dispatch({ kind: 'edit', edit: changeShade(shade.key, part), tag: `shade-${what}-${shade.key}` });
  return (
    <li
      ref={sortable.setNodeRef}
      style={{ transform: CSS.Translate.toString(sortable.transform), transition: sortable.transition }}
      className={`flex items-center gap-2 border-rule/70 border-b bg-paper py-1.5 ${sortable.isDragging ? 'relative z-10 shadow-lg' : ''}`}
    >
      <button
        type="button"
        className="cursor-grab touch-none text-ash"
        {...sortable.attributes}
        {...sortable.listeners}
        aria-label={`Move ${shade.name}`}
      >
        <GripVertical size={15} aria-hidden="true" />
      </button>
      <ColourButton shade={shade} onChange={(hex) => change({ hex }, 'hex')} />
      <KeyField shade={shade} />
      <input
        aria-label={`Name of shade ${shade.key}`}
        className="min-w-0 flex-1 rounded px-1.5 py-1 hover:bg-linen"
        value={shade.name}
        maxLength={120}
        onChange={(event) => event.target.value.trim() !== '' && change({ name: event.target.value }, 'name')}
        onBlur={() => dispatch({ kind: 'settle' })}
      />
      <span className="hint numbers whitespace-nowrap" title={`Used in ${plural(bands, 'place')}`}>
        ×{bands}
      </span>
      <button
        type="button"
        className="button button-plain text-ash"
        aria-label={`Remove ${shade.name}`}
        disabled={onRemove === undefined}
        onClick={onRemove}
      >
        <Trash2 size={15} aria-hidden="true" />
      </button>
    </li>
  );
}

/** The letters that stand for a shade in thread counts; kept once they are free to use. */
function KeyField({ shade }: { shade: Shade }) {
  const { shades } = useDesign();
  const [draft, setDraft] = useState<string>();
  const taken = shades.some((other) => other !== shade && other.key === draft);
  const wrong = draft !== undefined && (!SHADE_KEY.test(draft) || taken);
  return (
    <input
      aria-label={`Letter of ${shade.name}`}
      aria-invalid={wrong}
      title={taken ? 'Another shade has this letter' : 'Letter in thread counts'}
      className={`numbers w-9 rounded border px-1 py-0.5 text-center ${wrong ? 'border-madder text-madder' : 'border-rule'}`}
      value={draft ?? shade.key}
      maxLength={3}
      onChange={(event) => setDraft(event.target.value.toUpperCase())}
      onBlur={() => {
        if (draft !== undefined && !wrong && draft !== shade.key) {
          dispatch({ kind: 'edit', edit: changeShade(shade.key, { key: draft }) });
        }
        setDraft(undefined);
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}

function ColourButton({ shade, onChange }: { shade: Shade; onChange: (hex: string) => void }) {
  const [draft, setDraft] = useState<string>();
  const typed = draft ?? shade.hex;
  return (
    <Popover.Root
      onOpenChange={() => {
        setDraft(undefined);
        dispatch({ kind: 'settle' });
      }}
    >
      <Popover.Trigger
        aria-label={`Colour of ${shade.name}, ${shade.hex}`}
        className="chip h-8 w-8"
        style={{ backgroundColor: shade.hex }}
      />
      <Popover.Portal>
        <Popover.Content
          side="left"
          sideOffset={12}
          className="z-50 rounded-card border border-rule bg-paper p-3 shadow-xl"
        >
          <HexColorPicker color={shade.hex} onChange={onChange} />
          <label className="label mt-3" htmlFor={`hex-${shade.key}`}>
            Colour
          </label>
          <input
            id={`hex-${shade.key}`}
            className="field numbers"
            value={typed}
            maxLength={9}
            aria-invalid={readHex(typed) === undefined}
            onChange={(event) => {
              setDraft(event.target.value);
              const hex = readHex(event.target.value);
              if (hex !== undefined) onChange(hex);
            }}
            onBlur={() => setDraft(undefined)}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function readHex(text: string): string | undefined {
  try {
    return normaliseHex(text);
  } catch {
    return undefined;
  }
}

interface ReplaceDialogProps {
  readonly shade: Shade;
  readonly others: readonly Shade[];
  readonly onClose: () => void;
}

function ReplaceDialog({ shade, others, onClose }: ReplaceDialogProps) {
  const { name } = useDesign();
  return (
    <Dialog open onOpenChange={onClose} title={`${shade.name} is in use`}>
      <p className="mb-3 text-ash">Which shade of “{name}” takes its place?</p>
      <div className="flex flex-col gap-1.5">
        {others.map((other) => (
          <button
            key={other.key}
            type="button"
            className="button justify-start"
            onClick={() => {
              dispatch({ kind: 'edit', edit: removeShade(shade.key, other.key) });
              onClose();
            }}
          >
            <span className="chip" style={{ backgroundColor: other.hex }} />
            {other.name}
          </button>
        ))}
      </div>
    </Dialog>
  );
}
