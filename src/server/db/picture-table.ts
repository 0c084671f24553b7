import type { Kysely } from 'kysely';
import { picturesUsed } from '../../core/design/compile-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import type { CarriedPictures } from '../../core/design/picture-schema.ts';
import { CoreError } from '../../core/error.ts';
import type { PictureFile } from '../../core/shape/picture.ts';
import type { Database } from './schema.ts';

/** A picture's file, by the SHA-256 of its bytes. */
export interface StoredPicture {
  readonly hash: string;
  readonly type: PictureFile['type'];
  readonly bytes: Uint8Array;
}

/** Keeps a picture; one that is kept already stays as it is. */
export async function storePicture(
  db: Kysely<Database>,
  { hash, type, bytes }: StoredPicture,
  now: string,
): Promise<void> {
  await db
    .insertInto('picture')
    .values({ hash, type, bytes: Buffer.from(bytes), created_at: now })
    .onConflict((conflict) => conflict.column('hash').doNothing())
    .execute();
}

/** @throws CoreError "picture/missing" {name} */
export async function findPicture(db: Kysely<Database>, hash: string): Promise<StoredPicture> {
  const row = await db
    .selectFrom('picture')
    .select(['hash', 'type', 'bytes'])
    .where('hash', '=', hash)
    .executeTakeFirst();
  if (row === undefined) throw new CoreError('picture/missing', { name: hash.slice(0, 12) });
  return row;
}

/** A design with the files of the pictures that it shows, as far as they are kept. */
export async function carrying(db: Kysely<Database>, design: Design): Promise<Design> {
  const hashes = picturesUsed(design).map(({ hash }) => hash);
  if (hashes.length === 0) return design;
  const rows = await db
    .selectFrom('picture')
    .select(['hash', 'type', 'bytes'])
    .where('hash', 'in', hashes)
    .execute();
  const kept: CarriedPictures = Object.fromEntries(
    rows.map(({ hash, type, bytes }) => [hash, { type, base64: Buffer.from(bytes).toString('base64') }]),
  );
  return { ...design, pictures: { ...design.pictures, ...kept } };
}

/** Days that a picture is kept which no design shows: work that is kept in a browser alone may still show it. */
const DAYS_UNUSED = 60;

/**
 * Deletes pictures that nothing shows any more, no earlier state and nothing in the bin either.
 * @returns how many
 */
export async function dropUnusedPictures(db: Kysely<Database>, now: string): Promise<number> {
  const before = new Date(Date.parse(now) - DAYS_UNUSED * 86_400_000).toISOString();
  const old = await db.selectFrom('picture').select('hash').where('created_at', '<', before).execute();
  if (old.length === 0) return 0;
  const shown = new Set<string>();
  for (const table of ['design', 'design_revision'] as const) {
    // Documents name a picture by its hash.
    const naming = db.selectFrom(table).select('document').where('document', 'like', '%"hash":"%');
    for await (const { document } of naming.stream()) {
      for (const [, hash] of document.matchAll(/"hash":"([0-9a-f]{64})"/g)) shown.add(hash!);
    }
  }
  const unused = old.map(({ hash }) => hash).filter((hash) => !shown.has(hash));
  for (const hash of unused) await db.deleteFrom('picture').where('hash', '=', hash).execute();
  return unused.length;
}
