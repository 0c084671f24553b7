import type { Kysely } from 'kysely';
import { whenEnding } from '../ending.ts';
import { databaseFile, openDatabase } from './open-database.ts';
import type { Database } from './schema.ts';

let opened: Promise<Kysely<Database>> | undefined;

/** The server's one connection, opened at its first use; a failed opening is tried again at the next. */
export function sharedDatabase(): Promise<Kysely<Database>> {
  opened ??= openShared().catch((error: unknown) => {
    opened = undefined;
    throw error;
  });
  return opened;
}

/** Its journal is written into it when the server ends, so that the file by itself is the whole shelf. */
async function openShared(): Promise<Kysely<Database>> {
  const db = await openDatabase(databaseFile());
  whenEnding(() => db.destroy());
  return db;
}
