import type { Kysely, Transaction } from 'kysely';
import type { Database } from './schema.ts';

/**
 * Does some work in one transaction. On a full disk SQLite ends it by itself, in the work or while it is committed, so that
 * rolling it back fails; what went wrong first is what is thrown. Source: SQLite, "Transaction", §3, "Response To Errors
 * Within A Transaction".
 */
export async function inTransaction<T>(
  db: Kysely<Database>,
  work: (within: Transaction<Database>) => Promise<T>,
): Promise<T> {
  const within = await db.startTransaction().execute();
  try {
    const result = await work(within);
    await within.commit().execute();
    return result;
  } catch (error) {
    await within
      .rollback()
      .execute()
      .catch(() => undefined);
    throw error;
  }
}
