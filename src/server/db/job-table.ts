import type { Kysely, Selectable } from 'kysely';
import { JOB_STATES, type Job } from '../../contracts/job.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { readDesign, writeDesignText } from '../../core/design/read-design.ts';
import { CoreError, errorFrom, type Facts } from '../../core/error.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { readStored } from '../work/read-stored.ts';
import type { Database, JobTable, Lane } from './schema.ts';

/** Most jobs that wait. */
const MOST_WAITING = 200;

/** Most that are listed, the newest. */
const MOST_LISTED = 200;

type Row = Selectable<JobTable>;

/** What a list shows of a job; its document is long, and lists are asked for again and again. */
const LISTED = [
  'id',
  'design_id',
  'design_name',
  'file',
  'query',
  'name',
  'key',
  'state',
  'made',
  'of',
  'stands',
  'bytes',
  'problem',
  'made_at',
  'began_at',
  'ended_at',
] as const satisfies readonly (keyof JobTable)[];
type ListedRow = Pick<Row, (typeof LISTED)[number]>;

/** When something became of a job: by the clock, ISO 8601, and in milliseconds that Vetro has run. */
export interface JobTime {
  readonly now: string;
  readonly running: number;
}

/** What a job begins as. */
export interface JobStart {
  readonly id: string;
  readonly designId: string;
  readonly document: Design;
  readonly others: readonly Design[];
  readonly file: string;
  readonly query: string;
  readonly name: string;
  readonly key: string;
  readonly lane: Lane;
  readonly now: string;
}

/** What is left to be done. */
export interface JobToDo {
  readonly id: string;
  readonly document: Design;
  readonly others: readonly Design[];
  readonly file: string;
  readonly query: string;
  readonly key: string;
  /** It is to be called off, which its print house has not answered yet. */
  readonly isStopped: boolean;
}

/** @throws CoreError "job/too-many" {most} */
export async function addJob(db: Kysely<Database>, start: JobStart): Promise<void> {
  const { waiting } = await db
    .selectFrom('job')
    .select(({ fn }) => fn.countAll<number>().as('waiting'))
    .where('state', '=', 'waiting')
    .executeTakeFirstOrThrow();
  if (waiting >= MOST_WAITING) throw new CoreError('job/too-many', { most: MOST_WAITING });
  const { id, designId, document, others, file, query, name, key, lane, now } = start;
  await db
    .insertInto('job')
    .values({
      id,
      design_id: designId,
      design_name: document.name,
      document: writeDesignText(document),
      others: JSON.stringify(others),
      file,
      query,
      name,
      key,
      lane,
      state: 'waiting',
      made_at: now,
      began_at: null,
      ended_at: null,
    })
    .execute();
}

/** The job of a lane that has waited longest, as begun; undefined when none waits. */
export async function beginNext(db: Kysely<Database>, lane: Lane, now: string): Promise<JobToDo | undefined> {
  const row = await db
    .updateTable('job')
    .set(({ eb }) => ({ state: 'working', began_at: now, tries: eb('tries', '+', 1), made: 0, of: 0 }))
    .where('id', '=', ({ selectFrom }) =>
      selectFrom('job')
        .select('id')
        .where('state', '=', 'waiting')
        .where('lane', '=', lane)
        .orderBy('made_at')
        .orderBy('id')
        .limit(1),
    )
    .returningAll()
    .executeTakeFirst();
  if (row === undefined) return undefined;
  return {
    id: row.id,
    document: await readStored(row.document),
    others: readOthers(row.others),
    file: row.file,
    query: row.query,
    key: row.key,
    isStopped: row.stands === CALLING_OFF,
  };
}

const CALLING_OFF: Job['stands'] = 'calling-off';

/**
 * Notes that what goes on at a print house is to be called off, so that a restart does not forget it.
 * @returns whether it goes on there
 */
export async function askToStop(db: Kysely<Database>, id: string): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('job')
    .set({ stands: CALLING_OFF })
    .where('id', '=', id)
    .where('state', '=', 'working')
    .where('lane', '=', 'print')
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

export async function tellStanding(
  db: Kysely<Database>,
  id: string,
  { made, of, stands }: Pick<Job, 'made' | 'of' | 'stands'>,
): Promise<void> {
  await db
    .updateTable('job')
    .set({ made, of, stands })
    .where('id', '=', id)
    .where('state', '=', 'working')
    .execute();
}

/** What a file is as a whole. */
export interface WholeFile {
  readonly bytes: number;
  /** SHA-256 in hexadecimal; empty where an older Vetro made it. */
  readonly digest: string;
}

/** How a job ended. */
export type JobEnd =
  | ({ readonly state: 'done' } & WholeFile)
  | { readonly state: 'failed'; readonly problem: { readonly code: string; readonly facts: Facts } }
  | { readonly state: 'stopped' };

