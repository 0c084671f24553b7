import { useCallback, useEffect, useState } from 'react';
import { type LoomAction, type LoomView, loomView } from '../../contracts/loom.ts';
import { Dialog } from '../../kit/dialog.tsx';
import { RequestError, request } from '../../kit/request.ts';
import { saveNow } from '../state/autosave.ts';
import { benchState } from '../state/bench-store.ts';

/** The weaver's view: the pick that is thrown next, its shafts and shade, and the loom's answer. */
export function LoomDialog({ onClose }: { onClose: () => void }) {
  const [view, setView] = useState<LoomView>();
  const [problem, setProblem] = useState<string>();
  const [working, setWorking] = useState(false);
  const ask = useCallback(async (action: LoomAction) => {
    setWorking(true);
    try {
      await saveNow();
      const answer = await request('POST', `/api/loom/${benchState().id}`, { action });
      setView(loomView.parse(answer));
      setProblem(undefined);
    } catch (error) {
      setProblem(error instanceof RequestError ? error.message : 'The loom could not be asked. Try again.');
    }
    setWorking(false);
  }, []);
  useEffect(() => void ask({ kind: 'look' }), [ask]);
  return (
    <Dialog open onOpenChange={onClose} title="Weave on a loom" wide>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (!working && view !== undefined) void ask({ kind: 'throw', pick: view.pick });
        }}
      >
        {view !== undefined && <Next view={view} />}
        <p
          role={problem === undefined ? 'status' : 'alert'}
          className={problem === undefined ? 'text-ash' : 'text-madder'}
        >
          {problem ?? raisedText(view)}
        </p>
        <div className="flex flex-wrap items-end gap-2">
          <button type="submit" className="button button-go" disabled={view === undefined}>
            Throw this pick
          </button>
          <button
            type="button"
            className="button"
            disabled={view === undefined || view.pick === 0}
            onClick={() => void ask({ kind: 'go', pick: view!.pick - 1 })}
          >
            One pick back
          </button>
          <button
            type="button"
            className="button"
            disabled={view === undefined}
            onClick={() => void ask({ kind: 'go', pick: view!.pick + 1 })}
          >
            One pick on
          </button>
          <button type="button" className="button" onClick={() => void ask({ kind: 'go', pick: 0 })}>
            From the first pick
          </button>
        </div>
        <p className="hint">
          Vetro speaks to the loom at port {view?.port ?? '…'} of its machine. Without one,{' '}
          <code>npx vetro loom</code> starts a stand-in. The place is kept: after an interruption weaving goes
          on at the pick that was not thrown.
        </p>
      </form>
    </Dialog>
  );
}

function raisedText(view: LoomView | undefined): string {
  if (view === undefined) return 'Asking…';
  if (view.raised === null) return 'Ready.';
  return view.raised.length === 0
    ? 'The loom raised no shaft.'
    : `The loom raised ${view.raised.join(', ')}.`;
}

function Next({ view: { pick, repeat, shafts, lift, shade, after } }: { view: LoomView }) {
  return (
    <div className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-6 gap-y-3">
      <p className="numbers text-[44px] leading-none">
        <span className="sr-only">Pick </span>
        {pick + 1}
      </p>
      <p className="text-ash">
        Pick {(pick % repeat) + 1} of {repeat} in the repeat
      </p>
      <span className="label mb-0">Shafts</span>
      <ol
        className="m-0 flex list-none flex-wrap gap-1 p-0"
        aria-label={`Shafts up: ${lift.join(', ') || 'none'}`}
      >
        {Array.from({ length: shafts }, (_, index) => index + 1).map((shaft) => (
          <li
            key={shaft}
            className={`numbers grid h-8 w-8 place-items-center rounded border border-rule text-[12px] ${lift.includes(shaft) ? '-translate-y-1 bg-woad text-paper' : 'bg-white text-ash'}`}
          >
            {shaft}
          </li>
        ))}
      </ol>
      <span className="label mb-0">Shade</span>
      <p className="flex items-center gap-2">
        <span className="chip h-7 w-7" style={{ backgroundColor: shade.hex }} /> {shade.name}
        <span className="ml-4 text-ash">then</span>
        <span className="chip h-5 w-5" style={{ backgroundColor: after.hex }} /> {after.name}
      </p>
    </div>
  );
}
