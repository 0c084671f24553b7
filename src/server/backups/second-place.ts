import { copyFileSync, existsSync, mkdirSync, realpathSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, isAbsolute, join, relative } from 'node:path';
import { CoreError } from '../../core/error.ts';
import { type Backup, databaseOf, factsOf, pictureOf } from './backup-files.ts';
import { clearParts } from './clear-parts.ts';
import { digestOf, place, reasonOf, writeWhole } from './make-backup.ts';

/** What the folder is called that holds the copies in a second place, so that they lie among nothing else. */
const WITHIN = 'vetro-backups';

/** Where the copies lie in a second place. */
export function folderIn(second: string): string {
  return join(second, WITHIN);
}

/** A folder that backups are to be copied to, and where they lie. */
export interface SecondOrder {
  readonly second: string;
  readonly first: string;
}

/**
 * Looks at a folder that backups are to be copied to; it is there already, so that a disk which is not is told.
 * @throws CoreError "backup/place" {folder, reason}
 */
export async function checkSecond({ second, first }: SecondOrder): Promise<void> {
  const refuse = (reason: string) => {
    throw new CoreError('backup/place', { folder: second, reason });
  };
  if (!isAbsolute(second)) refuse('it must be named from the root, such as /media/disk');
  if (!(statSync(second, { throwIfNoEntry: false })?.isDirectory() ?? false)) refuse('it is not there');
  const parent = realpathSync(dirname(first));
  const way = relative(join(parent, basename(first)), realpathSync(second));
  if (way === '' || !way.startsWith('..'))
    refuse('the backups are there already; a second place is another disk');
  try {
    mkdirSync(join(folderIn(second), 'pictures'), { recursive: true });
    writeWhole(join(folderIn(second), '.vetro-tried'), new Uint8Array(1));
    rmSync(join(folderIn(second), '.vetro-tried'));
  } catch (error) {
    refuse(reasonOf(error));
  }
}

/** Whether two folders lie on one disk, so that both go when it does. */
export function isSameDisk(one: string, other: string): boolean {
  const disk = (path: string) => statSync(path, { throwIfNoEntry: false })?.dev;
  return disk(one) !== undefined && disk(one) === disk(other);
}

/** Copies a backup to a second place, where it is read again. @throws CoreError "backup/failed" {folder, reason} */
export function copyBackup(first: string, second: string, backup: Backup): void {
  const folder = folderIn(second);
  try {
    // A disk that is not there is not made.
    if (!existsSync(second)) throw Object.assign(new Error(), { code: 'ENOENT' });
    mkdirSync(join(folder, 'pictures'), { recursive: true });
    clearParts(folder);
    for (const { hash, bytes } of backup.pictures) {
      const there = pictureOf(folder, hash);
      if (statSync(there, { throwIfNoEntry: false })?.size !== bytes) {
        copyWhole(pictureOf(first, hash), there, hash);
      }
    }
    copyWhole(databaseOf(first, backup.name), databaseOf(folder, backup.name), backup.digest);
    writeWhole(factsOf(folder, backup.name), Buffer.from(`${JSON.stringify(backup, null, 2)}\n`));
  } catch (error) {
    throw new CoreError('backup/failed', { folder, reason: reasonOf(error) });
  }
}

function copyWhole(from: string, to: string, digest: string): void {
  const part = `${to}.part-${process.pid}`;
  try {
    copyFileSync(from, part);
    if (digestOf(part) !== digest) throw new Error('what was copied reads differently');
    place(part, to);
  } catch (error) {
    rmSync(part, { force: true });
    throw error;
  }
}
