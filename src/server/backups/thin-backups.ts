import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { type Backup, databaseOf, factsOf, listBackups, pictureOf } from './backup-files.ts';

/** What stays of earlier backups. */
export interface Keeping {
  /** The newest ones, whenever they were made: one that was made before a restore does not drive out what was restored. */
  readonly newest: number;
  readonly hours: number;
  readonly days: number;
  readonly weeks: number;
  /** All of them with their pictures; the newest stays whatever it needs. */
  readonly bytes: number;
}

export const KEEPING: Keeping = { newest: 10, hours: 24, days: 14, weeks: 8, bytes: 4_000_000_000 };

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
/** 1 January 1970 was a Thursday: weeks begin with Mondays. */
const MONDAY = 3 * DAY;

/**
 * Which backups stay: the newest ones, and the last of each hour, day and week, as many as are kept. Hours, days and weeks in which there was none
 * count for nothing, so that no clock that goes wrong, and no long rest, throws anything away.
 * @param backups  newest first
 */
export function kept(
  backups: readonly Backup[],
  { newest, hours, days, weeks, bytes }: Keeping,
): readonly Backup[] {
  const wanted = new Set<Backup>();
  const lastOf = (most: number, bucket: (time: number) => number) => {
    const seen = new Set<number>();
    for (const backup of backups) {
      const key = bucket(Date.parse(backup.at));
      if (seen.size < most && !seen.has(key)) wanted.add(backup);
      if (seen.size < most) seen.add(key);
    }
  };
  lastOf(hours, (time) => Math.floor(time / HOUR));
  lastOf(days, (time) => Math.floor(time / DAY));
  lastOf(weeks, (time) => Math.floor((time + MONDAY) / (7 * DAY)));
  return withinBytes(
    backups.filter((each, place) => place < newest || wanted.has(each)),
    bytes,
  );
}

/** The newest ones that have room together; a picture that several show counts once. */
function withinBytes(backups: readonly Backup[], most: number): readonly Backup[] {
  const pictures = new Set<string>();
  let sum = 0;
  const room = backups.findIndex((backup) => {
    sum += backup.bytes;
    for (const { hash, bytes } of backup.pictures) if (!pictures.has(hash)) sum += bytes;
    for (const { hash } of backup.pictures) pictures.add(hash);
    return sum > most;
  });
  return room === -1 ? backups : backups.slice(0, Math.max(1, room));
}

/** Removes backups of a shelf that need not stay, and pictures that none in the folder shows any more. */
export function thinBackups(folder: string, shelf: string, keeping: Keeping): void {
  const all = listBackups(folder);
  const own = all.filter((each) => each.shelf === shelf);
  const stay = new Set(kept(own, keeping));
  for (const { name } of own.filter((each) => !stay.has(each))) {
    // The facts go first: what has none is no backup.
    rmSync(factsOf(folder, name), { force: true });
    rmSync(databaseOf(folder, name), { force: true });
  }
  const shown = new Set(listBackups(folder).flatMap(({ pictures }) => pictures.map(({ hash }) => hash)));
  if (!existsSync(join(folder, 'pictures'))) return;
  for (const hash of readdirSync(join(folder, 'pictures'))) {
    if (/^[0-9a-f]{64}$/.test(hash) && !shown.has(hash)) rmSync(pictureOf(folder, hash), { force: true });
  }
}
