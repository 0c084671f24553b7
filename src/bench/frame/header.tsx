import { ChevronRight, CircleHelp, History, Redo2, Search, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { NameInPlace } from '../../kit/fields/name-in-place.tsx';
import { IconButton } from '../../kit/icon-button.tsx';
import { Mark } from '../../kit/mark.tsx';
import { clockText } from '../../wording/measures.ts';
import { saveNow } from '../state/autosave.ts';
import type { SavedState } from '../state/bench-state.ts';
import { benchState, dispatch, useBenchState, useDesign } from '../state/bench-store.ts';
import { duplicate } from './duplicate.ts';
import { VersionsDialog } from './versions-dialog.tsx';

/** Where you are, undo and redo, what is saved, Duplicate and Send. */
export function Header({ onKeys, onSearch }: { onKeys: () => void; onSearch: () => void }) {
  const range = useBenchState((state) => state.range);
  const saved = useBenchState((state) => state.saved);
  const [looking, setLooking] = useState(false);
  const canUndo = useBenchState((state) => state.history.past.length > 0);
  const canRedo = useBenchState((state) => state.history.future.length > 0);
  const { name } = useDesign();
  return (
    <header className="flex h-12 items-center gap-3.5 border-rule border-b bg-paper px-[18px] max-[1100px]:gap-1.5">
      <h1 className="sr-only">{name}</h1>
      <a
        href="/"
        onClick={leave}
        className="flex items-center gap-3 text-ink no-underline"
        aria-label="Vetro: to the shelf"
      >
        <Mark />
        <span className="font-[650] font-heading text-[20px] max-[900px]:sr-only">Vetro</span>
      </a>
      <nav aria-label="Where you are" className="flex min-w-0 items-center gap-1.5 text-ash">
        <a href="/" onClick={leave} className="inline-block py-1 text-ash no-underline hover:text-ink">
          Shelf
        </a>
        {range !== '' && (
          <>
            <ChevronRight size={14} aria-hidden="true" className="flex-none max-[900px]:hidden" />
            <span className="whitespace-nowrap max-[900px]:hidden">{range}</span>
          </>
        )}
        <ChevronRight size={14} aria-hidden="true" className="flex-none" />
        <NameField />
      </nav>
      <span className="flex-1" />
      <IconButton
        name="Undo"
        keys="Ctrl Z"
        icon={Undo2}
        disabled={!canUndo}
        onClick={() => dispatch({ kind: 'undo' })}
      />
      <IconButton
        name="Redo"
        keys="Ctrl Shift Z"
        icon={Redo2}
        disabled={!canRedo}
        onClick={() => dispatch({ kind: 'redo' })}
      />
      <SavedWords saved={saved} />
      <IconButton name="Versions" icon={History} onClick={() => setLooking(true)} />
      {looking && <VersionsDialog onClose={() => setLooking(false)} />}
      <IconButton name="Search everything" keys="Ctrl K" icon={Search} onClick={onSearch} />
      <IconButton name="Keyboard shortcuts" keys="?" icon={CircleHelp} onClick={onKeys} />
      <button type="button" className="button" onClick={() => void duplicate()}>
        Duplicate
      </button>
      <button
        type="button"
        className="button button-go"
        onClick={() => dispatch({ kind: 'step', step: 'Send' })}
      >
        Send
      </button>
    </header>
  );
}

/** The design's name, edited where it stands; every change of it is saved. */
function NameField() {
  const { name } = useDesign();
  return (
    <NameInPlace
      label="Name of the design"
      name={name}
      className="min-h-6 min-w-0 text-ellipsis rounded px-1 font-semibold text-ink field-sizing-content hover:bg-linen"
      style={{ maxWidth: '34vw' }}
      onType={(typed) =>
        dispatch({ kind: 'edit', edit: (design) => ({ ...design, name: typed }), tag: 'name' })
      }
      onDone={() => dispatch({ kind: 'settle' })}
    />
  );
}

/** Goes to the shelf once what is on the bench has been written. */
function leave(event: React.MouseEvent<HTMLAnchorElement>): void {
  if (benchState().saved.kind !== 'waiting' || event.ctrlKey || event.metaKey) return;
  event.preventDefault();
  void saveNow().finally(() => window.location.assign('/'));
}

function SavedWords({ saved }: { saved: SavedState }) {
  const kept = useBenchState((state) => state.kept === state.history.present);
  const [words, colour] = savedText(saved, kept);
  const dot = <span className={`h-2 w-2 flex-none rounded-full ${colour}`} />;
  if (saved.kind === 'stale') {
    const ask = () => dispatch({ kind: 'saving', saved: { kind: 'stale', asking: true } });
    return (
      <button type="button" className="button button-plain text-[13px]" onClick={ask}>
        {dot} {words}
      </button>
    );
  }
  return (
    <span
      role="status"
      title={words}
      className="flex min-w-0 shrink items-center gap-1.5 truncate text-[13px] max-[900px]:max-w-[120px]"
    >
      {dot}
      {words}
    </span>
  );
}

/** @param kept  whether this browser is known to keep what is on the bench */
function savedText(saved: SavedState, kept: boolean): readonly [words: string, colour: string] {
  const here = kept ? 'kept here' : 'do not close this page';
  switch (saved.kind) {
    case 'saved':
      return [`Saved ${clockText(saved.at)}`, 'bg-verdigris'];
    case 'waiting':
    case 'saving':
      return ['Saving…', 'bg-weld'];
    case 'failed':
      return [
        saved.offline ? `Not saved: no connection — ${here}` : `Not saved: ${saved.sentence} — ${here}`,
        'bg-madder',
      ];
    case 'stale':
      return [`Not saved: changed elsewhere — ${here}`, 'bg-madder'];
    default:
      return saved satisfies never;
  }
}
