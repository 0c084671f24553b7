import type { Kysely } from 'kysely';
import { fileNameOf } from '../../core/formats/file-name.ts';
import { COLLECTION_SCALE } from '../../core/formats/page/collection.ts';
import { findDesign } from '../db/design-table.ts';
import { carrying } from '../db/picture-table.ts';
import type { Database } from '../db/schema.ts';
import { readRange } from '../shelf.ts';
import { sharedPools } from '../work/shared-pools.ts';
import { disposition } from './send-file.ts';

/**
 * The collection sheet of a range, to be saved. Query: `scale`; `designs`, ids between commas, for some of them.
 * @throws CoreError "range/missing", or as `collectionFile`
 */
export async function answerCollection(
  db: Kysely<Database>,
  rangeId: string,
  { query, now }: { readonly query: URLSearchParams; readonly now: string },
): Promise<Response> {
  const { name: title, designs: all } = await readRange(db, rangeId);
  const chosen = query.get('designs')?.split(',');
  const ids = chosen === undefined ? all : all.filter((id) => chosen.includes(id));
  const designs = await Promise.all(ids.map(async (id) => carrying(db, (await findDesign(db, id)).document)));
  const bytes = await sharedPools().collect({
    title,
    designs,
    scale: query.get('scale') ?? COLLECTION_SCALE,
    at: now,
  });
  return new Response(Uint8Array.from(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': disposition(fileNameOf({ name: title, file: 'collection.pdf' })),
      'cache-control': 'no-store',
    },
  });
}
