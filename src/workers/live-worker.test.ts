import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { liveWorker } from './live-worker.ts';

interface Api {
  readonly number: number;
}

/** Workers that do what they are told: answer at once, never, or die over it. */
function fakeWorkers() {
  const workers: { ended: boolean; hear: Map<string, (event: Event) => void> }[] = [];
  const open = () => {
    const state = { ended: false, hear: new Map<string, (event: Event) => void>() };
    workers.push(state);
    return {
      api: { number: workers.length },
      worker: {
        terminate: () => {
          state.ended = true;
        },
        addEventListener: (kind: string, hear: (event: Event) => void) => void state.hear.set(kind, hear),
      },
    };
  };
  return { workers, open };
}

const never = () => new Promise<never>(() => {});

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('a worker', () => {
  it('is one for all questions, and ends when it is closed', async () => {
    const { workers, open } = fakeWorkers();
    const worker = liveWorker<Api>({ open, patience: 1000 });
    expect(await worker.ask(({ number }) => Promise.resolve(number))).toBe(1);
    expect(await worker.ask(({ number }) => Promise.resolve(number))).toBe(1);
    worker.close();
    expect(workers.map(({ ended }) => ended)).toEqual([true]);
  });

  it('that dies over a question fails it, and another takes its place', async () => {
    const { workers, open } = fakeWorkers();
    const worker = liveWorker<Api>({ open, patience: 1000 });
    const asked = worker.ask(never);
    workers[0]!.hear.get('error')!({ message: 'out of memory' } as ErrorEvent);
    await expect(asked).rejects.toThrow('out of memory');
    expect(await worker.ask(({ number }) => Promise.resolve(number))).toBe(2);
    expect(workers.map(({ ended }) => ended)).toEqual([true, false]);
  });

  it('that says nothing for too long is taken for dead', async () => {
    const { workers, open } = fakeWorkers();
    const worker = liveWorker<Api>({ open, patience: 1000 });
    const asked = expect(worker.ask(never)).rejects.toThrow('no answer');
    await vi.advanceTimersByTimeAsync(1001);
    await asked;
    expect(workers[0]!.ended).toBe(true);
    expect(await worker.ask(({ number }) => Promise.resolve(number))).toBe(2);
  });

  it('whose error comes from what was asked lives on', async () => {
    const { workers, open } = fakeWorkers();
    const worker = liveWorker<Api>({ open, patience: 1000 });
    await expect(worker.ask(() => Promise.reject(new Error('wrong')))).rejects.toThrow('wrong');
    expect(workers[0]!.ended).toBe(false);
  });
});
