import type { Kysely } from 'kysely';
import type { Database } from './schema.ts';

/** Settings of one database. */
export type SettingKey =
  | 'shelf-title'
  | 'demo-hung'
  | 'passphrase'
  /** Which shelf it is: copies of the file are the same shelf. */
  | 'shelf-id'
  /** A folder that backups are copied to. */
  | 'backups-second'
  /** Milliseconds that Vetro has run on it. */
  | 'running-time'
  | `loom:${string}`;

export async function readSetting(db: Kysely<Database>, key: SettingKey): Promise<string | undefined> {
  const row = await db.selectFrom('setting').select('value').where('key', '=', key).executeTakeFirst();
  return row?.value;
}

export async function writeSetting(db: Kysely<Database>, key: SettingKey, value: string): Promise<void> {
  await db
    .insertInto('setting')
    .values({ key, value })
    .onConflict((conflict) => conflict.column('key').doUpdateSet({ value }))
    .execute();
}

/** The name by which the backups of a shelf are known as its own; made when it is first asked for. */
export async function shelfId(db: Kysely<Database>, newId: () => string): Promise<string> {
  const known = await readSetting(db, 'shelf-id');
  if (known !== undefined) return known;
  const made = newId();
  await writeSetting(db, 'shelf-id', made);
  return made;
}

/** Takes a setting away. */
export async function dropSetting(db: Kysely<Database>, key: SettingKey): Promise<void> {
  await db.deleteFrom('setting').where('key', '=', key).execute();
}
