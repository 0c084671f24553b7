import { ChevronRight, CircleHelp, Redo2, Undo2 } from 'lucide-react';
import { toast } from 'sonner';
import { savedAnswer } from '../../contracts/design.ts';
import { NameInPlace } from '../../kit/fields/name-in-place.tsx';
import { Mark } from '../../kit/mark.tsx';
import { request } from '../../kit/request.ts';
import { clockText } from '../../wording/measures.ts';
import { saveNow } from '../state/autosave.ts';
import type { SavedState } from '../state/bench-state.ts';
import { benchState, dispatch, useBenchState, useDesign } from '../state/bench-store.ts';

/** Where you are, undo and redo, what is saved, Copy and Send. */
export function Header({ onKeys }: { onKeys: () => void }) {
  const range = useBenchState((state) => state.range);
  const saved = useBenchState((state) => state.saved);
  const canUndo = useBenchState((state) => state.history.past.length > 0);
  const canRedo = useBenchState((state) => state.history.future.length > 0);
  return (
    <header className="flex h-12 items-center gap-3.5 border-rule border-b bg-paper px-[18px]">
      <a
        href="/"
        onClick={leave}
        className="flex items-center gap-3 text-ink no-underline"
        aria-label="Vetro: to the shelf"
      >
        <Mark />
        <span className="font-[650] font-heading text-[20px]">Vetro</span>
      </a>
      <nav aria-label="Where you are" className="flex min-w-0 items-center gap-1.5 text-ash">
        <a href="/" onClick={leave} className="text-ash no-underline hover:text-ink">
          Shelf
        </a>
        {range !== '' && (
          <>
            <ChevronRight size={14} aria-hidden="true" />
            <span className="whitespace-nowrap">{range}</span>
          </>
        )}
        <ChevronRight size={14} aria-hidden="true" className="flex-none" />
        <NameField />
      </nav>
      <span className="flex-1" />
      <button
        type="button"
        className="button button-plain"
        aria-label="Undo"
        title="Undo (Ctrl Z)"
        disabled={!canUndo}
        onClick={() => dispatch({ kind: 'undo' })}
      >
        <Undo2 size={17} aria-hidden="true" />
      </button>
      <button
        type="button"
        className="button button-plain"
        aria-label="Redo"
        title="Redo (Ctrl Shift Z)"
        disabled={!canRedo}
        onClick={() => dispatch({ kind: 'redo' })}
      >
        <Redo2 size={17} aria-hidden="true" />
      </button>
      <SavedWords saved={saved} />
      <button
        type="button"
        className="button button-plain"
        aria-label="Keys"
        title="Keys (?)"
        onClick={onKeys}
      >
        <CircleHelp size={17} aria-hidden="true" />
      </button>
      <button type="button" className="button" onClick={() => void copy()}>
        Copy
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

async function copy(): Promise<void> {
  try {
    await saveNow();
    const answer = savedAnswer.parse(await request('POST', `/api/designs/${benchState().id}/copy`));
    window.location.assign(`/bench/${answer.id}`);
  } catch (error) {
    toast.error((error as Error).message);
  }
}

/** The design's name, edited where it stands; every change of it is saved. */
function NameField() {
  const { name } = useDesign();
  return (
    <NameInPlace
      label="Name of the design"
      name={name}
      className="min-w-0 text-ellipsis rounded px-1 font-semibold text-ink field-sizing-content hover:bg-linen"
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
    <span role="status" title={words} className="flex min-w-0 items-center gap-1.5 truncate text-[13px]">
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
