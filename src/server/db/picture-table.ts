import type { Kysely } from 'kysely';
import { picturesUsed } from '../../core/design/compile-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import type { CarriedPictures } from '../../core/design/picture-schema.ts';
import { picturesNamed } from '../../core/design/pictures-named.ts';
import { CoreError } from '../../core/error.ts';
import type { PictureFile } from '../../core/shape/picture.ts';
import { RUNNING_DAY } from './running-time.ts';
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

/** Days that a picture is kept which nothing shows, while Vetro runs: work that is kept in a browser alone may still show it. */
const DAYS_UNUSED = 60;

/**
 * Deletes pictures that nothing has shown for a long time: no design, none in the bin, no earlier state, and nothing that was
 * sent.
 * @param running  milliseconds that Vetro has run on this shelf
 * @returns how many
 */
export async function dropUnusedPictures(db: Kysely<Database>, running: number): Promise<number> {
  const pictures = await db.selectFrom('picture').select(['hash', 'unused_running as since']).execute();
  if (pictures.length === 0) return 0;
  const shown = await shownPictures(db);
  let dropped = 0;
  for (const { hash, since } of pictures) {
    if (!shown.has(hash) && since !== null && running - since > DAYS_UNUSED * RUNNING_DAY) {
      await db.deleteFrom('picture').where('hash', '=', hash).execute();
      dropped += 1;
    } else if (shown.has(hash) === (since !== null)) {
      const unused_running = shown.has(hash) ? null : running;
      await db.updateTable('picture').set({ unused_running }).where('hash', '=', hash).execute();
    }
  }
  return dropped;
}

/** Hashes of all pictures that documents name. */
async function shownPictures(db: Kysely<Database>): Promise<ReadonlySet<string>> {
  const shown = new Set<string>();
  const documents = [
    db.selectFrom('design').select('document as text'),
    db.selectFrom('design_revision').select('document as text'),
    db.selectFrom('job').select('document as text'),
    db.selectFrom('job').select('others as text'),
  ];
  for (const query of documents) {
    for await (const { text } of query.stream()) {
      for (const hash of picturesNamed(text)) shown.add(hash);
    }
  }
  return shown;
}
