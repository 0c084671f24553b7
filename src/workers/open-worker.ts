import { newWorker, takeWorker } from './first-worker.ts';
import { liveWorker } from './live-worker.ts';

export type { ClothApi } from './first-worker.ts';

/** Milliseconds after which a worker that has not answered is given up: no cloth that can be shown takes as long. */
const PATIENCE = 120_000;

/** A worker of its own that paints, measures and checks designs. */
export function openClothWorker() {
  return liveWorker({ open: newWorker, patience: PATIENCE });
}

/** The same for the cloth that a page shows first: the worker that was opened while the page was loading. */
export function openFirstClothWorker() {
  return liveWorker({ open: takeWorker, patience: PATIENCE });
}
