import { type SavedAnswer, type SaveRequest, savedAnswer, storedDesign } from '../contracts/design.ts';
import type { Design } from '../core/design/design-schema.ts';
import { readDesign } from '../core/design/read-design.ts';
import { type RequestError, request } from '../kit/request.ts';
import { benchState, dispatch, useBench } from './bench-store.ts';

/** Pause after the last change before it is written, and before a failed write is tried again. */
const PAUSE = 600;
const RETRY = 5000;

let timer: ReturnType<typeof setTimeout> | undefined;
let writing: Promise<void> | undefined;

/** Writes every change soon after it is made; what cannot be written is kept in this browser. */
export function startAutosave(): () => void {
  const stop = useBench.subscribe(({ bench }, { bench: before }) => {
    if (bench?.history.present === before?.history.present) return;
    if (bench?.saved.kind === 'waiting') later(PAUSE);
  });
  window.addEventListener('pagehide', saveLeaving);
  return () => {
    stop();
    clearTimeout(timer);
    window.removeEventListener('pagehide', saveLeaving);
  };
}

/** The page goes away: what is not saved yet is kept in this browser, and sent as the page's last word. */
function saveLeaving(): void {
  const { id, version, history, stored, saved } = benchState();
  if (history.present === stored || saved.kind === 'stale') return;
  keepDraft(id, version, history.present);
  void fetch(`/api/designs/${id}`, {
    method: 'PUT',
    keepalive: true,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ version, document: history.present } satisfies SaveRequest),
  }).catch(() => {
    // Too large for a last word, or no connection: the draft is offered at the next visit.
  });
}

function later(pause: number): void {
  clearTimeout(timer);
  timer = setTimeout(() => void saveNow(), pause);
}

/** Writes what has changed, now. Resolves when the server has it or has refused it. */
export async function saveNow(): Promise<void> {
  clearTimeout(timer);
  await writing;
  const { history, stored, saved } = benchState();
  if (saved.kind === 'stale' || history.present === stored) return;
  writing = write(history.present).finally(() => {
    writing = undefined;
  });
  await writing;
  if (benchState().saved.kind === 'waiting') later(PAUSE);
}

async function write(design: Design): Promise<void> {
  const { id, version } = benchState();
  dispatch({ kind: 'saving', saved: { kind: 'saving' } });
  try {
    const body = { version, document: design };
    const answer = savedAnswer.parse(await request('PUT', `/api/designs/${id}`, body));
    forgetDraft(id);
    dispatch({ kind: 'stored', design, version: answer.version, at: answer.updatedAt });
  } catch (error) {
    await refused(error as RequestError, id, version, design);
  }
}

async function refused(error: RequestError, id: string, version: number, design: Design): Promise<void> {
  keepDraft(id, version, design);
  if (error.status === 409) {
    if (await hasArrived(id, design)) return;
    dispatch({ kind: 'saving', saved: { kind: 'stale', asking: true } });
    return;
  }
  const offline = error.status === 0;
  dispatch({ kind: 'saving', saved: { kind: 'failed', sentence: error.message, offline } });
  if (offline || error.status >= 500) later(RETRY);
}

/** Whether what was refused as stale is what the server has: the last word of a page that went, come late. */
async function hasArrived(id: string, design: Design): Promise<boolean> {
  const answer = await request('GET', `/api/designs/${id}`).catch(() => undefined);
  const stored = storedDesign.safeParse(answer);
  if (!stored.success || !sameDocument(stored.data.document, design)) return false;
  forgetDraft(id);
  const { version, updatedAt } = stored.data;
  dispatch({ kind: 'stored', design, version, at: updatedAt });
  return true;
}

/** Documents are written field by field in one order, so their text tells. */
function sameDocument(stored: unknown, design: Design): boolean {
  return JSON.stringify(stored) === JSON.stringify(design);
}

/** Saves a design as a new one beside the one that was changed elsewhere. */
export async function saveBeside(design: Design): Promise<SavedAnswer> {
  const document = { ...design, name: `${design.name.slice(0, 112)} (mine)`, number: '' };
  const answer = savedAnswer.parse(await request('POST', '/api/designs', { document }));
  forgetDraft(benchState().id);
  return answer;
}

interface Draft {
  readonly version: number;
  readonly design: Design;
}

const draftKey = (id: string) => `vetro-draft-${id}`;

function keepDraft(id: string, version: number, design: Design): void {
  try {
    localStorage.setItem(draftKey(id), JSON.stringify({ version, design }));
  } catch {
    // A full or forbidden store: the design is still on the bench, and the header says it is not saved.
  }
}

export function forgetDraft(id: string): void {
  localStorage.removeItem(draftKey(id));
}

/** What an earlier visit to the open design could not write, if it differs from what is stored. */
export function findDraft(): Draft | undefined {
  const { id, stored } = benchState();
  const text = localStorage.getItem(draftKey(id));
  if (text === null) return undefined;
  try {
    const { version, design } = JSON.parse(text) as { version: number; design: unknown };
    const draft = { version, design: readDesign(design) };
    if (!sameDocument(stored, draft.design)) return draft;
  } catch {
    // Broken, or of another version: nothing that could be gone on with.
  }
  forgetDraft(id);
  return undefined;
}
