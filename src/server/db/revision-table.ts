import type { Kysely, Transaction } from 'kysely';
import type { Revision } from '../../contracts/revision.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import { readStored } from '../work/read-stored.ts';
import type { Database } from './schema.ts';

/** Milliseconds of work that one unnamed state stands for. */
const APART = 10 * 60 * 1000;

/** Most unnamed states of a design; older ones go. */
export const MAX_UNNAMED = 200;

/** The earlier states of a design, newest first. */
export async function listRevisions(db: Kysely<Database>, designId: string): Promise<readonly Revision[]> {
  return db
    .selectFrom('design_revision')
    .select(['id', 'name', 'version', 'at'])
    .where('design_id', '=', designId)
    .orderBy('at', 'desc')
    .orderBy('version', 'desc')
    .execute();
}

/** @throws CoreError "revision/missing", or of `readDesignText` */
export async function findRevision(
  db: Kysely<Database>,
  { designId, id }: { readonly designId: string; readonly id: string },
): Promise<Revision & { readonly document: Design }> {
  const row = await db
    .selectFrom('design_revision')
    .select(['id', 'name', 'version', 'at', 'document'])
    .where('design_id', '=', designId)
    .where('id', '=', id)
    .executeTakeFirst();
  if (row === undefined) throw new CoreError('revision/missing', { id: id.slice(0, 60) });
  return { ...row, document: await readStored(row.document) };
}

/**
 * Keeps what is stored of a design before it is written over, unless a state of the last minutes is kept already. Within a
 * transaction of the caller's.
 */
export async function keepEarlier(
  within: Transaction<Database>,
  { designId, id, now }: { readonly designId: string; readonly id: string; readonly now: string },
): Promise<void> {
  const last = await within
    .selectFrom('design_revision')
    .select(({ fn }) => fn.max('kept_at').as('at'))
    .where('design_id', '=', designId)
    .executeTakeFirst();
  // One of the future was kept under a clock that was wrong: it keeps no other from being kept.
  const age = typeof last?.at === 'string' ? Date.parse(now) - Date.parse(last.at) : APART;
  if (age >= 0 && age < APART) return;
  await keepStored(within, { designId, id, now, name: '' });
  await dropOldest(within, designId);
}

interface Kept {
  readonly designId: string;
  readonly id: string;
  readonly now: string;
  readonly name: string;
}

/** Keeps what is stored of a design now. Within a transaction of the caller's. @throws CoreError "design/missing" */
export async function keepStored(
  within: Transaction<Database>,
  { designId, id, now, name }: Kept,
): Promise<void> {
  const row = await within
    .selectFrom('design')
    .select(['version', 'document', 'updated_at'])
    .where('id', '=', designId)
    .where('deleted_at', 'is', null)
    .executeTakeFirst();
  if (row === undefined) throw new CoreError('design/missing', { id: designId.slice(0, 60) });
  const { version, document, updated_at: at } = row;
  await within
    .insertInto('design_revision')
    .values({ id, design_id: designId, version, name, document, at, kept_at: now })
    .execute();
}

/** Gives an earlier state a name; an empty one takes it away. @throws CoreError "revision/missing" */
export async function nameRevision(
  db: Kysely<Database>,
  { designId, id, name }: { readonly designId: string; readonly id: string; readonly name: string },
): Promise<void> {
  const { numUpdatedRows } = await db
    .updateTable('design_revision')
    .set({ name })
    .where('design_id', '=', designId)
    .where('id', '=', id)
    .executeTakeFirst();
  if (numUpdatedRows !== 1n) throw new CoreError('revision/missing', { id: id.slice(0, 60) });
}

/** Named states stay for ever. */
async function dropOldest(within: Transaction<Database>, designId: string): Promise<void> {
  const old = await within
    .selectFrom('design_revision')
    .select('id')
    .where('design_id', '=', designId)
    .where('name', '=', '')
    .orderBy('at', 'desc')
    .orderBy('version', 'desc')
    .offset(MAX_UNNAMED)
    .limit(1000)
    .execute();
  if (old.length === 0) return;
  await within
    .deleteFrom('design_revision')
    .where(
      'id',
      'in',
      old.map(({ id }) => id),
    )
    .execute();
}
