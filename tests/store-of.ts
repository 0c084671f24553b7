import type { Kysely } from 'kysely';
import type { Summary } from '../src/contracts/shelf.ts';
import type { Database } from '../src/server/db/schema.ts';
import { provenOf } from '../src/server/proving/proven.ts';
import { makeProver } from '../src/server/proving/prover.ts';
import { readShelf } from '../src/server/shelf.ts';
import type { Store } from '../src/server/store.ts';

/** A store whose designs are proven at once, without threads. */
export function storeOf(db: Kysely<Database>): Store {
  return { db, prover: makeProver((design) => Promise.resolve(provenOf(design))) };
}

/** The designs that hang on the first page of the shelf. */
export async function hungOn(db: Kysely<Database>): Promise<readonly Summary[]> {
  return (await readShelf(db)).ranges.flatMap(({ designs }) => designs);
}
