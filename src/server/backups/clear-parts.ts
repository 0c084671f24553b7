import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { isRunning } from '../own-folder.ts';

/** Removes what processes that are gone had begun to write among backups. */
export function clearParts(folder: string): void {
  for (const within of [folder, join(folder, 'pictures')]) {
    if (!existsSync(within)) continue;
    for (const name of readdirSync(within)) {
      const id = /\.part-(\d+)(-(journal|wal|shm))?$/.exec(name)?.[1];
      if (id !== undefined && !isRunning(Number(id))) rmSync(join(within, name), { force: true });
    }
  }
}
