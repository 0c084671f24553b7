import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { dirname } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import { CoreError } from '../../core/error.ts';
import { setForeignJournalAside } from './journal.ts';

/** Who has a database, as it is written beside it for whoever comes second. */
export interface Owner {
  readonly what: string;
  readonly host: string;
  readonly process: string;
  /** ISO 8601. */
  readonly since: string;
}

/** Gives a database back. */
export type GiveBack = () => void;

/**
 * Takes a database for this process alone. The lock is an exclusive transaction on a small SQLite file beside it: the
 * operating system frees it with the process, however that ends; it holds between containers that share the folder, as
 * locks of files do; and a copy of the folder carries no lock. Who has it is written in another file, for words only.
 *
 * @param file  the database, which is not touched
 * @throws CoreError "database/owned" {file, what, host, process, since} | "database/unusable" {file, reason}
 */
export function ownDatabase(file: string, owner: Pick<Owner, 'what' | 'since'>): GiveBack {
  if (file === ':memory:') return () => {};
  const lock = lockOf(file);
  try {
    lock.exec('begin exclusive');
  } catch (error) {
    lock.close();
    if (!String((error as { code?: unknown }).code).startsWith('SQLITE_BUSY')) throw error;
    throw new CoreError('database/owned', { file, ...ownerOf(file) });
  }
  writeFileSync(
    ownerFile(file),
    JSON.stringify({ ...owner, host: hostname(), process: String(process.pid) } satisfies Owner),
  );
  return () => {
    rmSync(ownerFile(file), { force: true });
    lock.exec('rollback');
    lock.close();
  };
}

/** Takes a database where nobody has it; beside a server it may be used too. */
export function ownIfFree(file: string, what: string, since: string): GiveBack {
  try {
    const giveBack = ownDatabase(file, { what, since });
    setForeignJournalAside(file);
    return giveBack;
  } catch (error) {
    if (error instanceof CoreError && error.code === 'database/owned') return () => {};
    throw error;
  }
}

function lockOf(file: string): BetterSqlite3.Database {
  try {
    mkdirSync(dirname(file), { recursive: true });
    return new BetterSqlite3(`${file}-lock`, { timeout: 0 });
  } catch (error) {
    throw new CoreError('database/unusable', { file, reason: (error as Error).message });
  }
}

function ownerFile(file: string): string {
  return `${file}-owner.json`;
}

/** Who wrote that he has it; words that tell nothing where that cannot be read. */
function ownerOf(file: string): Owner {
  try {
    const { what, host, process: id, since } = JSON.parse(readFileSync(ownerFile(file), 'utf8')) as Owner;
    return { what: String(what), host: String(host), process: String(id), since: String(since) };
  } catch {
    return { what: 'another Vetro', host: '', process: '', since: '' };
  }
}
