import type { Kysely } from 'kysely';
import type { Database } from './db/schema.ts';
import type { Prover } from './proving/prover.ts';

/** What the shelf works on: the database, and who proves its designs. */
export interface Store {
  readonly db: Kysely<Database>;
  readonly prover: Prover;
}
