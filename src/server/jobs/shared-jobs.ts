import { databaseFile } from '../db/open-database.ts';
import { carrying } from '../db/picture-table.ts';
import { runningTime, writeRunningTime } from '../db/running-time.ts';
import { sharedDatabase } from '../db/shared-database.ts';
import { whenEnding } from '../ending.ts';
import { printJob } from '../print-house/print-job.ts';
import { LIMITS } from '../work/pools.ts';
import { sharedPools } from '../work/shared-pools.ts';
import { type Jobs, type Make, makeJobs } from './jobs.ts';
import { keptFiles } from './kept-files.ts';

/** Orders at the print house at a time; each only waits for the house. */
const MOST_ORDERS = 16;

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
  const pools = sharedPools();
  const running = await runningTime(db);
  writeRunningTime(running);
  whenEnding(() => running.write());
  const print = printJob(pools);
  const whole: (order: Parameters<Make>[0]) => Promise<Parameters<Make>[0]> = async (order) => ({
    ...order,
    design: await carrying(db, order.design),
    others: await Promise.all(order.others.map((each) => carrying(db, each))),
  });
  const jobs = makeJobs({
    db,
    running: running.now,
    files: keptFiles(`${databaseFile()}-sent`),
    lanes: {
      here: {
        make: async (order, options) => pools.make(await whole(order), options),
        atOnce: LIMITS.jobs.threads,
      },
      print: { make: async (order, options) => print(await whole(order), options), atOnce: MOST_ORDERS },
    },
  });
  whenEnding(() => jobs.putBack());
  await jobs.takeUp();
  return jobs;
}
