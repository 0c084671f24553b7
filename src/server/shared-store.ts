import { carrying } from './db/picture-table.ts';
import { sharedDatabase } from './db/shared-database.ts';
import { sharedJobs } from './jobs/shared-jobs.ts';
import { makeProver } from './proving/prover.ts';
import { proveUnproven } from './shelf.ts';
import type { Store } from './store.ts';
import { sharedPools } from './work/shared-pools.ts';

let made: Promise<Store> | undefined;

/** The server's one store, made at its first use; a failed opening of the database is tried again at the next. */
export function sharedStore(): Promise<Store> {
  made ??= makeStore().catch((error: unknown) => {
    made = undefined;
    throw error;
  });
  return made;
}

async function makeStore(): Promise<Store> {
  const pools = sharedPools();
  const db = await sharedDatabase();
  const store = {
    db,
    prover: makeProver(async (design, signal) => pools.prove(await carrying(db, design), signal)),
  };
  proveUnproven(store).catch(console.error);
  // Jobs that the last server left are taken up.
  sharedJobs().catch(console.error);
  return store;
}
