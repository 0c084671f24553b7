import { copyFileSync, existsSync } from 'node:fs';
import { CoreError } from '../../core/error.ts';
import { openDatabase } from '../db/open-database.ts';
import { databaseOf, findBackup } from './backup-files.ts';
import { fillPictures } from './fill-pictures.ts';
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
  const { at } = findBackup(folder, name);
  const db = await openDatabase(file);
  await fillPictures(db, [folder, ...folders]);
  await db.destroy();
  return at;
}

function isWhole(folder: string, name: string): boolean {
  try {
    return digestOf(databaseOf(folder, name)) === findBackup(folder, name).digest;
  } catch {
    return false;
  }
}
