import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import { Kysely, Migrator, SqliteDialect } from 'kysely';
import { CoreError } from '../../core/error.ts';
import { migrationProvider } from './migrations.ts';
import type { Database } from './schema.ts';

/** The database file: VETRO_DATA, or data/vetro.db below the folder that Vetro was started in. */
export function databaseFile(): string {
  return resolve(process.env['VETRO_DATA'] ?? 'data/vetro.db');
}

/**
 * Opens a database file, made if it is missing, and brings it up to date, or to an older migration.
 * @throws CoreError "database/not-one" {file} | "database/unusable" {file, reason}
 */
export async function openDatabase(file: string, migration?: string): Promise<Kysely<Database>> {
  const sqlite = openFile(file);
  const db = new Kysely<Database>({ dialect: new SqliteDialect({ database: sqlite }) });
  const migrator = new Migrator({ db, provider: migrationProvider });
  const { error } = await (migration === undefined
    ? migrator.migrateToLatest()
    : migrator.migrateTo(migration));
  if (error !== undefined) {
    await db.destroy();
    throw new CoreError('database/unusable', { file, reason: String(error) });
  }
  return db;
}

function openFile(file: string): BetterSqlite3.Database {
  try {
    if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
    const sqlite = new BetterSqlite3(file);
    sqlite.pragma('journal_mode = WAL');
    sqlite.pragma('synchronous = FULL');
    sqlite.pragma('foreign_keys = ON');
    sqlite.pragma('busy_timeout = 5000');
    return sqlite;
  } catch (error) {
    const code = (error as { code?: unknown }).code;
    if (code === 'SQLITE_NOTADB' || code === 'SQLITE_CORRUPT')
      throw new CoreError('database/not-one', { file });
    throw new CoreError('database/unusable', { file, reason: (error as Error).message });
  }
}
