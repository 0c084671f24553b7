import { CoreError } from '../../core/error.ts';
import { type Backup, listBackups } from './backup-files.ts';
import { type BackupOrder, makeBackup, reasonOf } from './make-backup.ts';
import { copyBackup, folderIn, isSameDisk } from './second-place.ts';
import { KEEPING, thinBackups } from './thin-backups.ts';

export interface WholeBackupOrder extends BackupOrder {
  /** A folder that it is copied to; undefined while there is none. */
  readonly second: string | undefined;
}

export interface MadeBackup {
  readonly backup: Backup;
  /** Undefined where there is none. */
  readonly second: SecondPlace | undefined;
}

/** A second place as it was found. */
export interface SecondPlace {
  /** Newest first. */
  readonly backups: readonly Backup[];
  readonly sameDisk: boolean;
  /** Why the backup could not be copied; empty where it was. */
  readonly reason: string;
}

/**
 * Makes a backup, copies it to its second place, and thins older ones where the new one is whole. The second place is looked at
 * here alone: a shared folder that hangs would hold up whoever asks for it.
 * @throws CoreError "backup/failed" {folder, reason}
 */
export async function backUp({ second, ...order }: WholeBackupOrder): Promise<MadeBackup> {
  const { folder } = order;
  const backup = await makeBackup(order);
  try {
    thinBackups(folder, backup.shelf, KEEPING);
  } catch (error) {
    throw new CoreError('backup/failed', { folder, reason: reasonOf(error) });
  }
  if (second === undefined) return { backup, second: undefined };
  let reason = '';
  try {
    copyBackup(folder, second, backup);
    thinBackups(folderIn(second), backup.shelf, KEEPING);
  } catch (error) {
    reason = error instanceof CoreError ? String(error.facts['reason']) : reasonOf(error);
  }
  const backups = listBackups(folderIn(second));
  return { backup, second: { backups, sameDisk: isSameDisk(folder, second), reason } };
}
