import { availableParallelism } from 'node:os';
import { MessageChannel, type TransferListItem } from 'node:worker_threads';
import { Piscina } from 'piscina';
import type { PrintOrder } from '../../contracts/print-house.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import type { Picture } from '../../core/shape/picture.ts';
import type { Make } from '../jobs/jobs.ts';
import type { ReadyPicture } from '../pictures/keep-picture.ts';
import type { PackedPicture } from '../pictures/pack-picture.ts';
import type { Proven } from '../proving/proven.ts';
import { type Outcome, valueIn } from './outcome.ts';
import { pouredFrom } from './pour.ts';
import type { Order, ReadyPrint, Result, Rows, TaskName } from './tasks.ts';
import { makeTurnstile, type Turnstile } from './turnstile.ts';

/** What one kind of work may cost. */
interface Limits {
  readonly threads: number;
  /** Orders that wait; one more is refused. */
  readonly queue: number;
  readonly seconds: number;
  /** Of a thread's heap. */
  readonly megabytes: number;
  /** Threads that stay when there is no work. */
  readonly ready?: number;
  /** How much kinder its threads are to other work of the machine. */
  readonly nice?: number;
}

const NICE = 10;

/** Sheets and other large files leave a core to the server; small ones do not wait behind them. */
export const LIMITS = {
  large: {
    threads: Math.max(1, Math.min(4, availableParallelism() - 1)),
    queue: 16,
    seconds: 600,
    megabytes: 1024,
    nice: NICE,
  },
  jobs: {
    threads: Math.max(1, Math.min(4, availableParallelism() - 1)),
    queue: 16,
    seconds: 3600,
    megabytes: 1024,
    nice: NICE,
  },
  small: { threads: 2, queue: 400, seconds: 60, megabytes: 512, ready: 1 },
  pictures: { threads: 1, queue: 6, seconds: 120, megabytes: 512, nice: NICE },
  shelves: { threads: 1, queue: 8, seconds: 900, megabytes: 1024, nice: NICE },
  proofs: { threads: 1, queue: 1000, seconds: 120, megabytes: 1536, nice: NICE },
} as const satisfies Readonly<Record<string, Limits>>;

export type PoolName = keyof typeof LIMITS;

/** Milliseconds after which a thread without work ends. */
const IDLE = 30_000;

/**
 * Threads import their module. Where Node can require one too, the package tries that first, and Node 20 ends the whole
 * process when a thread is stopped while it does (v8::Module::IsGraphAsync, "must be used on an instantiated module").
 */
const THREAD_FLAGS = process.allowedNodeEnvironmentFlags.has('--experimental-require-module')
  ? { execArgv: ['--no-experimental-require-module'] }
  : {};

/** Files that are made in a moment, whatever the design. */
const SMALL: readonly string[] = ['swatch.png', 'counts.csv', 'counts.txt', 'design.json'];

export interface Pools {
  readonly file: (design: Design, file: string, query: URLSearchParams) => Promise<Response>;
  /** Makes a file at a path, and tells its rows. */
  readonly make: Make;
  /** Writes the file that is printed at a path. @returns the order for it */
  readonly print: (order: ReadyPrint, signal: AbortSignal) => Promise<PrintOrder>;
  /** Takes the bytes over: they are the thread's from then on. */
  readonly picture: (bytes: Uint8Array<ArrayBuffer>) => Promise<PackedPicture>;
  /** The same. */
  readonly keep: (bytes: Uint8Array<ArrayBuffer>) => Promise<ReadyPicture>;
  readonly pixels: (file: Uint8Array<ArrayBuffer>) => Promise<Omit<Picture, 'file'>>;
  readonly prove: (design: Design, signal: AbortSignal) => Promise<Proven>;
  readonly read: Task<'read'>;
  readonly readBody: Task<'readBody'>;
  readonly backUp: Task<'backUp'>;
  readonly checkSecond: Task<'checkSecond'>;
  readonly openBackup: Task<'openBackup'>;
  readonly writeArchive: Task<'writeArchive'>;
  readonly readArchive: Task<'readArchive'>;
  readonly close: () => Promise<void>;
}

type Task<Name extends TaskName> = (order: Order<Name>) => Promise<Result<Name>>;

/** Threads, and who may use them. */
interface Pool {
  readonly threadPool: Piscina;
  readonly turnstile: Turnstile;
}