/** Ends a job that goes on; one that has ended stays as it is. @returns whether it went on */
export async function endJob(
  db: Kysely<Database>,
  id: string,
  end: JobEnd,
  { now, running }: JobTime,
): Promise<boolean> {
  const result = await db
    .updateTable('job')
    .set({
      state: end.state,
      stands: '',
      bytes: end.state === 'done' ? end.bytes : 0,
      digest: end.state === 'done' ? end.digest : '',
      problem: end.state === 'failed' ? JSON.stringify(end.problem) : '',
      ended_at: now,
      ended_running: running,
    })
    .where('id', '=', id)
    .where('state', 'in', ['waiting', 'working'])
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}

/** Most times that a job is begun before it is told that it failed. */
const MOST_TRIES = 3;

/**
 * After the server ended in the middle of jobs: they wait again, or have failed when that came too often. What is being
 * printed goes on at the print house meanwhile, so it is asked about however often that comes.
 */
export async function takeUpJobs(db: Kysely<Database>, { now, running }: JobTime): Promise<void> {
  const problem = JSON.stringify({ code: 'job/lost', facts: { times: MOST_TRIES } });
  await db
    .updateTable('job')
    .set({ state: 'failed', problem, ended_at: now, ended_running: running })
    .where('state', '=', 'working')
    .where('lane', '=', 'here')
    .where('tries', '>=', MOST_TRIES)
    .execute();
  await db.updateTable('job').set({ state: 'waiting' }).where('state', '=', 'working').execute();
}

/** What goes on waits again, and this try does not count: the server was ended in order. */
export async function putJobsBack(db: Kysely<Database>): Promise<void> {
  await db
    .updateTable('job')
    .set(({ eb }) => ({ state: 'waiting', tries: eb('tries', '-', 1) }))
    .where('state', '=', 'working')
    .execute();
}

/** What a job was asked for, to make it again. @throws CoreError "job/missing" */
export async function findJobOrder(
  db: Kysely<Database>,
  id: string,
): Promise<{
  readonly designId: string;
  readonly design: Design;
  readonly others: readonly Design[];
  readonly file: string;
  readonly query: string;
}> {
  const row = await db
    .selectFrom('job')
    .select(['design_id', 'document', 'others', 'file', 'query'])
    .where('id', '=', id)
    .executeTakeFirst();
  if (row === undefined) throw new CoreError('job/missing');
  return {
    designId: row.design_id,
    design: await readStored(row.document),
    others: readOthers(row.others),
    file: row.file,
    query: row.query,
  };
}

async function findRow(db: Kysely<Database>, id: string): Promise<ListedRow> {
  const row = await db.selectFrom('job').select(LISTED).where('id', '=', id).executeTakeFirst();
  if (row === undefined) throw new CoreError('job/missing');
  return row;
}

/** The newest jobs first. @param isKept  whether the file of a key is still there */
export async function listJobs(
  db: Kysely<Database>,
  isKept: (key: string) => boolean,
  designId?: string,
): Promise<readonly Job[]> {
  let listed = db.selectFrom('job').select(LISTED);
  if (designId !== undefined) listed = listed.where('design_id', '=', designId);
  const rows = await listed.orderBy('made_at', 'desc').orderBy('id', 'desc').limit(MOST_LISTED).execute();
  return rows.map((row) => jobOf(row, isKept));
}

/** @throws CoreError "job/missing" */
export async function findJob(
  db: Kysely<Database>,
  id: string,
  isKept: (key: string) => boolean,
): Promise<Job> {
  return jobOf(await findRow(db, id), isKept);
}

/** Takes an ended job off the list. @throws CoreError "job/missing" | "job/under-way" */
export async function removeJob(db: Kysely<Database>, id: string): Promise<void> {
  const { state } = await findRow(db, id);
  if (state === 'waiting' || state === 'working') throw new CoreError('job/under-way');
  await db.deleteFrom('job').where('id', '=', id).execute();
}

function jobOf(row: ListedRow, isKept: (key: string) => boolean): Job {
  const state = JOB_STATES.find((each) => each === row.state)!;
  return {
    id: row.id,
    designId: row.design_id,
    designName: row.design_name,
    file: row.file,
    name: row.name,
    query: row.query,
    state,
    made: row.made,
    of: row.of,
    stands: row.stands,
    bytes: row.bytes,
    trouble: troubleOf(row.problem),
    madeAt: row.made_at,
    beganAt: row.began_at,
    endedAt: row.ended_at,
    kept: state === 'done' && isKept(row.key),
  };
}

function readOthers(text: string): readonly Design[] {
  return (JSON.parse(text) as readonly unknown[]).map(readDesign);
}

function troubleOf(problem: string): string {
  if (problem === '') return '';
  const { code, facts } = JSON.parse(problem) as { code: string; facts: Facts };
  return errorSentence(errorFrom(code, facts)) ?? 'It could not be made.';
}
