import * as Comlink from 'comlink';
import type { ClothWorker } from './cloth-worker.ts';
import { liveWorker } from './live-worker.ts';

/** What a worker does, as it is asked from a page. */
export type ClothApi = Comlink.Remote<ClothWorker>;

/** Milliseconds after which a worker that has not answered is given up: no cloth that can be shown takes as long. */
const PATIENCE = 120_000;

/** A worker of its own that paints, measures and checks designs. */
export function openClothWorker() {
  return liveWorker({
    open: () => {
      const worker = new Worker(new URL('./cloth-worker.ts', import.meta.url), { type: 'module' });
      return { worker, api: Comlink.wrap<ClothWorker>(worker) };
    },
    patience: PATIENCE,
  });
}
