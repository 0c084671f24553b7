import { CoreError } from '../../core/error.ts';

/** Lets so many in at once and so many wait, in their order; one more is refused. */
export interface Turnstile {
  /** Resolves when it is one's turn; whoever was let in leaves at the end. @throws CoreError "server/busy", or the signal's reason */
  readonly enter: (signal?: AbortSignal) => Promise<void>;
  readonly leave: () => void;
}

export function makeTurnstile({
  inside,
  waiting: most,
}: {
  readonly inside: number;
  readonly waiting: number;
}): Turnstile {
  let free = inside;
  const waiting = new Set<() => void>();
  return {
    enter: (signal) => {
      signal?.throwIfAborted();
      if (free > 0) {
        free -= 1;
        return Promise.resolve();
      }
      if (waiting.size >= most) return Promise.reject(new CoreError('server/busy'));
      return new Promise((resolve, reject) => {
        const give = () => {
          signal?.removeEventListener('abort', giveUp);
          resolve();
        };
        const giveUp = () => {
          waiting.delete(give);
          reject(signal!.reason as Error);
        };
        waiting.add(give);
        signal?.addEventListener('abort', giveUp, { once: true });
      });
    },
    leave: () => {
      const [next] = waiting;
      if (next === undefined) free += 1;
      else {
        waiting.delete(next);
        next();
      }
    },
  };
}
