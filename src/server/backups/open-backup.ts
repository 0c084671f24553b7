import { copyFileSync, existsSync, readFileSync } from 'node:fs';
import BetterSqlite3 from 'better-sqlite3';
import { CoreError } from '../../core/error.ts';
import { openDatabase } from '../db/open-database.ts';
import { databaseOf, findBackup, pictureOf } from './backup-files.ts';
import { digestOf } from './make-backup.ts';

export interface OpenBackupOrder {
  /** Where it may lie; the first that holds it whole is taken. */
  readonly folders: readonly string[];
  readonly name: string;
  /** A database that is made of it, which this Vetro reads; the backup stays as it is. */
  readonly file: string;
}

/**
 * Makes a database of a backup and its pictures.
 * @returns when it was made
 * @throws CoreError "backup/missing" {name} | "backup/damaged" {name}, or as `openDatabase`
 */
export async function openBackup({ folders, name, file }: OpenBackupOrder): Promise<string> {
  const holding = folders.filter((folder) => existsSync(databaseOf(folder, name)));
  if (holding.length === 0) throw new CoreError('backup/missing', { name: name.slice(0, 60) });
  const folder = holding.find((each) => isWhole(each, name));
  if (folder === undefined) throw new CoreError('backup/damaged', { name });
  copyFileSync(databaseOf(folder, name), file);
  const sqlite = new BetterSqlite3(file);
  const { at, pictures } = findBackup(folder, name);
  const bring = sqlite.prepare('update picture set bytes = ? where hash = ?');
  for (const { hash } of pictures) {
    const path = [folder, ...folders]
      .map((each) => pictureOf(each, hash))
      .find((each) => existsSync(each) && digestOf(each) === hash);
    if (path !== undefined) bring.run(readFileSync(path), hash);
  }
  sqlite.close();
  await (await openDatabase(file)).destroy();
  return at;
}

function isWhole(folder: string, name: string): boolean {
  try {
    return digestOf(databaseOf(folder, name)) === findBackup(folder, name).digest;
  } catch {
    return false;
  }
}
