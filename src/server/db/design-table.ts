import type { Kysely } from 'kysely';
import { sql } from 'kysely';
import type { Summary } from '../../contracts/shelf.ts';
import { kindOf } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import type { Proven } from '../proving/proven.ts';
import { readStored } from '../work/read-stored.ts';
import { nameKey } from './name-key.ts';
import type { Database } from './schema.ts';
import { searchText } from './search-text.ts';
import { SUMMARY, summariesOf } from './shelf-table.ts';

export interface StoredDesign {
  readonly id: string;
  readonly version: number;
  readonly updatedAt: string;
  readonly document: Design;
}

export type Saved = Omit<StoredDesign, 'document'>;

/** @throws CoreError "design/missing", or of `readDesignText` */
export async function findDesign(db: Kysely<Database>, id: string): Promise<StoredDesign> {
  const row = await db
    .selectFrom('design')
    .select(['id', 'version', 'updated_at', 'document'])
    .where('id', '=', id)
    .where('deleted_at', 'is', null)
    .executeTakeFirst();
  if (row === undefined) throw new CoreError('design/missing', { id: id.slice(0, 60) });
  const { version, updated_at: updatedAt, document } = row;
  return { id, version, updatedAt, document: await readStored(document) };
}

/** What is stored of a design, without its document. @throws CoreError "design/missing" */
export async function findVersion(
  db: Kysely<Database>,
  id: string,
): Promise<Pick<StoredDesign, 'version' | 'updatedAt'>> {
  const row = await db
    .selectFrom('design')
    .select(['version', 'updated_at as updatedAt'])
    .where('id', '=', id)
    .where('deleted_at', 'is', null)
    .executeTakeFirst();
  if (row === undefined) throw new CoreError('design/missing', { id: id.slice(0, 60) });
  return row;
}

/** A design and what is proven of it so far. */
interface Written {
  readonly id: string;
  readonly design: Design;
  /** Undefined while its check goes on. */
  readonly proven: Proven | undefined;
  readonly now: string;
}

/** The columns that are found from a document whenever it is written. */
export function columnsOf({ design, proven }: Pick<Written, 'design' | 'proven'>) {
  return {
    name: design.name,
    name_key: nameKey(design.name),
    number: design.number,
    kind: kindOf(design),
    document: JSON.stringify(design),
    ...provenColumns(design, proven),
  };
}

function provenColumns(design: Design, proven: Proven | undefined) {
  const { verdict, size, area } = proven ?? { verdict: 'Checking', size: '', area: 0 };
  return { verdict, size, area, search: searchText(design, size) };
}

/** The designs in the bin, the last deleted first. */
export async function listBin(db: Kysely<Database>): Promise<readonly (Summary & { deletedAt: string })[]> {
  const rows = await db
    .selectFrom('design')
    .select([...SUMMARY, 'deleted_at'])
    .where('deleted_at', 'is not', null)
    .orderBy('deleted_at', 'desc')
    .orderBy('id')
    .execute();
  const deletedAt = new Map(rows.map((row) => [row.id, row.deleted_at ?? '']));
  return summariesOf(rows).map((summary) => ({ ...summary, deletedAt: deletedAt.get(summary.id)! }));
}

/** The document of a design in the bin. @throws CoreError "design/missing", or of `readDesignText` */
export async function findBinned(db: Kysely<Database>, id: string): Promise<Design> {
  const row = await db
    .selectFrom('design')
    .select('document')
    .where('id', '=', id)
    .where('deleted_at', 'is not', null)
    .executeTakeFirst();
  if (row === undefined) throw new CoreError('design/missing', { id: id.slice(0, 60) });
  return readStored(row.document);
}

/** The document of a design, in the bin or not. @throws CoreError "design/missing", or of `readDesignText` */
export async function findHeld(db: Kysely<Database>, id: string): Promise<Design> {
  const row = await db.selectFrom('design').select('document').where('id', '=', id).executeTakeFirst();
  if (row === undefined) throw new CoreError('design/missing', { id: id.slice(0, 60) });
  return readStored(row.document);
}

