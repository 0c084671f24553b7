import { createHash, randomUUID } from 'node:crypto';
import type { Kysely } from 'kysely';
import { DAYS_KEPT, isPrinted, type Job } from '../../contracts/job.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { writeDesignText } from '../../core/design/read-design.ts';
import { CoreError, type Facts } from '../../core/error.ts';
import { doAgain, dropJobsBefore, findMade, findWhole, keysOfJobs } from '../db/job-files.ts';
import {
  addJob,
  askToStop,
  beginNext,
  endJob,
  findJob,
  findJobOrder,
  type JobToDo,
  listJobs,
  putJobsBack,
  removeJob,
  takeUpJobs,
  tellStanding,
  type WholeFile,
} from '../db/job-table.ts';
import { RUNNING_DAY } from '../db/running-time.ts';
import type { Database, Lane } from '../db/schema.ts';
import { ENDING } from '../ending.ts';
import { nameOf } from '../sending/send-file.ts';
import type { KeptFiles } from './kept-files.ts';

/** A file that is to be made. */
export interface Order {
  readonly designId: string;
  readonly design: Design;
  /** Further designs, for a file that holds several. */
  readonly others?: readonly Design[];
  readonly file: string;
  readonly query: string;
}

/** How far a job is that goes on. */
export type Standing = Pick<Job, 'made' | 'of' | 'stands'>;

/** Makes a file at a path. @throws CoreError of the maker */
export type Make = (
  order: Omit<Required<Order>, 'designId'> & { readonly id: string; readonly path: string },
  options: { readonly signal: AbortSignal; readonly told: (standing: Standing) => void },
) => Promise<void>;

export interface Jobs {
  readonly order: (order: Order) => Promise<Job>;
  /** The newest first, of all designs or of one. */
  readonly list: (designId?: string) => Promise<readonly Job[]>;
  readonly find: (id: string) => Promise<Job>;
  /** Stops a job that waits or goes on. */
  readonly stop: (id: string) => Promise<Job>;
  /** The same file of the same design once more, as another job. */
  readonly again: (id: string) => Promise<Job>;
  readonly remove: (id: string) => Promise<void>;
  /**
   * The file of a job that is done; one that is not what was made is made again.
   * @throws CoreError "job/missing" | "job/not-kept" {days} | "job/made-again"
   */
  readonly file: (id: string) => Promise<{ readonly job: Job; readonly bytes: ReadableStream<Uint8Array> }>;
  /** Takes up what the server was in the middle of when it ended. */
  readonly takeUp: () => Promise<void>;
  /** Ends what goes on so that it waits again for the next server; nothing more is begun. */
  readonly putBack: () => Promise<void>;
}

export interface JobsRoom {
  readonly db: Kysely<Database>;
  readonly files: KeptFiles;
  readonly lanes: Readonly<Record<Lane, LaneRoom>>;
  readonly now?: () => Date;
  /** Milliseconds that Vetro has run on this shelf. */
  readonly running: () => number;
  /** Bytes of all files that are kept. */
  readonly mostKept?: number;
}

/** Who makes the jobs of a lane, and how many of them at a time. */
export interface LaneRoom {
  readonly make: Make;
  readonly atOnce: number;
}

/** Why a job that goes on is broken off: somebody stopped it. */
const STOPPED = new Error('stopped');

/** Bytes of all files that are kept, when nothing else is said. */
const MOST_KEPT = 20e9;

/** Milliseconds after which what is kept too long is looked for again. */
const TIDY = 60 * 60 * 1000;

/** Milliseconds between two times that rows are written down. */
const EVERY = 400;

