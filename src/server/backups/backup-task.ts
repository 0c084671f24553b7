import type { Backup } from './backup-files.ts';
import { type BackupOrder, makeBackup } from './make-backup.ts';
import { copyBackup, folderIn } from './second-place.ts';
import { KEEPING, thinBackups } from './thin-backups.ts';

export interface WholeBackupOrder extends BackupOrder {
  /** A folder that it is copied to; undefined while there is none. */
  readonly second: string | undefined;
}

export interface MadeBackup {
  readonly backup: Backup;
  /** Why it could not be copied to its second place; undefined where it was, or there is none. */
  readonly second: { readonly folder: string; readonly reason: string } | undefined;
}

/**
 * Makes a backup, copies it to its second place, and thins older ones where the new one is whole.
 * @throws CoreError "backup/failed" {folder, reason}
 */
export async function backUp({ second, ...order }: WholeBackupOrder): Promise<MadeBackup> {
  const backup = await makeBackup(order);
  thinBackups(order.folder, backup.shelf, KEEPING);
  if (second === undefined) return { backup, second: undefined };
  try {
    copyBackup(order.folder, second, backup);
    thinBackups(folderIn(second), backup.shelf, KEEPING);
    return { backup, second: undefined };
  } catch (error) {
    const { folder, reason } = (error as { facts?: { folder?: string; reason?: string } }).facts ?? {};
    return { backup, second: { folder: folder ?? second, reason: reason ?? (error as Error).message } };
  }
}
