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
