import type { Kysely } from 'kysely';
import { databaseFile, openDatabase } from './open-database.ts';
import type { Database } from './schema.ts';

let opened: Promise<Kysely<Database>> | undefined;

/** The server's one connection, opened at its first use; a failed opening is tried again at the next. */
export function sharedDatabase(): Promise<Kysely<Database>> {
  opened ??= openDatabase(databaseFile()).catch((error: unknown) => {
    opened = undefined;
    throw error;
  });
  return opened;
}
