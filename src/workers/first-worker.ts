import * as Comlink from 'comlink';
import type { ClothWorker } from './cloth-worker.ts';

/** What a worker does, as it is asked from a page. */
export type ClothApi = Comlink.Remote<ClothWorker>;

/** A worker, and the one way to ask it: a second would end it when it is forgotten. */
export interface AskedWorker {
  readonly worker: Worker;
  readonly api: ClothApi;
}

/** The worker that was opened while the page was loading, until somebody takes it. */
let first: AskedWorker | undefined;

/** Another worker. */
export function newWorker(): AskedWorker {
  const worker = new Worker(new URL('./cloth-worker.ts', import.meta.url), { type: 'module' });
  return { worker, api: Comlink.wrap<ClothWorker>(worker) };
}

/** Opens a worker before anything else of the page is there, so that it loads meanwhile. */
export function openFirst(): AskedWorker {
  const opened = newWorker();
  first = opened;
  // One that died is not handed on.
  opened.worker.addEventListener('error', () => {
    if (first === opened) first = undefined;
  });
  return opened;
}

/** The one that was opened first, or another. */
export function takeWorker(): AskedWorker {
  const taken = first ?? newWorker();
  first = undefined;
  return taken;
}
