import type { Design } from '../../core/design/design-schema.ts';
import { type Proven, proofName } from './proven.ts';

/** Proves a design; stops when the signal says so. */
export type Prove = (design: Design, signal: AbortSignal) => Promise<Proven>;

export interface Prover {
  /** What is proven of a design within a moment; undefined while its check goes on. */
  readonly soon: (id: string, design: Design) => Promise<Proven | undefined>;
  /** What is proven of it at last; undefined when a newer state of that design is checked instead. */
  readonly atLast: (id: string, design: Design) => Promise<Proven | undefined>;
}

/** Milliseconds that a write waits for its check. */
const MOMENT = 250;

/** Most results that are kept. */
const KEPT = 500;

interface Running {
  readonly result: Promise<Proven | undefined>;
  readonly abort: AbortController;
  /** The designs that wait for it. */
  readonly waiting: Set<string>;
}

/**
 * Proves designs, the same numbers once. While a design's check goes on and its numbers change, the old check is
 * stopped: only the newest state of each design is proven.
 */
export function makeProver(prove: Prove, moment = MOMENT): Prover {
  const known = new Map<string, Proven>();
  const running = new Map<string, Running>();

  const begin = (name: string, design: Design): Running => {
    const abort = new AbortController();
    const result = prove(design, abort.signal)
      .then((proven) => {
        if (known.size >= KEPT) known.delete(known.keys().next().value!);
        known.set(name, proven);
        return proven;
      })
      .catch((error: unknown) => {
        if (!abort.signal.aborted) console.error(error);
        return undefined;
      })
      .finally(() => running.delete(name));
    const begun = { result, abort, waiting: new Set<string>() };
    running.set(name, begun);
    return begun;
  };

  const leaveOlder = (id: string, name: string) => {
    for (const [other, { waiting, abort }] of running) {
      if (other === name || !waiting.delete(id) || waiting.size > 0) continue;
      abort.abort();
      running.delete(other);
    }
  };

  const atLast = (id: string, design: Design) => {
    const name = proofName(design);
    leaveOlder(id, name);
    const proven = known.get(name);
    if (proven !== undefined) return Promise.resolve(proven);
    const run = running.get(name) ?? begin(name, design);
    run.waiting.add(id);
    return run.result;
  };

  const soon = async (id: string, design: Design) => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const wait = new Promise<undefined>((resolve) => {
      timer = setTimeout(() => resolve(undefined), moment);
    });
    const proven = await Promise.race([atLast(id, design), wait]);
    clearTimeout(timer);
    return proven;
  };

  return { soon, atLast };
}
