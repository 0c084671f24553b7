import { closeSync, mkdirSync, openSync, readSync, statSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import { Kysely, Migrator, SqliteDialect } from 'kysely';
import { CoreError } from '../../core/error.ts';
import { databaseTrouble } from './database-trouble.ts';
import { beginGeneration, keepJournalShort } from './journal.ts';
import { migrationProvider } from './migrations.ts';
import type { Database } from './schema.ts';

/** The database file: VETRO_DATA, or data/vetro.db below the folder that Vetro was started in. */
export function databaseFile(): string {
  return resolve(process.env['VETRO_DATA'] ?? 'data/vetro.db');
}

/** Marks a database as Vetro's: "Vetr". Source: SQLite Database File Format, §1.3.17, "Application ID". */
export const APPLICATION_ID = 0x56657472;

/**
 * Opens a database file, made if it is missing, and brings it up to date, or to an older migration. Nothing is written
 * before the file is known to be Vetro's and whole.
 *
 * @throws CoreError "database/not-one" {file} | "database/foreign" {file} | "database/broken" {file, reason} |
 *         "database/newer" {file} | "database/unusable" {file, reason}, or of `databaseTrouble`
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
    if (isNewer(error)) throw new CoreError('database/newer', { file });
    throw databaseTrouble(error) ?? new CoreError('database/unusable', { file, reason: String(error) });
  }
  if (file === ':memory:') return db;
  try {
    beginGeneration(sqlite, file);
  } catch (error) {
    await db.destroy();
    throw databaseTrouble(error) ?? new CoreError('database/unusable', { file, reason: String(error) });
  }
  keepJournalShort(sqlite, file);
  return db;
}

function openFile(file: string): BetterSqlite3.Database {
  let sqlite: BetterSqlite3.Database | undefined;
  try {
    if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
    checkLength(file);
    sqlite = new BetterSqlite3(file);
    sqlite.pragma('busy_timeout = 5000');
    checkOwner(sqlite, file);
    checkWhole(sqlite, file);
    sqlite.pragma('journal_mode = WAL');
    sqlite.pragma('synchronous = FULL');
    // The journal is written into the file where its generation changes with it, and nowhere else.
    sqlite.pragma('wal_autocheckpoint = 0');
    sqlite.pragma('foreign_keys = ON');
    if (markOf(sqlite) !== APPLICATION_ID) sqlite.pragma(`application_id = ${APPLICATION_ID}`);
    return sqlite;
  } catch (error) {
    sqlite?.close();
    if (error instanceof CoreError) throw error;
    const code = (error as { code?: unknown }).code;
    if (code === 'SQLITE_NOTADB') throw new CoreError('database/not-one', { file });
    const reason = (error as Error).message;
    if (code === 'SQLITE_CORRUPT') throw new CoreError('database/broken', { file, reason });
    throw databaseTrouble(error) ?? new CoreError('database/unusable', { file, reason });
  }
}

/** A file is taken that is empty, carries the mark, or was made before there was one and has Vetro's tables. */
function checkOwner(sqlite: BetterSqlite3.Database, file: string): void {
  const id = markOf(sqlite);
  if (id === APPLICATION_ID) return;
  const names = sqlite.prepare<[], { name: string }>('select name from sqlite_master').all();
  const known = ['design', 'range', 'range_design', 'setting', 'kysely_migration'];
  const own = id === 0 && known.every((table) => names.some(({ name }) => name === table));
  if (names.length > 0 && !own) throw new CoreError('database/foreign', { file });
  const applied = own ? sqlite.prepare<[], { name: string }>('select name from kysely_migration').all() : [];
  if (own && !applied.some(({ name }) => name === '001-designs-and-ranges')) {
    throw new CoreError('database/foreign', { file });
  }
}

function markOf(sqlite: BetterSqlite3.Database): unknown {
  return sqlite.pragma('application_id', { simple: true });
}

/**
 * A database without a write-ahead log consists of whole pages, as many as its header says; SQLite itself takes one whose
 * last page is cut short. Source: SQLite Database File Format, §1.3.2 and §1.3.8.
 */
function checkLength(file: string): void {
  const size = statSync(file, { throwIfNoEntry: false })?.size ?? 0;
  const log = statSync(`${file}-wal`, { throwIfNoEntry: false })?.size ?? 0;
  if (size < HEADER || log > 0) return;
  const header = headerOf(file);
  if (header.subarray(0, 15).toString('latin1') !== 'SQLite format 3') return;
  // 1 stands for 65 536.
  const page = header.readUInt16BE(16) === 1 ? 65_536 : header.readUInt16BE(16);
  const pages = header.readUInt32BE(28);
  const counted = header.readUInt32BE(24) === header.readUInt32BE(92);
  if (size % page === 0 && (!counted || pages * page <= size)) return;
  throw new CoreError('database/broken', { file, reason: 'it is cut short' });
}

/** Bytes of a database's header. */
const HEADER = 100;

function headerOf(file: string): Buffer {
  const header = Buffer.alloc(HEADER);
  const opened = openSync(file, 'r');
  try {
    readSync(opened, header, 0, HEADER, 0);
    return header;
  } finally {
    closeSync(opened);
  }
}

/** Source: SQLite PRAGMA quick_check. */
function checkWhole(sqlite: BetterSqlite3.Database, file: string): void {
  const found = String(sqlite.pragma('quick_check(1)', { simple: true }));
  if (found !== 'ok') throw new CoreError('database/broken', { file, reason: found.slice(0, 120) });
}

/** Kysely's words for a migration that was run and is not known here. */
function isNewer(error: unknown): boolean {
  return /^corrupted migrations: previously executed migration \S+ is missing/.test(
    error instanceof Error ? error.message : '',
  );
}
