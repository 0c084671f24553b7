import type { Kysely } from 'kysely';
import type { Database } from './schema.ts';

/** Settings of one database. */
export type SettingKey = 'shelf-title' | 'demo-hung' | 'passphrase' | `loom:${string}`;

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
