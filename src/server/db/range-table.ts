import type { Kysely } from 'kysely';
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

/** The id of the range of that name, made at the end when there is none. */
export async function ensureRange(db: Kysely<Database>, name: string, newId: string): Promise<string> {
  const found = await db.selectFrom('range').select('id').where('name', '=', name).executeTakeFirst();
  if (found !== undefined) return found.id;
  const { count } = await db
    .selectFrom('range')
    .select((query) => query.fn.countAll<number>().as('count'))
    .executeTakeFirstOrThrow();
  await db.insertInto('range').values({ id: newId, name, position: count }).execute();
  return newId;
}

/**
 * Hangs a design at the end of a range, or in none; it leaves the one it was in.
 * @throws CoreError "range/missing"
 */
export async function placeInRange(
  db: Kysely<Database>,
  designId: string,
  rangeId: string | undefined,
): Promise<void> {
  if (rangeId !== undefined) {
    const known = await db.selectFrom('range').select('id').where('id', '=', rangeId).executeTakeFirst();
    if (known === undefined) throw new CoreError('range/missing', { id: rangeId.slice(0, 60) });
  }
  await db.transaction().execute(async (within) => {
    await within.deleteFrom('range_design').where('design_id', '=', designId).execute();
    if (rangeId === undefined) return;
    const { last } = await within
      .selectFrom('range_design')
      .select((query) => query.fn.max('position').as('last'))
      .where('range_id', '=', rangeId)
      .executeTakeFirstOrThrow();
    const row = { range_id: rangeId, design_id: designId, position: (last ?? -1) + 1 };
    await within.insertInto('range_design').values(row).execute();
  });
}
