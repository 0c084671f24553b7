import { databaseFile } from '../db/open-database.ts';
import { carrying } from '../db/picture-table.ts';
import { sharedDatabase } from '../db/shared-database.ts';
import { LIMITS } from '../work/pools.ts';
import { sharedPools } from '../work/shared-pools.ts';
import { type Jobs, makeJobs } from './jobs.ts';
import { keptFiles } from './kept-files.ts';

let made: Promise<Jobs> | undefined;

/** The server's one list of jobs, made at its first use; a failed opening of the database is tried again at the next. */
export function sharedJobs(): Promise<Jobs> {
  made ??= makeShared().catch((error: unknown) => {
    made = undefined;
    throw error;
  });
  return made;
}

async function makeShared(): Promise<Jobs> {
  const db = await sharedDatabase();
  const jobs = makeJobs({
    db,
    files: keptFiles(`${databaseFile()}-sent`),
    make: async (order, options) =>
      sharedPools().make({ ...order, design: await carrying(db, order.design) }, options),
    atOnce: LIMITS.jobs.threads,
  });
  await jobs.takeUp();
  return jobs;
}
