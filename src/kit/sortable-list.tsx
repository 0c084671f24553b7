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
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical, type LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';

interface SortableListProps<Id extends UniqueIdentifier> {
  readonly ids: readonly Id[];
  /** What one of them is called, in the definite: "the shade". */
  readonly what: string;
  readonly nameOf: (id: Id) => string;
  readonly onMove: (from: number, to: number) => void;
  readonly children: ReactNode;
}

/** A list whose rows are put into another order by hand or by keys. */
export function SortableList<Id extends UniqueIdentifier>(props: SortableListProps<Id>) {
  const { ids, what, nameOf, onMove, children } = props;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const placeOf = (id: UniqueIdentifier) => ids.indexOf(id as Id);
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={moveWords(what, (id) => nameOf(id as Id), placeOf)}
      onDragEnd={({ active, over }) => {
        if (over === null || active.id === over.id) return;
        onMove(placeOf(active.id), placeOf(over.id));
      }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        <ul className="m-0 flex list-none flex-col p-0">{children}</ul>
      </SortableContext>
    </DndContext>
  );
}

/** What a screen reader says while a row is moved. */
function moveWords(
  what: string,
  nameOf: (id: UniqueIdentifier) => string,
  placeOf: (id: UniqueIdentifier) => number,
) {
  return {
    screenReaderInstructions: {
      draggable: `Space takes ${what} up, the arrow keys move it, Space puts it down, Escape leaves it.`,
    },
    announcements: {
      onDragStart: ({ active }) => `Took up ${nameOf(active.id)}.`,
      onDragOver: ({ active, over }) => over && `${nameOf(active.id)} is over place ${placeOf(over.id) + 1}.`,
      onDragEnd: ({ active, over }) =>
        over && `Put ${nameOf(active.id)} down at place ${placeOf(over.id) + 1}.`,
      onDragCancel: ({ active }) => `Left ${nameOf(active.id)} where it was.`,
    } as Announcements,
  };
}

interface SortableRowProps {
  readonly id: UniqueIdentifier;
  readonly name: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A row of such a list, with the handle that it is taken up by. */
export function SortableRow({ id, name, className = 'bg-paper', children }: SortableRowProps) {
  const sortable = useSortable({ id });
  return (
    <li
      ref={sortable.setNodeRef}
      style={{ transform: CSS.Translate.toString(sortable.transform), transition: sortable.transition }}
      className={`flex items-center gap-2 border-rule/70 border-b py-1.5 ${className} ${sortable.isDragging ? 'relative z-10 shadow-lg' : ''}`}
    >
      <button
        type="button"
        className="grid h-7 w-6 flex-none cursor-grab touch-none place-items-center text-ash"
        {...sortable.attributes}
        {...sortable.listeners}
        aria-label={`Move ${name}`}
      >
        <GripVertical size={15} aria-hidden="true" />
      </button>
      {children}
    </li>
  );
}

interface RowButtonProps {
  readonly label: string;
  readonly icon: LucideIcon;
  readonly onClick: () => void;
}

/** A small button at the end of a row. */
export function RowButton({ label, icon: Icon, onClick }: RowButtonProps) {
  return (
    <button
      type="button"
      className="button button-plain px-1"
      aria-label={label}
      title={label}
      onClick={onClick}
    >
      <Icon size={15} aria-hidden="true" />
    </button>
  );
}
