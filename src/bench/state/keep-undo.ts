import type { Design } from '../../core/design/design-schema.ts';
import { sameDocument } from '../../kit/kept/drafts.ts';
import { keepHistory, keptHistory } from '../../kit/kept/undo-store.ts';
import { benchState, dispatch, useBench } from './bench-store.ts';

/** Most steps that are kept each way. */
const STEPS = 100;

/** Pause after a change before its history is kept. */
const PAUSE = 400;

/** Lets undo go on over a reload, as long as the design is still the one that was left. */
export function startKeepingUndo(): () => void {
  const { id } = benchState();
  void bringBack(id);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const keepNow = () => {
    clearTimeout(timer);
    timer = undefined;
    const { past, present, future } = benchState().history;
    const at = new Date().toISOString();
    void keepHistory(id, { past: past.slice(-STEPS), present, future: future.slice(0, STEPS), at });
  };
  const stop = useBench.subscribe(({ bench }, { bench: before }) => {
    if (bench === undefined || bench.history === before?.history) return;
    clearTimeout(timer);
    timer = setTimeout(keepNow, PAUSE);
  });
  const leave = () => timer !== undefined && keepNow();
  window.addEventListener('pagehide', leave);
  return () => {
    stop();
    clearTimeout(timer);
    window.removeEventListener('pagehide', leave);
  };
}

async function bringBack(id: string): Promise<void> {
  const kept = await keptHistory<Design>(id);
  const { history, id: open } = benchState();
  const isUntouched = open === id && history.past.length === 0 && history.future.length === 0;
  if (kept === undefined || !isUntouched || !sameDocument(kept.present, history.present)) return;
  dispatch({ kind: 'remember', past: kept.past, future: kept.future });
}
