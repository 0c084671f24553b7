import { forget, keep, readKept } from './browser-store.ts';

const TOURED = 'vetro-toured';
const FIRST = 'vetro-first-design';

/** Says that the first design is begun here, so that the bench takes its maker round. */
export function beginFirst(): void {
  if (readKept(TOURED) === undefined) keep(FIRST, '1');
}

/** Whether whoever opened the bench is to be taken round. */
export function isFirst(): boolean {
  return readKept(FIRST) !== undefined;
}

export function leaveTour(): void {
  forget(FIRST);
  keep(TOURED, '1');
}