/** @param worker  path of the built `worker.ts` */
export function makePools(worker: string, limits: Readonly<Record<PoolName, Limits>> = LIMITS): Pools {
  const made = new Map<PoolName, Pool>();
  const poolOf = (name: PoolName): Pool => {
    const known = made.get(name);
    if (known !== undefined) return known;
    const { threads, queue, megabytes, ready = 0, nice = 0 } = limits[name];
    const threadPool = new Piscina({
      filename: worker,
      minThreads: ready,
      maxThreads: threads,
      idleTimeout: IDLE,
      niceIncrement: nice,
      resourceLimits: { maxOldGenerationSizeMb: megabytes },
      ...THREAD_FLAGS,
    });
    // Orders wait here and not in the package's queue: its bound does not hold for what can be stopped, and the time
    // limit is to begin with the work.
    const turnstile = makeTurnstile({ inside: threads, waiting: queue });
    const pool = { threadPool, turnstile };
    made.set(name, pool);
    return pool;
  };
  const run = async <Name extends TaskName>(
    pool: PoolName,
    name: Name,
    order: Order<Name>,
    { signal, transferList = [] }: { signal?: AbortSignal; transferList?: readonly TransferListItem[] } = {},
  ): Promise<Result<Name>> => {
    const { seconds } = limits[pool];
    const { threadPool, turnstile } = poolOf(pool);
    await turnstile.enter(signal);
    const late = AbortSignal.timeout(seconds * 1000);
    try {
      const outcome: Outcome<Result<Name>> = await threadPool.run(
        { name, order },
        {
          signal: signal === undefined ? late : AbortSignal.any([signal, late]),
          transferList: [...transferList],
        },
      );
      return valueIn(outcome);
    } catch (error) {
      throw limitOf(error, late.aborted ? seconds : undefined) ?? error;
    } finally {
      turnstile.leave();
    }
  };
  // Threads that stay are begun now, so that the first who asks does not wait for them.
  for (const name of Object.keys(limits) as PoolName[]) if ((limits[name].ready ?? 0) > 0) poolOf(name);
  return {
    file: (design, file, query) => {
      const { port1, port2 } = new MessageChannel();
      const order = { design, file, query: String(query), port: port2 };
      const pool = SMALL.includes(file) ? 'small' : 'large';
      return pouredFrom(port1, run(pool, 'file', order, { transferList: [port2] }));
    },
    make: async (order, { signal, told }) => {
      const { port1, port2 } = new MessageChannel();
      port1.on('message', (rows: Rows) => told({ ...rows, stands: '' }));
      try {
        await run('jobs', 'make', { ...order, port: port2 }, { signal, transferList: [port2] });
      } finally {
        port1.close();
      }
    },
    print: (order, signal) => run('jobs', 'print', order, { signal }),
    picture: (bytes) => run('pictures', 'picture', bytes, { transferList: [bytes.buffer] }),
    keep: (bytes) => run('pictures', 'keep', bytes, { transferList: [bytes.buffer] }),
    pixels: (file) => run('pictures', 'pixels', file, { transferList: [file.buffer] }),
    prove: (design, signal) => run('proofs', 'prove', { ...design, kept: [] }, { signal }).catch(unchecked),
    read: (text) => run('small', 'read', text),
    readBody: (text) => run('small', 'readBody', text),
    backUp: (order) => run('shelves', 'backUp', order),
    checkSecond: (order) => run('shelves', 'checkSecond', order),
    openBackup: (order) => run('shelves', 'openBackup', order),
    writeArchive: (order) => run('shelves', 'writeArchive', order),
    readArchive: (order) => run('shelves', 'readArchive', order),
    close: async () => {
      await Promise.all([...made.values()].map(({ threadPool }) => threadPool.destroy()));
    },
  };
}

/** A check that was stopped at its limit says nothing of the design. */
function unchecked(error: unknown): Proven {
  const stopped = error instanceof CoreError && ['server/too-long', 'server/too-much'].includes(error.code);
  if (stopped) return { verdict: 'Unchecked', size: '', area: 0 };
  throw error;
}

/** What a pool says when a limit was met, as an error with a sentence. @param seconds  the time limit, if it was that */
function limitOf(error: unknown, seconds: number | undefined): CoreError | undefined {
  if (seconds !== undefined) return new CoreError('server/too-long', { seconds });
  const { code } = error as { code?: unknown };
  return code === 'ERR_WORKER_OUT_OF_MEMORY' ? new CoreError('server/too-much') : undefined;
}
