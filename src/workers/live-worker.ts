/** What of a worker is needed to know whether it lives. */
interface Endable {
  readonly terminate: () => void;
  readonly addEventListener: (kind: 'error' | 'messageerror', hear: (event: Event) => void) => void;
}

interface Living<Api> extends Opened<Api> {
  readonly die: (why: string) => void;
  /** Fails when it dies. */
  readonly dead: Promise<never>;
}

interface Opened<Api> {
  readonly worker: Endable;
  readonly api: Api;
}

/** A worker that is brought back when it dies, and ended when nobody needs it. */
export interface LiveWorker<Api> {
  /** @throws when the worker dies over it, or does not answer in time */
  readonly ask: <T>(work: (api: Api) => Promise<T>) => Promise<T>;
  /** Ends the worker; nothing that was asked is answered any more. */
  readonly close: () => void;
}

/**
 * A worker whose death does not leave anybody waiting: whatever was asked then fails, and the next question opens another.
 * A worker that dies may say nothing at all, so that one which has not answered for long is taken for dead.
 *
 * @param patience  milliseconds
 */
export function liveWorker<Api>({
  open,
  patience,
}: {
  readonly open: () => Opened<Api>;
  readonly patience: number;
}): LiveWorker<Api> {
  let living: Living<Api> | undefined;
  let closed = false;

  const bring = () => {
    const { worker, api } = open();
    let fail: (error: Error) => void = () => {};
    const dead = new Promise<never>((_, reject) => {
      fail = reject;
    });
    // Nobody may be asking when it dies.
    dead.catch(() => {});
    const die = (why: string) => {
      worker.terminate();
      if (living?.api === api) living = undefined;
      fail(new Error(`a worker died: ${why}`));
    };
    worker.addEventListener('error', (event) => die((event as ErrorEvent).message ?? 'error'));
    worker.addEventListener('messageerror', () => die('an answer could not be read'));
    living = { api, worker, die, dead };
    return living;
  };

  return {
    ask: async (work) => {
      // What is asked of a closed one is never answered, as nobody is left to hear it.
      if (closed) return new Promise(() => {});
      const { api, die, dead } = living ?? bring();
      const timer = setTimeout(() => die('no answer'), patience);
      try {
        return await Promise.race([work(api), dead]);
      } finally {
        clearTimeout(timer);
      }
    },
    close: () => {
      closed = true;
      living?.worker.terminate();
      living = undefined;
    },
  };
}