/** Deletes one design of the bin, or all of them, for ever. @throws CoreError "design/missing" for one that is not there */
export async function emptyBin(db: Kysely<Database>, id?: string): Promise<void> {
  const all = db.deleteFrom('design').where('deleted_at', 'is not', null);
  const { numDeletedRows } = await (id === undefined ? all : all.where('id', '=', id)).executeTakeFirst();
  if (id !== undefined && numDeletedRows !== 1n)
    throw new CoreError('design/missing', { id: id.slice(0, 60) });
}

/** Marks a design as a favourite, or as none. @throws CoreError "design/missing" */
export async function markFavourite(db: Kysely<Database>, id: string, favourite: boolean): Promise<void> {
  const { numUpdatedRows } = await db
    .updateTable('design')
    .set({ favourite: favourite ? 1 : 0 })
    .where('id', '=', id)
    .where('deleted_at', 'is', null)
    .executeTakeFirst();
  if (numUpdatedRows !== 1n) throw new CoreError('design/missing', { id: id.slice(0, 60) });
}

/** The designs whose check had not ended when Vetro did. */
export async function listUnproven(db: Kysely<Database>): Promise<readonly string[]> {
  const rows = await db
    .selectFrom('design')
    .select('id')
    .where('verdict', '=', 'Checking')
    .where('deleted_at', 'is', null)
    .execute();
  return rows.map(({ id }) => id);
}

/** Writes what was proven of one version of a design; a newer one is left as it is. */
export async function recordProven(
  db: Kysely<Database>,
  { id, version, design, proven }: { id: string; version: number; design: Design; proven: Proven },
): Promise<void> {
  await db
    .updateTable('design')
    .set(provenColumns(design, proven))
    .where('id', '=', id)
    .where('version', '=', version)
    .where('verdict', '=', 'Checking')
    .execute();
}

export async function insertDesign(db: Kysely<Database>, written: Written): Promise<Saved> {
  const { id, now } = written;
  const row = { id, ...columnsOf(written), created_at: now, updated_at: now };
  await db.insertInto('design').values(row).execute();
  return { id, version: 1, updatedAt: now };
}

/**
 * Writes a document over the version it is based on.
 * @throws CoreError "design/stale" {version, updatedAt} | "design/missing"
 */
export async function updateDesign(
  db: Kysely<Database>,
  { version, ...written }: Written & { readonly version: number },
): Promise<Saved> {
  const { id, now } = written;
  const { numUpdatedRows } = await db
    .updateTable('design')
    .set({ ...columnsOf(written), version: version + 1, updated_at: now })
    .where('id', '=', id)
    .where('version', '=', version)
    .where('deleted_at', 'is', null)
    .executeTakeFirst();
  if (numUpdatedRows === 1n) return { id, version: version + 1, updatedAt: now };
  throw new CoreError('design/stale', await findVersion(db, id));
}

/**
 * Puts a design in the bin, or takes it out again.
 * @throws CoreError "design/missing"
 */
export async function binDesign(db: Kysely<Database>, id: string, deletedAt: string | null): Promise<void> {
  const { numUpdatedRows } = await db
    .updateTable('design')
    .set({ deleted_at: deletedAt })
    .where('id', '=', id)
    .where('deleted_at', deletedAt === null ? 'is not' : 'is', null)
    .executeTakeFirst();
  if (numUpdatedRows !== 1n) throw new CoreError('design/missing', { id: id.slice(0, 60) });
}

/** The next ticket number of the form "prefix 012" that no design has. */
export async function nextNumber(db: Kysely<Database>, prefix: string): Promise<string> {
  // Numbers from "prefix " up to, but without, what would come after the last of them: an index holds them.
  const next = prefix + String.fromCharCode(' '.charCodeAt(0) + 1);
  const { rows } = await sql<{ last: number | null }>`
    select max(cast(substr(number, ${prefix.length + 2}) as integer)) as last
    from design where number >= ${`${prefix} `} and number < ${next}`.execute(db);
  return `${prefix} ${String((rows[0]?.last ?? 0) + 1).padStart(3, '0')}`;
}
