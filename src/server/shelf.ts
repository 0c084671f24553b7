import { randomUUID } from 'node:crypto';
import type { Kysely } from 'kysely';
import type { SaveRequest } from '../contracts/design.ts';
import type { Shelf } from '../contracts/shelf.ts';
import type { Design } from '../core/design/design-schema.ts';
import {
  findDesign,
  insertDesign,
  listBin,
  listDesigns,
  listUnproven,
  nextNumber,
  recordProven,
  type Saved,
  type StoredDesign,
  updateDesign,
} from './db/design-table.ts';
import { inTransaction } from './db/in-transaction.ts';
import { ensureRange, listRanges, placeInRange, rangeOf } from './db/range-table.ts';
import { keepEarlier, keepStored } from './db/revision-table.ts';
import type { Database } from './db/schema.ts';
import { readSetting } from './db/setting-table.ts';
import { keepCarried } from './pictures/kept-pictures.ts';
import type { Store } from './store.ts';

/** Everything that hangs on the shelf; designs in no range come last, in one without a name. */
export async function readShelf(db: Kysely<Database>): Promise<Shelf> {
  const { designs, unreadable } = await listDesigns(db);
  const byId = new Map(designs.map((design) => [design.id, design]));
  const ranges = (await listRanges(db)).map((range) => ({
    ...range,
    designs: range.designs.flatMap((id) => byId.get(id) ?? []),
  }));
  const hung = new Set(ranges.flatMap((range) => range.designs.map((design) => design.id)));
  const loose = designs.filter((design) => !hung.has(design.id));
  return {
    title: (await readSetting(db, 'shelf-title')) ?? 'Shelf',
    ranges: [
      ...ranges.filter((range) => range.designs.length > 0),
      { id: '', name: '', designs: loose },
    ].filter((range) => range.designs.length > 0),
    binned: (await listBin(db)).length,
    unreadable,
  };
}

/** A stored design with the name of its range, as the bench opens it. */
export async function openStored(
  db: Kysely<Database>,
  id: string,
): Promise<StoredDesign & { range: string }> {
  return { ...(await findDesign(db, id)), range: await rangeOf(db, id) };
}

/** What the numbers of a person's own designs begin with. */
const PREFIX = 'V';

/** Adds a design, in a range if one is named; one without a number gets the next one. @throws CoreError "range/missing" */
export async function addDesign(
  store: Store,
  { design: carrier, rangeId, now }: { design: Design; rangeId?: string | undefined; now: string },
): Promise<Saved> {
  const { db, prover } = store;
  const id = randomUUID();
  const design = await keepCarried(db, carrier, now);
  const proven = await prover.soon(id, design);
  // The number is looked for and taken in one transaction, so that nobody else takes it in between.
  const { saved, numbered } = await inTransaction(db, async (within) => {
    const number = design.number === '' ? await nextNumber(within, PREFIX) : design.number;
    const numbered = { ...design, number };
    const saved = await insertDesign(within, { id, design: numbered, proven, now });
    if (rangeId !== undefined) await placeInRange(within, id, rangeId);
    return { saved, numbered };
  });
  if (proven === undefined) recordLater(store, numbered, saved);
  return saved;
}

/** Writes a design over the version that it is based on. @throws CoreError as `updateDesign` */
export async function saveDesign(
  store: Store,
  {
    id,
    version,
    design: carrier,
    now,
  }: { id: string; design: Design; now: string } & Pick<SaveRequest, 'version'>,
): Promise<Saved> {
  const design = await keepCarried(store.db, carrier, now);
  const proven = await store.prover.soon(id, design);
  const saved = await inTransaction(store.db, async (within) => {
    await keepEarlier(within, { designId: id, id: randomUUID(), now });
    return updateDesign(within, { id, version, design, proven, now });
  });
  if (proven === undefined) recordLater(store, design, saved);
  return saved;
}

/** Writes what is proven of a design when its check has ended. */
function recordLater({ db, prover }: Store, design: Design, { id, version }: Saved): void {
  prover
    .atLast(id, design)
    .then((proven) => proven && recordProven(db, { id, version, design, proven }))
    .catch(console.error);
}

/** Goes on with the checks that had not ended when Vetro did. */
export async function proveUnproven(store: Store): Promise<void> {
  for (const id of await listUnproven(store.db)) {
    const found = await findDesign(store.db, id).catch(() => undefined);
    if (found !== undefined) recordLater(store, found.document, found);
  }
}

/** Adds a copy of a design beside it, with a number of its own. */
export async function copyDesign(store: Store, id: string, now: string): Promise<Saved> {
  const { document } = await findDesign(store.db, id);
  const name = `${[...document.name].slice(0, 115).join('')} copy`;
  const saved = await addDesign(store, { design: { ...document, name, number: '' }, now });
  await moveDesign(store.db, saved.id, await rangeOf(store.db, id));
  return saved;
}

export async function renameDesign(store: Store, id: string, name: string, now: string): Promise<Saved> {
  const { version, document } = await findDesign(store.db, id);
  return saveDesign(store, { id, version, design: { ...document, name }, now });
}

/** Hangs a design in the range of that name, made when there is none; an empty name is no range. */
export async function moveDesign(db: Kysely<Database>, id: string, range: string): Promise<void> {
  await inTransaction(db, async (within) => {
    await findDesign(within, id);
    await placeInRange(within, id, range === '' ? undefined : await ensureRange(within, range, randomUUID()));
  });
}

/** Keeps what is stored of a design now under a name. @throws CoreError "design/missing" */
export async function keepVersion(
  db: Kysely<Database>,
  { id, name, now }: { readonly id: string; readonly name: string; readonly now: string },
): Promise<void> {
  await inTransaction(db, (within) => keepStored(within, { designId: id, id: randomUUID(), name, now }));
}
