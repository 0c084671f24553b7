import type { Kysely } from 'kysely';
import type { Database } from './schema.ts';
import { readSetting, writeSetting } from './setting-table.ts';

/** Milliseconds between two times that it is written down. */
const EVERY = 60_000;

/** One day of it, in milliseconds. */
export const RUNNING_DAY = 24 * 60 * 60 * 1000;

/**
 * How long Vetro has run on a shelf so far, in milliseconds, whatever the clock says: what is kept for some days is kept while
 * Vetro runs for as long, and a clock that is once wrong throws nothing away.
 */
export interface RunningTime {
  readonly now: () => number;
  readonly write: () => Promise<void>;
}

/** @param elapsed  milliseconds that nothing sets back or ahead */
export async function runningTime(
  db: Kysely<Database>,
  elapsed: () => number = () => performance.now(),
): Promise<RunningTime> {
  const before = await readRunningTime(db);
  const start = elapsed();
  const now = () => Math.round(before + elapsed() - start);
  return { now, write: () => writeSetting(db, 'running-time', String(now())) };
}

/** As it was last written down. */
export async function readRunningTime(db: Kysely<Database>): Promise<number> {
  const stored = Number((await readSetting(db, 'running-time')) ?? 0);
  return Number.isSafeInteger(stored) && stored > 0 ? stored : 0;
}

/** Writes it down for as long as the server goes on. */
export function writeRunningTime({ write }: RunningTime): void {
  setInterval(() => write().catch(() => undefined), EVERY).unref();
}
