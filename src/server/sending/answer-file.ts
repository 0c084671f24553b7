import type { Kysely } from 'kysely';
import type { Design } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import type { StoredDesign } from '../db/design-table.ts';
import { carrying } from '../db/picture-table.ts';
import type { Database } from '../db/schema.ts';
import { FOR_EVER } from '../for-ever.ts';
import { sharedPools } from '../work/shared-pools.ts';
import { makeMadeOnce } from './made-once.ts';

/** Swatches that are kept, some 20 kB each: those of a few screens of the shelf. */
const swatches = makeMadeOnce(1000);

/**
 * A file of a stored design. Query: `v`, the version that is meant; `save` to download it; the rest as `sendFile`.
 * A download of another version than the one that is stored is refused, any other file is then of the stored one.
 *
 * @throws CoreError "design/stale" {version, updatedAt}, "server/busy", or as `sendFile`
 */
export async function answerFile(
  db: Kysely<Database>,
  { id, document, version, updatedAt }: StoredDesign,
  file: string,
  query: URLSearchParams,
): Promise<Response> {
  const meant = query.get('v');
  const same = meant === String(version);
  const saved = query.has('save');
  if (saved && meant !== null && !same) throw new CoreError('design/stale', { version, updatedAt });
  const make = async () => sharedPools().file(await carrying(db, partShown(document, file)), file, query);
  const response =
    file === 'swatch.png' && same ? await swatches.answer(`${id}?${query}`, make) : await make();
  response.headers.set('cache-control', same && !saved ? FOR_EVER : 'no-store');
  return response;
}

/** A picture shows nothing of what other programs' files said, which may be long. */
function partShown(design: Design, file: string): Design {
  return /\.(png|jpg|webp|tif)$/.test(file) ? { ...design, kept: [] } : design;
}

/** A crop of an earlier state of a design, which never changes. @throws CoreError "server/busy", or as `sendFile` */
export async function answerSwatch(
  db: Kysely<Database>,
  document: Design,
  query: URLSearchParams,
): Promise<Response> {
  const response = await sharedPools().file(
    await carrying(db, partShown(document, 'swatch.png')),
    'swatch.png',
    query,
  );
  response.headers.set('cache-control', FOR_EVER);
  return response;
}
