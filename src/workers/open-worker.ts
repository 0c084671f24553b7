import * as Comlink from 'comlink';
import type { ClothWorker } from './cloth-worker.ts';

/** A worker of its own that paints, measures and checks designs. */
export function openClothWorker(): Comlink.Remote<ClothWorker> {
  const worker = new Worker(new URL('./cloth-worker.ts', import.meta.url), { type: 'module' });
  return Comlink.wrap<ClothWorker>(worker);
}
