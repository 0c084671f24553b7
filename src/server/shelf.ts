import { randomUUID } from 'node:crypto';
import type { Kysely } from 'kysely';
import type { SaveRequest } from '../contracts/design.ts';
import type { Range, Shelf } from '../contracts/shelf.ts';
import { FIRST_PAGE, type ShelfWish } from '../contracts/shelf-wish.ts';
import type { Design } from '../core/design/design-schema.ts';
import {
  findDesign,
  findVersion,
  insertDesign,
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
import {
  countBinned,
  countDesigns,
  countInRanges,
  listInOrder,
  listInRange,
  type SoughtPage,
} from './db/shelf-table.ts';
import { keepCarried } from './pictures/kept-pictures.ts';
import type { Store } from './store.ts';

/** A page of what hangs on the shelf under a view; designs in no range come last, in one without a name. */
export async function readShelf(db: Kysely<Database>, wish: ShelfWish = FIRST_PAGE): Promise<Shelf> {
  const { total, unreadable } = await countDesigns(db);
  const sought = { ...wish, unreadable };
  const counts = await countInRanges(db, sought);
  const found = [...counts.values()].reduce((sum, count) => sum + count, 0);
  const named = await listRanges(db);
  const end = wish.from + wish.count;
  return {
    title: (await readSetting(db, 'shelf-title')) ?? 'Shelf',
    ranges:
      wish.order === 'range'
        ? await pageOfRanges(db, named, counts, sought)
        : await pageInOrder(db, wish.order, found, sought),
    rangeNames: named.map(({ name }) => name),
    found,
    total,
    next: end < found ? end : null,
    binned: await countBinned(db),
    unreadable,
  };
}

/** The ranges that a page reaches, each with its designs there. */
async function pageOfRanges(
  db: Kysely<Database>,
  named: readonly { readonly id: string; readonly name: string }[],
  counts: ReadonlyMap<string | null, number>,
  wish: SoughtPage,
): Promise<Range[]> {
  const ranges: Range[] = [];
  let passed = 0;
  for (const { id, name } of [...named, { id: null, name: '' }]) {
    const count = counts.get(id) ?? 0;
    const from = Math.max(0, wish.from - passed);
    const to = Math.min(count, wish.from + wish.count - passed);
    if (from < to) {
      const designs = await listInRange(db, id, { ...wish, from, count: to - from });
      ranges.push({ id: id ?? '', name, count, designs: [...designs] });
    }
    passed += count;
  }
  return ranges;
}

async function pageInOrder(
  db: Kysely<Database>,
  order: Exclude<ShelfWish['order'], 'range'>,
  found: number,
  wish: SoughtPage,
): Promise<Range[]> {
  const designs = await listInOrder(db, order, wish);
  return designs.length === 0 ? [] : [{ id: '', name: '', count: found, designs: [...designs] }];
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
    await findVersion(within, id);
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
