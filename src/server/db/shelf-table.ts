import { type Kysely, type SelectQueryBuilder, sql } from 'kysely';
import { type Summary, summarySchema } from '../../contracts/shelf.ts';
import type { ShelfView, ShelfWish } from '../../contracts/shelf-wish.ts';
import type { Database } from './schema.ts';

/** What the shelf shows of a design. */
export const SUMMARY = [
  'id',
  'name',
  'number',
  'kind',
  'version',
  'verdict',
  'size',
  'area',
  'search',
  'favourite',
  'updated_at as updatedAt',
] as const;

/** Rows that this Vetro reads: of kinds and verdicts that it knows. */
const KINDS: readonly string[] = summarySchema.shape.kind.options;
const VERDICTS: readonly string[] = summarySchema.shape.verdict.options;

/** Designs that are looked for. */
export interface Sought extends ShelfView {
  /** How many rows this Vetro cannot read; they are left out, which costs time where there are some. */
  readonly unreadable: number;
}

/** Some of the designs that are looked for. */
export interface SoughtPage extends Sought, Pick<ShelfWish, 'from' | 'count'> {}

/** Designs of each range that are found, by the range's id; null for those in no range. */
export async function countInRanges(
  db: Kysely<Database>,
  view: Sought,
): Promise<ReadonlyMap<string | null, number>> {
  const rows = await shownIn(db, view)
    .select(({ fn }) => ['range_id', fn.countAll<number>().as('count')])
    .groupBy('range_id')
    .execute();
  return new Map(rows.map(({ range_id, count }) => [range_id, count]));
}

/** Designs that are not in the bin: those that this Vetro can read, and the others. */
export async function countDesigns(
  db: Kysely<Database>,
): Promise<{ readonly total: number; readonly unreadable: number }> {
  const rows = await db
    .selectFrom('design')
    .select(({ fn }) => ['verdict', 'kind', fn.countAll<number>().as('count')])
    .where('deleted_at', 'is', null)
    .groupBy(['verdict', 'kind'])
    .execute();
  const sum = (of: typeof rows) => of.reduce((all, { count }) => all + count, 0);
  const readable = rows.filter(({ kind, verdict }) => KINDS.includes(kind) && VERDICTS.includes(verdict));
  return { total: sum(readable), unreadable: sum(rows) - sum(readable) };
}

/** How many lie in the bin. */
export async function countBinned(db: Kysely<Database>): Promise<number> {
  const { count } = await db
    .selectFrom('design')
    .select(({ fn }) => fn.countAll<number>().as('count'))
    .where('deleted_at', 'is not', null)
    .executeTakeFirstOrThrow();
  return count;
}

/** Designs of one range that are found, as they hang there; a range of null is none. */
export async function listInRange(
  db: Kysely<Database>,
  rangeId: string | null,
  wish: SoughtPage,
): Promise<readonly Summary[]> {
  const rows = await shownIn(db, wish)
    .select(SUMMARY)
    .where('range_id', rangeId === null ? 'is' : '=', rangeId)
    .orderBy('position')
    .orderBy('created_at')
    .orderBy('id')
    .limit(wish.count)
    .offset(wish.from)
    .execute();
  return summariesOf(rows);
}

/** Designs that are found, in an order of all of them. */
export async function listInOrder(
  db: Kysely<Database>,
  order: Exclude<ShelfView['order'], 'range'>,
  wish: SoughtPage,
): Promise<readonly Summary[]> {
  const [column, direction] = ORDER[order];
  // The order is followed along its index; what is found is looked up there, so that no row is read in vain.
  const { search, ...all } = wish;
  let listed = shownIn(db, { ...all, search: '' }).select(SUMMARY);
  if (search.trim() !== '') listed = listed.where('id', 'in', shownIn(db, wish).select('id'));
  const rows = await listed
    .orderBy(column, direction)
    .orderBy('id', direction)
    .limit(wish.count)
    .offset(wish.from)
    .execute();
  return summariesOf(rows);
}

const ORDER: Readonly<Record<Exclude<ShelfView['order'], 'range'>, readonly [OrderColumn, 'asc' | 'desc']>> =
  {
    name: ['name_key', 'asc'],
    newest: ['updated_at', 'desc'],
    repeat: ['area', 'asc'],
  };

type OrderColumn = 'name_key' | 'updated_at' | 'area';

/** The designs that are found, before they are put in order. */
function shownIn(
  db: Kysely<Database>,
  { search, kind, favourites, unreadable }: Sought,
): SelectQueryBuilder<Database, 'design', object> {
  let shown = db.selectFrom('design').where('deleted_at', 'is', null);
  if (kind !== 'all') shown = shown.where('kind', '=', kind);
  if (favourites) shown = shown.where('favourite', '=', 1);
  if (unreadable > 0) shown = shown.where('kind', 'in', KINDS).where('verdict', 'in', VERDICTS);
  for (const word of search.toLowerCase().split(/\s+/)) {
    if (word !== '') shown = shown.where(sql<boolean>`instr(search, ${word}) > 0`);
  }
  return shown;
}

/** Rows as summaries; those that cannot be read are left out. */
export function summariesOf(rows: readonly { readonly favourite: number }[]): readonly Summary[] {
  return rows.flatMap(
    (row) => summarySchema.safeParse({ ...row, favourite: row.favourite === 1 }).data ?? [],
  );
}
