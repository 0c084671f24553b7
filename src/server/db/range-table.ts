import type { Kysely, Transaction } from 'kysely';
import { CoreError } from '../../core/error.ts';
import type { Database } from './schema.ts';

/** Every range in order, with the ids of its designs in order. */
export async function listRanges(
  db: Kysely<Database>,
): Promise<readonly { id: string; name: string; designs: readonly string[] }[]> {
  const ranges = await db.selectFrom('range').select(['id', 'name']).orderBy('position').execute();
  const members = await db.selectFrom('range_design').selectAll().orderBy('position').execute();
  return ranges.map((range) => ({
    ...range,
    designs: members.filter((member) => member.range_id === range.id).map((member) => member.design_id),
  }));
}

/** Name of the range that a design is in; empty when it is in none. */
export async function rangeOf(db: Kysely<Database>, designId: string): Promise<string> {
  const row = await db
    .selectFrom('range_design')
    .innerJoin('range', 'range.id', 'range_design.range_id')
    .select('range.name')
    .where('design_id', '=', designId)
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
  await within.deleteFrom('range_design').where('design_id', '=', designId).execute();
  if (rangeId === undefined) return;
  const known = await within.selectFrom('range').select('id').where('id', '=', rangeId).executeTakeFirst();
  if (known === undefined) throw new CoreError('range/missing', { id: rangeId.slice(0, 60) });
  const { last } = await within
    .selectFrom('range_design')
    .select((query) => query.fn.max('position').as('last'))
    .where('range_id', '=', rangeId)
    .executeTakeFirstOrThrow();
  const row = { range_id: rangeId, design_id: designId, position: (last ?? -1) + 1 };
  await within.insertInto('range_design').values(row).execute();
}
