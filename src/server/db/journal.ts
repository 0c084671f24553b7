import { randomInt } from 'node:crypto';
import {
  closeSync,
  copyFileSync,
  fsyncSync,
  mkdtempSync,
  openSync,
  readFileSync,
  readSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';

/**
 * SQLite's write-ahead journal lies beside its database and names it only by where it lies: a copy that is put in the place of
 * the database would have the journal of another one applied to it, page by page. So each database carries the number of its
 * generation (`user_version`), which changes whenever the journal is written into it and begun anew, and beside it stands
 * which generations the journal belongs to. Nothing else writes the journal into the file.
 * Source: SQLite, "Write-Ahead Logging", "How To Corrupt An SQLite Database File", §1.4; "Database File Format", §1.3.17.
 */
const JOURNAL = '-wal';
const SHARED_MEMORY = '-shm';
const GENERATIONS = '-generations.json';

/** Where a set-aside journal lies. */
const SET_ASIDE = '-wal.set-aside';

/** Bytes of a journal from which it is written into the database while that is in use, and milliseconds between looks. */
const LONG = 4_000_000;
const EVERY = 5000;

/** Largest database that is tried with a journal of which nothing is known, in bytes. */
const MOST_TRIED = 500_000_000;

/**
 * Sets a journal aside that does not belong to the database it lies beside, before that is opened.
 * @param file  a database that this process alone has
 * @returns     where the journal lies now; undefined where there was none, or it belongs here
 */
export function setForeignJournalAside(file: string): string | undefined {
  if (sizeOf(file + JOURNAL) === 0 || sizeOf(file) === 0) return undefined;
  const known = generationsBeside(file);
  const belongs = known === undefined ? isWholeTogether(file) : known.includes(generationIn(file));
  if (belongs) return undefined;
  renameSync(file + JOURNAL, file + SET_ASIDE);
  rmSync(file + SHARED_MEMORY, { force: true });
  return file + SET_ASIDE;
}

/** Writes the journal into the database and begins the next generation. */
export function beginGeneration(sqlite: BetterSqlite3.Database, file: string): void {
  const next = randomInt(1, 2 ** 31);
  const before = generationsBeside(file) ?? [generationIn(file)];
  // Both are right until the journal is empty, since a kill may come in between.
  writeGenerations(file, [...before, next].slice(-8));
  sqlite.pragma(`user_version = ${next}`);
  const [result] = sqlite.pragma('wal_checkpoint(TRUNCATE)') as { busy: number }[];
  if (result!.busy === 0) writeGenerations(file, [next]);
}

/** Keeps the journal short for as long as a database is open. */
export function keepJournalShort(sqlite: BetterSqlite3.Database, file: string): void {
  const timer = setInterval(() => {
    if (!sqlite.open) clearInterval(timer);
    else if (!sqlite.inTransaction && sizeOf(file + JOURNAL) > LONG) shorten(sqlite, file);
  }, EVERY);
  timer.unref();
}

/** A full disk leaves the journal as long as it is, which is no harm; it is tried again, and who saves is told. */
function shorten(sqlite: BetterSqlite3.Database, file: string): void {
  try {
    beginGeneration(sqlite, file);
  } catch (error) {
    console.error(`The journal of ${file} could not be written into it: ${(error as Error).message}`);
  }
}

function sizeOf(path: string): number {
  return statSync(path, { throwIfNoEntry: false })?.size ?? 0;
}

/** The generation that a file itself carries, whatever lies beside it. */
function generationIn(file: string): number {
  const bytes = Buffer.alloc(4);
  const opened = openSync(file, 'r');
  try {
    readSync(opened, bytes, 0, 4, 60);
  } finally {
    closeSync(opened);
  }
  return bytes.readUInt32BE(0);
}

/** The generations that a journal belongs to; undefined where nobody wrote that down. */
function generationsBeside(file: string): readonly number[] | undefined {
  try {
    const known: unknown = JSON.parse(readFileSync(file + GENERATIONS, 'utf8'));
    return Array.isArray(known) && known.length > 0 ? known.map(Number) : undefined;
  } catch {
    return undefined;
  }
}

function writeGenerations(file: string, generations: readonly number[]): void {
  const part = `${file}${GENERATIONS}.part`;
  writeFileSync(part, JSON.stringify(generations));
  const opened = openSync(part, 'r+');
  fsyncSync(opened);
  closeSync(opened);
  renameSync(part, file + GENERATIONS);
}

/** Whether a database and the journal beside it make a whole one, tried on a copy: those of an older Vetro say no more. */
function isWholeTogether(file: string): boolean {
  if (sizeOf(file) > MOST_TRIED) return true;
  const folder = mkdtempSync(join(tmpdir(), 'vetro-journal-'));
  const copy = join(folder, 'copy.db');
  try {
    copyFileSync(file, copy);
    copyFileSync(file + JOURNAL, copy + JOURNAL);
    const sqlite = new BetterSqlite3(copy);
    try {
      return sqlite.pragma('integrity_check(1)', { simple: true }) === 'ok';
    } finally {
      sqlite.close();
    }
  } catch {
    return false;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
