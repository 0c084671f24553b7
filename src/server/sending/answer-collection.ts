import type { Kysely } from 'kysely';
import { fileNameOf } from '../../core/formats/file-name.ts';
import { findDesign } from '../db/design-table.ts';
import { carrying } from '../db/picture-table.ts';
import type { Database } from '../db/schema.ts';
import { readRange } from '../shelf.ts';
import { sharedPools } from '../work/shared-pools.ts';
import { disposition } from './send-file.ts';

/** Part of true size when nothing is said. */
const SCALE = '50%';

/**
 * The collection sheet of a range, to be saved. Query: `scale`.
 * @throws CoreError "range/missing", or as `collectionFile`
 */
export async function answerCollection(
  db: Kysely<Database>,
  rangeId: string,
  { query, now }: { readonly query: URLSearchParams; readonly now: string },
): Promise<Response> {
  const { name: title, designs: ids } = await readRange(db, rangeId);
  const designs = await Promise.all(ids.map(async (id) => carrying(db, (await findDesign(db, id)).document)));
  const bytes = await sharedPools().collect({ title, designs, scale: query.get('scale') ?? SCALE, at: now });
  return new Response(Uint8Array.from(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': disposition(fileNameOf({ name: title, file: 'collection.pdf' })),
      'cache-control': 'no-store',
    },
  });
}
