import { type SavedAnswer, type SaveRequest, savedAnswer, storedDesign } from '../../contracts/design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { sameDocument } from '../../kit/kept/drafts.ts';
import { postDesign } from '../../kit/post-design.ts';
import { type RequestError, request } from '../../kit/request.ts';
import { benchState, dispatch, useBench } from './bench-store.ts';
import { forgetWork, keepWork, keepWorkInHaste, startKeeping } from './keep-work.ts';

/**
 * Pause after the last change before it is written, and before a failed write is tried again: soon where the line or the server
 * failed, later where somebody has to do something first (enter the passphrase, restore the design).
 */
const PAUSE = 600;
const RETRY = 5000;
const RETRY_LATER = 60_000;

let timer: ReturnType<typeof setTimeout> | undefined;
let saving: Promise<void> | undefined;

/** What was sent and may have arrived without an answer: a page's last word, or a write whose line was lost. */
let unanswered: readonly Design[] = [];

/** The person has chosen what another window saved: nothing of this page's is kept or sent any more. */
let givenUp = false;

/** Writes every change soon after it is made; whatever the server does not have is kept in this browser. */
export function startAutosave(): () => void {
  const stopKeeping = startKeeping();
  const stop = useBench.subscribe(({ bench }, { bench: before }) => {
    if (bench === undefined || bench.history.present === before?.history.present) return;
    if (bench.history.present === bench.stored) forgetWork();
    else keepWork(bench.history.present);
    if (bench.saved.kind === 'waiting') later(PAUSE);
  });
  const hearers = [
    ['pagehide', leave],
    ['pageshow', comeBack],
    ['beforeunload', warn],
    ['online', () => void saveNow()],
    ['focus', tryAgain],
  ] as const;
  for (const [event, hear] of hearers) window.addEventListener(event, hear as EventListener);
  return () => {
    stop();
    stopKeeping();
    clearTimeout(timer);
    for (const [event, hear] of hearers) window.removeEventListener(event, hear as EventListener);
  };
}

function isUnsaved(): boolean {
  const { history, stored } = benchState();
  return history.present !== stored;
}

/** The page goes away: what is not saved yet is kept in this browser, and sent as the page's last word. */
function leave(): void {
  if (!isUnsaved() || givenUp) return;
  const { id, version, history, saved } = benchState();
  keepWorkInHaste(history.present);
  if (saved.kind === 'stale') return;
  unanswered = [...unanswered, history.present];
  void fetch(`/api/designs/${id}`, {
    method: 'PUT',
    keepalive: true,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ version, document: history.present } satisfies SaveRequest),
  }).catch(() => {
    // Too large for a last word, or no connection: the draft is offered at the next visit.
  });
}

/** Asks before a page goes away with work that neither the server nor this browser has. */
function warn(event: BeforeUnloadEvent): void {
  if (isUnsaved() && !givenUp && !keepWorkInHaste(benchState().history.present)) event.preventDefault();
}

/** The page comes back as it was left, from the browser's page cache: what the server has may be newer. */
async function comeBack({ persisted }: PageTransitionEvent): Promise<void> {
  if (!persisted) return;
  if (!isUnsaved()) {
    const { id, version } = benchState();
    const answer = await request('GET', `/api/designs/${id}`).catch(() => undefined);
    const stored = storedDesign.safeParse(answer);
    if (stored.success && stored.data.version !== version && !isUnsaved()) window.location.reload();
  } else if (await hasArrived()) await saveNow();
  else later(PAUSE);
}

/** Whoever comes back to the page may have done elsewhere what was in the way of a write. */
function tryAgain(): void {
  if (benchState().saved.kind === 'failed' && !givenUp) void saveNow();
}

function later(pause: number): void {
  clearTimeout(timer);
  timer = setTimeout(() => void saveNow(), pause);
}

/** Writes what has changed, now. Resolves when the server has all of it or has refused it; who asks meanwhile waits too. */
export function saveNow(): Promise<void> {
  clearTimeout(timer);
  saving ??= saveAll().finally(() => {
    saving = undefined;
  });
  return saving;
}

async function saveAll(): Promise<void> {
  while (isUnsaved() && benchState().saved.kind !== 'stale') {
    if (!(await write(benchState().history.present))) return;
  }
}

/** @returns whether the server has it now */
async function write(design: Design): Promise<boolean> {
  const { id, version } = benchState();
  dispatch({ kind: 'saving', saved: { kind: 'saving' } });
  unanswered = [...unanswered, design];
  try {
    const body = { version, document: design };
    const answer = savedAnswer.parse(await request('PUT', `/api/designs/${id}`, body));
    take(design, answer);
    return true;
  } catch (error) {
    return refused(error as RequestError);
  }
}

function take(design: Design, { version, updatedAt }: Pick<SavedAnswer, 'version' | 'updatedAt'>): void {
  unanswered = [];
  dispatch({ kind: 'stored', design, version, at: updatedAt });
  if (!isUnsaved()) forgetWork();
}

/** @returns whether what was refused as stale is of this page's own, so that it can be gone on from */
async function refused(error: RequestError): Promise<boolean> {
  if (error.status === 409) {
    if (await hasArrived()) return true;
    dispatch({ kind: 'saving', saved: { kind: 'stale', asking: true } });
    return false;
  }
  const offline = error.status === 0;
  // Whoever answered did not take it.
  if (!offline) unanswered = unanswered.slice(0, -1);
  dispatch({ kind: 'saving', saved: { kind: 'failed', sentence: error.message, offline } });
  if (offline || error.status >= 500) later(RETRY);
  else if (error.status === 401 || error.status === 404) later(RETRY_LATER);
  return false;
}

/** Whether the server has something that this page sent and heard nothing of; then the page goes on from it. */
async function hasArrived(): Promise<boolean> {
  const { id } = benchState();
  const answer = await request('GET', `/api/designs/${id}`).catch(() => undefined);
  const stored = storedDesign.safeParse(answer);
  if (!stored.success) return false;
  const arrived = unanswered.find((design) => sameDocument(stored.data.document, design));
  if (arrived === undefined) return false;
  take(arrived, stored.data);
  return true;
}

/** Takes what another window has saved, and lets this page's work go. */
export async function takeTheirs(): Promise<void> {
  givenUp = true;
  await forgetWork();
  window.location.reload();
}

/** Saves a design as a new one beside the one that was changed elsewhere. */
export async function saveBeside(design: Design): Promise<SavedAnswer> {
  const name = `${[...design.name].slice(0, 110).join('')} (mine)`;
  return savedAnswer.parse(await postDesign({ ...design, name, number: '' }));
}

/** Saves this page's work beside the one that was changed elsewhere, and goes there. */
export async function keepBoth(): Promise<void> {
  const { id } = await saveBeside(benchState().history.present);
  givenUp = true;
  await forgetWork();
  window.location.assign(`/bench/${id}`);
}
