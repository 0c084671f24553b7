import { createHash } from 'node:crypto';
import {
  closeSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readSync,
  renameSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import { CoreError } from '../../core/error.ts';
import { APPLICATION_ID } from '../db/open-database.ts';
import { type Backup, backupName, databaseOf, factsOf, pictureOf } from './backup-files.ts';
import { clearParts } from './clear-parts.ts';

export interface BackupOrder {
  /** The database, which may be in use. */
  readonly file: string;
  /** Where its backups lie. */
  readonly folder: string;
  /** ISO 8601. */
  readonly at: string;
}

/**
 * Copies a database as it stands at one moment, puts its pictures beside it, each once, and looks whether the copy is whole;
 * it gets its place when it is. Source: SQLite, "SQLite Backup API".
 * @throws CoreError "backup/failed" {folder, reason}
 */
export async function makeBackup({ file, folder, at }: BackupOrder): Promise<Backup> {
  const name = backupName(at);
  const part = `${databaseOf(folder, name)}.part-${process.pid}`;
  try {
    mkdirSync(join(folder, 'pictures'), { recursive: true });
    clearParts(folder);
    const counts = await copyDatabase(file, part);
    const pictures = takePicturesOut(part, folder);
    expectWhole(part, counts);
    const backup: Backup = {
      format: 'vetro-backup',
      version: 1,
      name,
      at,
      ...counts,
      bytes: statSync(part).size,
      digest: digestOf(part),
      pictures,
    };
    place(part, databaseOf(folder, name));
    writeWhole(factsOf(folder, name), Buffer.from(`${JSON.stringify(backup, null, 2)}\n`));
    return backup;
  } catch (error) {
    for (const ending of ['', '-journal', '-wal', '-shm']) rmSync(part + ending, { force: true });
    throw new CoreError('backup/failed', { folder, reason: reasonOf(error) });
  }
}

type Counts = Pick<Backup, 'shelf' | 'designs' | 'binned' | 'ranges' | 'states'>;

/** Both the copy and what is counted are of one moment: they are read in one transaction. */
async function copyDatabase(file: string, part: string): Promise<Counts> {
  const sqlite = new BetterSqlite3(file, { readonly: true, fileMustExist: true, timeout: 5000 });
  try {
    sqlite.exec('begin');
    const counts = countIn(sqlite);
    await sqlite.backup(part);
    return counts;
  } finally {
    sqlite.close();
  }
}

function countIn(sqlite: BetterSqlite3.Database): Counts {
  const count = (from: string) =>
    (sqlite.prepare(`select count(*) as count from ${from}`).get() as { count: number }).count;
  const shelf = sqlite.prepare("select value from setting where key = 'shelf-id'").get() as { value: string };
  return {
    shelf: shelf?.value ?? '',
    designs: count('design where deleted_at is null'),
    binned: count('design where deleted_at is not null'),
    ranges: count('range'),
    states: count('design_revision'),
  };
}

/** Writes the pictures of a copy as files, those that are not there yet, and takes them out of it. */
function takePicturesOut(part: string, folder: string): Backup['pictures'] {
  const sqlite = new BetterSqlite3(part);
  try {
    sqlite.pragma('journal_mode = delete');
    const hashes = sqlite.prepare('select hash from picture order by hash').all() as { hash: string }[];
    const find = sqlite.prepare('select bytes from picture where hash = ?');
    const pictures = hashes.map(({ hash }) => {
      const { bytes } = find.get(hash) as { bytes: Buffer };
      keepPictureFile(pictureOf(folder, hash), hash, bytes);
      return { hash, bytes: bytes.length };
    });
    sqlite.exec("update picture set bytes = x''");
    // A copy may lie where others read it.
    sqlite.exec("delete from setting where key = 'passphrase'");
    sqlite.exec('vacuum');
    return pictures;
  } finally {
    sqlite.close();
  }
}

/** A picture's file is taken as it is where it holds what its name says. */
export function keepPictureFile(path: string, hash: string, bytes: Uint8Array): void {
  if (sha256(bytes) !== hash) throw new Error(`the picture ${hash.slice(0, 12)} is not what its name says`);
  if (statSync(path, { throwIfNoEntry: false })?.size === bytes.length && digestOf(path) === hash) return;
  writeWhole(path, bytes);
}

function expectWhole(part: string, counts: Counts): void {
  const sqlite = new BetterSqlite3(part, { readonly: true });
  try {
    const found = sqlite.pragma('integrity_check(1)', { simple: true });
    if (found !== 'ok') throw new Error(`the copy is damaged: ${found}`);
    if (sqlite.pragma('application_id', { simple: true }) !== APPLICATION_ID) {
      throw new Error('the copy is none of Vetro');
    }
    const copied = countIn(sqlite);
    if (JSON.stringify(copied) !== JSON.stringify(counts)) throw new Error('the copy holds other designs');
  } finally {
    sqlite.close();
  }
}

/** Writes a file that is whole or not there. */
export function writeWhole(path: string, bytes: Uint8Array): void {
  const part = `${path}.part-${process.pid}`;
  const opened = openSync(part, 'w');
  try {
    for (let from = 0; from < bytes.length; ) from += writeSync(opened, bytes, from);
  } catch (error) {
    rmSync(part, { force: true });
    throw error;
  } finally {
    closeSync(opened);
  }
  place(part, path);
}

/** Gives a file its name when all of it is on the disk. */
export function place(part: string, path: string): void {
  syncFile(part, 'r+');
  renameSync(part, path);
  syncFile(dirname(path), 'r');
}

function syncFile(path: string, flags: string): void {
  const opened = openSync(path, flags);
  try {
    fsyncSync(opened);
  } finally {
    closeSync(opened);
  }
}

/** SHA-256 of a file of any length, in hexadecimal. */
export function digestOf(path: string): string {
  const hash = createHash('sha256');
  const piece = Buffer.alloc(1 << 20);
  const opened = openSync(path, 'r');
  try {
    for (let read = readSync(opened, piece); read > 0; read = readSync(opened, piece)) {
      hash.update(piece.subarray(0, read));
    }
    return hash.digest('hex');
  } finally {
    closeSync(opened);
  }
}

function sha256(bytes: Uint8Array): string {
  return createHash('sha256').update(bytes).digest('hex');
}

/** What an owner can do something about, in words. */
export function reasonOf(error: unknown): string {
  const code = String((error as { code?: unknown }).code ?? '');
  if (['ENOSPC', 'EDQUOT', 'SQLITE_FULL', 'EFBIG'].includes(code) || code.startsWith('SQLITE_IOERR_WRITE'))
    return 'its disk is full';
  if (['EACCES', 'EPERM', 'EROFS', 'SQLITE_READONLY'].includes(code)) return 'it cannot be written';
  if (['ENOENT', 'ENOTDIR'].includes(code)) return 'it is not there';
  return (error as Error).message;
}
