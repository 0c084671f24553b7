import type { Kysely } from 'kysely';
import { sql } from 'kysely';
import { type Summary, summarySchema } from '../../contracts/shelf.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { readDesignText } from '../../core/design/read-design.ts';
import { CoreError } from '../../core/error.ts';
import { summarise } from '../summarise.ts';
import type { Database } from './schema.ts';

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
  return { id, version, updatedAt, document: readDesignText(document) };
}

/** Every design that is not in the bin, oldest first. */
export async function listDesigns(db: Kysely<Database>): Promise<readonly Summary[]> {
  const rows = await db
    .selectFrom('design')
    .select(['id', 'name', 'number', 'kind', 'version', 'verdict', 'size', 'area', 'search'])
    .select('updated_at as updatedAt')
    .where('deleted_at', 'is', null)
    .orderBy('created_at')
    .orderBy('id')
    .execute();
  return rows.map((row) => summarySchema.parse(row));
}

export async function insertDesign(
  db: Kysely<Database>,
  { id, design, now }: { id: string; design: Design; now: string },
): Promise<Saved> {
  const row = { id, ...summarise(design), created_at: now, updated_at: now };
  await db.insertInto('design').values(row).execute();
  return { id, version: 1, updatedAt: now };
}

/**
 * Writes a document over the version it is based on.
 * @throws CoreError "design/stale" {version, updatedAt} | "design/missing"
 */
export async function updateDesign(
  db: Kysely<Database>,
  { id, version, design, now }: { id: string; version: number; design: Design; now: string },
): Promise<Saved> {
  const { numUpdatedRows } = await db
    .updateTable('design')
    .set({ ...summarise(design), version: version + 1, updated_at: now })
    .where('id', '=', id)
    .where('version', '=', version)
    .where('deleted_at', 'is', null)
    .executeTakeFirst();
  if (numUpdatedRows === 1n) return { id, version: version + 1, updatedAt: now };
  const current = await findDesign(db, id);
  throw new CoreError('design/stale', { version: current.version, updatedAt: current.updatedAt });
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
  const { rows } = await sql<{ last: number | null }>`
    select max(cast(substr(number, ${prefix.length + 2}) as integer)) as last
    from design where number like ${`${prefix} %`}`.execute(db);
  return `${prefix} ${String((rows[0]?.last ?? 0) + 1).padStart(3, '0')}`;
}
