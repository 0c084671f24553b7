import type { Kysely, Transaction } from 'kysely';
import type { Database } from './schema.ts';

/**
 * Does some work in one transaction. On a full disk SQLite ends it by itself, so that rolling it back fails; what went
 * wrong first is what is thrown. Source: SQLite, "Transaction", §3, "Response To Errors Within A Transaction".
 */
export async function inTransaction<T>(
  db: Kysely<Database>,
  work: (within: Transaction<Database>) => Promise<T>,
): Promise<T> {
  const failed: { readonly cause: unknown }[] = [];
  const done = db.transaction().execute((within) =>
    work(within).catch((cause: unknown) => {
      failed.push({ cause });
      throw cause;
    }),
  );
  return done.catch((error: unknown) => {
    throw failed[0]?.cause ?? error;
  });
}
