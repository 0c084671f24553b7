import type { Kysely } from 'kysely';
import { CoreError } from '../../core/error.ts';
import type { WholeFile } from './job-table.ts';
import type { Database, Lane } from './schema.ts';

/** The key of a job's file, and what that is as a whole. @throws CoreError "job/missing" */
export async function findMade(
  db: Kysely<Database>,
  id: string,
): Promise<WholeFile & { readonly key: string; readonly lane: Lane }> {
  const row = await db
    .selectFrom('job')
    .select(['key', 'bytes', 'digest', 'lane'])
    .where('id', '=', id)
    .executeTakeFirst();
  if (row === undefined) throw new CoreError('job/missing');
  return row;
}

/** What the file of a key is as a whole, where a job has made it. */
export async function findWhole(db: Kysely<Database>, key: string): Promise<WholeFile | undefined> {
  return db
    .selectFrom('job')
    .select(['bytes', 'digest'])
    .where('key', '=', key)
    .where('state', '=', 'done')
    .orderBy('ended_at', 'desc')
    .executeTakeFirst();
}

/** A job that is done waits again, since its file is not what it was. */
export async function doAgain(db: Kysely<Database>, id: string): Promise<void> {
  await db
    .updateTable('job')
    .set({ state: 'waiting', tries: 0, ended_at: null, bytes: 0, digest: '' })
    .where('id', '=', id)
    .where('state', '=', 'done')
    .execute();
}

/** Keys of the files that some job still names. */
export async function keysOfJobs(db: Kysely<Database>): Promise<ReadonlySet<string>> {
  const rows = await db.selectFrom('job').select('key').distinct().execute();
  return new Set(rows.map(({ key }) => key));
}

/** Takes off the list what ended before that running time. */
export async function dropJobsBefore(db: Kysely<Database>, running: number): Promise<void> {
  await db.deleteFrom('job').where('ended_at', 'is not', null).where('ended_running', '<', running).execute();
}
