import { CoreError } from '../error.ts';
import { scaleTo } from './rework.ts';
import { type Sequence, threadCount } from './sequence.ts';

/** A number of threads with which a sequence comes round with a weave, and the bands that have it. */
export interface ClosingCount {
  readonly threads: number;
  readonly bands: Sequence['bands'];
}

/**
 * The nearest numbers of threads, below and above, with which a sequence comes round with a weave of so many threads at
 * once, its bands scaled in proportion; none when it does already.
 */
export function closingCounts(sequence: Sequence, weave: number): readonly ClosingCount[] {
  const now = threadCount(sequence);
  if (now % weave === 0) return [];
  const below = Math.floor(now / weave) * weave;
  return [below, below + weave].flatMap((threads) => {
    if (threads < 1) return [];
    try {
      const bands = scaleTo(sequence, threads);
      return threadCount({ ...sequence, bands }) === threads ? [{ threads, bands }] : [];
    } catch (error) {
      if (error instanceof CoreError) return [];
      throw error;
    }
  });
}
