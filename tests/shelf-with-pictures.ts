import type { Kysely } from 'kysely';
import sharp from 'sharp';
import type { Design } from '../src/core/design/design-schema.ts';
import { binDesign, markFavourite } from '../src/server/db/design-table.ts';
import { inTransaction } from '../src/server/db/in-transaction.ts';
import { ensureRange } from '../src/server/db/range-table.ts';
import type { Database } from '../src/server/db/schema.ts';
import { writeSetting } from '../src/server/db/setting-table.ts';
import { readyPicture } from '../src/server/pictures/keep-picture.ts';
import { addDesign, keepVersion, moveDesign, saveDesign } from '../src/server/shelf.ts';
import { motifOf } from './motif-of.ts';
import { SAMPLE, sampleDesign } from './sample-design.ts';
import { storeOf } from './store-of.ts';

/** A motif that shows a picture of one colour, and carries it. */
export async function pictureDesign(name: string, red: number): Promise<Design> {
  const colour = { r: red, g: 30, b: 20, alpha: 1 };
  const image = sharp({ create: { width: 6, height: 4, channels: 4, background: colour } }).png();
  const { about, type, bytes } = await readyPicture(new Uint8Array(await image.toBuffer()));
  const { notes: _, ...known } = about;
  const shape = { kind: 'rectangle', width: '4', height: '2', radii: '0' } as const;
  const picture = { ...known, name, fit: 'filling' as const };
  return {
    ...motifOf([{ shape, picture }]),
    name,
    pictures: { [about.hash]: { type, base64: Buffer.from(bytes).toString('base64') } },
  };
}

/** What hangs on a shelf for tests, by the names of its designs. */
export interface Hung {
  readonly ids: Readonly<Record<'plaid' | 'named' | 'picture' | 'binned', string>>;
}

/**
 * Hangs four designs: a plaid in a range, one with an earlier state that has a name, one with a picture, and one in the bin.
 * @param now  ISO 8601
 */
export async function hangSome(db: Kysely<Database>, now: string): Promise<Hung> {
  const store = storeOf(db);
  const add = async (design: Design) => (await addDesign(store, { design, now })).id;
  const sample = sampleDesign(SAMPLE);
  const plaid = await add({ ...sample, name: 'Rug' });
  const named = await add({ ...sample, name: 'Blind' });
  const picture = await add(await pictureDesign('Lake', 200));
  const binned = await add({ ...sample, name: 'Tried and left' });
  await moveDesign(db, named, 'Stations');
  await moveDesign(db, plaid, 'Carriages');
  await moveDesign(db, picture, 'Carriages');
  await inTransaction(db, (within) =>
    ensureRange(within, 'Empty yet', 'c0ffee00-0000-4000-8000-000000000000'),
  );
  await keepVersion(db, { id: named, name: 'As it was shown', now });
  await saveDesign(store, {
    id: named,
    version: 1,
    design: { ...sample, name: 'Blind, wider', number: 'V 002' },
    now,
  });
  await markFavourite(db, plaid, true);
  await binDesign(db, binned, now);
  await writeSetting(db, 'shelf-title', 'The line');
  await writeSetting(db, 'passphrase', 'a secret');
  return { ids: { plaid, named, picture, binned } };
}