/** Files that are made one after another in each lane, whoever asked, and kept for some days. */
export function makeJobs({
  db,
  files,
  lanes,
  now = () => new Date(),
  running: runningTime,
  mostKept = MOST_KEPT,
}: JobsRoom): Jobs {
  const running = new Map<string, AbortController>();
  const begun: Record<Lane, number> = { here: 0, print: 0 };
  const time = () => now().toISOString();

  const both = () => ({ now: time(), running: runningTime() });

  let tidied = Number.NEGATIVE_INFINITY;
  let ending = false;

  /** Drops jobs and files that were kept long enough. */
  const tidy = async (): Promise<void> => {
    const at = runningTime();
    if (at - tidied < TIDY) return;
    tidied = at;
    await dropJobsBefore(db, at - DAYS_KEPT * RUNNING_DAY);
    await files.dropOthers(await keysOfJobs(db), [...running.keys()]);
    await files.dropBeyond(mostKept);
  };

  const begin = async (lane: Lane): Promise<void> => {
    const { make, atOnce } = lanes[lane];
    while (begun[lane] < atOnce && !ending) {
      // Counted before the database is asked, so that two calls do not begin more than they may.
      begun[lane] += 1;
      const next = await beginNext(db, lane, time()).catch((error: unknown) => {
        begun[lane] -= 1;
        throw error;
      });
      if (next === undefined) {
        begun[lane] -= 1;
        return;
      }
      void work(next, make).finally(() => {
        begun[lane] -= 1;
        begin(lane).catch(console.error);
      });
    }
  };

  const work = async (job: JobToDo, make: Make): Promise<void> => {
    const stop = new AbortController();
    running.set(job.id, stop);
    if (job.isStopped) stop.abort(STOPPED);
    try {
      const known = await findWhole(db, job.key);
      const isThere = known !== undefined && (await files.isWhole(job.key, known));
      const whole = isThere ? known : await makeFile(job, make, stop.signal);
      await endJob(db, job.id, { state: 'done', ...whole }, both());
    } catch (error) {
      await files.drop(job.id).catch(console.error);
      if (stop.signal.reason === ENDING) return;
      // What was called off may have been refused meanwhile, or its house given up: then that is told.
      const isTold = error instanceof CoreError && error.code.startsWith('print/');
      const isStopped = stop.signal.reason === STOPPED && !isTold;
      const end = isStopped
        ? ({ state: 'stopped' } as const)
        : ({ state: 'failed', problem: problemOf(error) } as const);
      await endJob(db, job.id, end, both());
    } finally {
      running.delete(job.id);
    }
  };

  const makeFile = async (
    { id, document, others, file, query, key }: JobToDo,
    make: Make,
    signal: AbortSignal,
  ): Promise<WholeFile> => {
    let written = 0;
    let last = '';
    const told = (standing: Standing) => {
      const at = Date.now();
      if (at - written < EVERY && standing.stands === last) return;
      written = at;
      last = standing.stands;
      void tellStanding(db, id, standing).catch(console.error);
    };
    const path = files.partOf(id);
    await make({ id, design: document, others, file, query, path }, { signal, told });
    return files.keep(id, key);
  };

  const order = async ({ designId, design, others = [], file, query }: Order): Promise<Job> => {
    const id = randomUUID();
    const asked = new URLSearchParams(query);
    asked.delete('save');
    asked.delete('v');
    const text = String(asked);
    const lane = isPrinted({ file }) ? 'print' : 'here';
    await addJob(db, {
      id,
      designId,
      document: design,
      others,
      file,
      query: text,
      name: nameOf({ design, file, query: asked }),
      // What is printed is printed for this job alone.
      key: isPrinted({ file }) ? id + endingOf(file) : keyOf([design, ...others], file, text),
      lane,
      now: time(),
    });
    await begin(lane);
    tidy().catch(console.error);
    return find(id);
  };

  const find = (id: string) => findJob(db, id, files.has);

  return {
    order,
    find,
    list: (designId) => listJobs(db, files.has, designId),
    stop: async (id) => {
      // What a print house has is stopped when the house has said so, and told as being called off until then.
      const isAtHouse = await askToStop(db, id);
      if (!isAtHouse) await endJob(db, id, { state: 'stopped' }, both());
      running.get(id)?.abort(STOPPED);
      return find(id);
    },
    again: async (id) => order(await findJobOrder(db, id)),
    remove: (id) => removeJob(db, id),
    file: async (id) => {
      const job = await find(id);
      const { key, lane, ...whole } = await findMade(db, id);
      if (job.kept && (await files.isWhole(key, whole))) return { job, bytes: files.read(key) };
      if (!job.kept || lane === 'print') throw new CoreError('job/not-kept', { days: DAYS_KEPT });
      await files.remove(key);
      await doAgain(db, id);
      await begin(lane);
      throw new CoreError('job/made-again');
    },
    putBack: async () => {
      ending = true;
      for (const stop of running.values()) stop.abort(ENDING);
      await putJobsBack(db);
    },
    takeUp: async () => {
      await tidy();
      await takeUpJobs(db, both());
      await begin('here');
      await begin('print');
    },
  };
}

/** What is made of the same numbers in the same way is the same file. */
function keyOf(designs: readonly Design[], file: string, query: string): string {
  const hash = createHash('sha256').update(`${file}?${query}\n`);
  for (const design of designs) hash.update(writeDesignText(design));
  return hash.digest('hex') + endingOf(file);
}

function endingOf(file: string): string {
  return file.slice(file.lastIndexOf('.'));
}

/** What went wrong, to be told in words; our own faults are logged. */
function problemOf(error: unknown): { readonly code: string; readonly facts: Facts } {
  if (error instanceof CoreError) return { code: error.code, facts: error.facts };
  console.error(error);
  return { code: 'job/broken', facts: {} };
}
