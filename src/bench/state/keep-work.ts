import type { Design } from '../../core/design/design-schema.ts';
import {
  type Draft,
  draftKey,
  forgetDraft,
  holdDraft,
  keepDraft,
  keepInHaste,
} from '../../kit/kept/drafts.ts';
import { latest } from '../../kit/latest.ts';
import { benchState, dispatch } from './bench-store.ts';

/** Drafts of earlier pages that this page's own takes the place of, once it is kept or stored. */
let adopted: readonly string[] = [];

/** Keeps the newest state of the page's work in this browser; while one is being kept, later ones wait for the last. */
const keepNewest = latest(
  (design: Design) => keepDraft(draftOf(design)),
  (kept, design) => void told(kept, design),
  console.error,
);

/** The work that is being kept or was kept last, if any. */
let wanted: Design | undefined;

/** Marks this page's key as in use for as long as the page lives. */
export function startKeeping(): () => void {
  holdDraft(draftKey(benchState().id));
  return () => {
    wanted = undefined;
  };
}

export function keepWork(design: Design): void {
  wanted = design;
  keepNewest(design);
}

/** Keeps work before this function returns. @returns whether it is kept */
export function keepWorkInHaste(design: Design): boolean {
  const { kept } = benchState();
  if (kept === design) return true;
  return keepInHaste(draftOf(design));
}

/** The work is stored, or let go: nothing of it is kept any more. */
export async function forgetWork(): Promise<void> {
  wanted = undefined;
  dispatch({ kind: 'kept', design: undefined });
  await Promise.all([draftKey(benchState().id), ...adopted].map(forgetDraft));
  adopted = [];
}

/** Goes on with the work of an earlier page; its draft goes when this page's own is kept. */
export function adoptDraft(key: string): void {
  adopted = [...adopted, key];
}

async function told(kept: boolean, design: Design): Promise<void> {
  if (wanted === undefined) {
    // It was stored while it was being kept.
    await forgetDraft(draftKey(benchState().id));
    return;
  }
  dispatch({ kind: 'kept', design: kept ? design : undefined });
  if (!kept) return;
  const older = adopted;
  adopted = [];
  await Promise.all(older.map(forgetDraft));
}

function draftOf(design: Design): Draft {
  const { id, version } = benchState();
  return {
    key: draftKey(id),
    id,
    version,
    name: design.name,
    at: new Date().toISOString(),
    document: design,
  };
}
