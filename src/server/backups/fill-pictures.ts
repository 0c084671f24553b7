import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { type Kysely, sql } from 'kysely';
import type { Database } from '../db/schema.ts';
import { pictureOf } from './backup-files.ts';

/**
 * Gives a database that was a backup its pictures back, which lie beside the backups.
 * @param folders  where they may lie
 * @returns how many were found
 */
export async function fillPictures(db: Kysely<Database>, folders: readonly string[]): Promise<number> {
  const empty = await db.selectFrom('picture').select('hash').where(sql`length(bytes)`, '=', 0).execute();
  let filled = 0;
  for (const { hash } of empty) {
    const bytes = await findPicture(hash, folders);
    if (bytes === undefined) continue;
    await db.updateTable('picture').set({ bytes }).where('hash', '=', hash).execute();
    filled += 1;
  }
  return filled;
}

/** The first file that holds what its name says. */
async function findPicture(hash: string, folders: readonly string[]): Promise<Buffer | undefined> {
  for (const folder of folders) {
    const bytes = await readFile(pictureOf(folder, hash)).catch(() => undefined);
    if (bytes !== undefined && createHash('sha256').update(bytes).digest('hex') === hash) return bytes;
  }
  return undefined;
}
