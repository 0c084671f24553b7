import { databaseFile } from '../db/open-database.ts';
import { sharedStore } from '../shared-store.ts';
import { proveUnproven } from '../shelf.ts';
import { type OpenedShelves, openShelves } from '../shelves/opened-shelves.ts';
import { sharedPools } from '../work/shared-pools.ts';
import { type BackupKeeper, backUpHourly, backupsFolder, keepBackups } from './keep-backups.ts';

interface Backups {
  readonly keeper: BackupKeeper;
  /** Backups and archives that are looked at. */
  readonly opened: OpenedShelves;
}

let made: Promise<Backups> | undefined;

/** The server's one keeper of backups, which begins with the first use. */
export function sharedBackups(): Promise<Backups> {
  made ??= makeShared().catch((error: unknown) => {
    made = undefined;
    throw error;
  });
  return made;
}

async function makeShared(): Promise<Backups> {
  const store = await sharedStore();
  const { db } = store;
  const file = databaseFile();
  const { backUp, checkSecond } = sharedPools();
  const now = () => new Date().toISOString();
  const keeper = keepBackups({ db, file, folder: backupsFolder(file), backUp, checkSecond, now });
  backUpHourly(keeper);
  return { keeper, opened: openShelves(db, keeper, () => proveUnproven(store)) };
}
