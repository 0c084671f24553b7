import type { Kysely } from 'kysely';
import type { KeptPicture } from '../../contracts/picture.ts';
import { PIXELS_HEADER } from '../../contracts/picture.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import { findPicture, storePicture } from '../db/picture-table.ts';
import type { Database } from '../db/schema.ts';
import { FOR_EVER } from '../for-ever.ts';
import { sharedPools } from '../work/shared-pools.ts';

/** Keeps a picture by what it holds. @throws CoreError as `readyPicture` */
export async function keepPicture(
  db: Kysely<Database>,
  bytes: Uint8Array<ArrayBuffer>,
  now: string,
): Promise<KeptPicture> {
  const { about, type, bytes: kept } = await sharedPools().keep(bytes);
  await storePicture(db, { hash: about.hash, type, bytes: kept }, now);
  return about;
}

/**
 * A design without the pictures that it carried: they are kept.
 * @throws CoreError as `readyPicture`, "picture/carried" {hash} for a file that is another than its name says
 */
export async function keepCarried(db: Kysely<Database>, design: Design, now: string): Promise<Design> {
  const files = Object.entries(design.pictures);
  if (files.length === 0) return design;
  for (const [name, { base64 }] of files) {
    const { hash } = await keepPicture(db, new Uint8Array(Buffer.from(base64, 'base64')), now);
    if (hash !== name) throw new CoreError('picture/carried', { hash: name.slice(0, 12) });
  }
  return { ...design, pictures: {} };
}

/** The file of a kept picture. @throws CoreError "picture/missing" */
export async function answerKept(db: Kysely<Database>, hash: string): Promise<Response> {
  const { type, bytes } = await findPicture(db, hash);
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': type, 'cache-control': FOR_EVER },
  });
}

/** Its pixels, four bytes each, their size in a header. @throws CoreError "picture/missing" */
export async function answerPixels(db: Kysely<Database>, hash: string): Promise<Response> {
  const { bytes } = await findPicture(db, hash);
  const { width, height, rgba } = await sharedPools().pixels(new Uint8Array(bytes));
  return new Response(new Uint8Array(rgba), {
    headers: {
      'content-type': 'application/octet-stream',
      'cache-control': FOR_EVER,
      [PIXELS_HEADER]: JSON.stringify({ width, height }),
    },
  });
}
