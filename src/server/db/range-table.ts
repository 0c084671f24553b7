import type { Kysely, Transaction } from 'kysely';
import { CoreError } from '../../core/error.ts';
import type { Database } from './schema.ts';

/** Every range in order. */
export function listRanges(db: Kysely<Database>): Promise<readonly { id: string; name: string }[]> {
  return db.selectFrom('range').select(['id', 'name']).orderBy('position').orderBy('id').execute();
}

/** Name of the range that a design is in; empty when it is in none. */
export async function rangeOf(db: Kysely<Database>, designId: string): Promise<string> {
  const row = await db
    .selectFrom('design')
    .innerJoin('range', 'range.id', 'design.range_id')
    .select('range.name')
    .where('design.id', '=', designId)
    .executeTakeFirst();
  return row?.name ?? '';
}

/** The id of the range of that name, made at the end when there is none. Within a transaction of the caller's. */
export async function ensureRange(
  within: Transaction<Database>,
  name: string,
  newId: string,
): Promise<string> {
  const found = await within.selectFrom('range').select('id').where('name', '=', name).executeTakeFirst();
  if (found !== undefined) return found.id;
  const { last } = await within
    .selectFrom('range')
    .select((query) => query.fn.max('position').as('last'))
    .executeTakeFirstOrThrow();
  await within
    .insertInto('range')
    .values({ id: newId, name, position: (last ?? -1) + 1 })
    .execute();
  return newId;
}

/**
 * Hangs a design at the end of a range, or in none; it leaves the one it was in. Within a transaction of the caller's.
 * @throws CoreError "range/missing"
 */
export async function placeInRange(
  within: Transaction<Database>,
  designId: string,
  rangeId: string | undefined,
): Promise<void> {
  const place = rangeId === undefined ? { range_id: null, position: 0 } : await endOf(within, rangeId);
  await within.updateTable('design').set(place).where('id', '=', designId).execute();
}

async function endOf(within: Transaction<Database>, rangeId: string) {
  const known = await within.selectFrom('range').select('id').where('id', '=', rangeId).executeTakeFirst();
  if (known === undefined) throw new CoreError('range/missing', { id: rangeId.slice(0, 60) });
  const { last } = await within
    .selectFrom('design')
    .select((query) => query.fn.max('position').as('last'))
    .where('range_id', '=', rangeId)
    .executeTakeFirstOrThrow();
  return { range_id: rangeId, position: (last ?? -1) + 1 };
}
