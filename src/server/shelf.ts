import { randomUUID } from 'node:crypto';
import type { Kysely } from 'kysely';
import type { Shelf } from '../contracts/shelf.ts';
import type { Design } from '../core/design/design-schema.ts';
import {
  findDesign,
  insertDesign,
  listDesigns,
  nextNumber,
  type Saved,
  type StoredDesign,
  updateDesign,
} from './db/design-table.ts';
import { ensureRange, listRanges, placeInRange, rangeOf } from './db/range-table.ts';
import type { Database } from './db/schema.ts';
import { readSetting } from './db/setting-table.ts';

/** Everything that hangs on the shelf; designs in no range come last, in one without a name. */
export async function readShelf(db: Kysely<Database>): Promise<Shelf> {
  const designs = await listDesigns(db);
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
  };
}

/** A stored design with the name of its range, as the bench opens it. */
export async function openStored(
  db: Kysely<Database>,
  id: string,
): Promise<StoredDesign & { range: string }> {
  return { ...(await findDesign(db, id)), range: await rangeOf(db, id) };
}

/** Adds a design; one without a number gets the next one. */
export async function addDesign(
  db: Kysely<Database>,
  { design, rangeId, now }: { design: Design; rangeId?: string | undefined; now: string },
): Promise<Saved> {
  const prefix = (await readSetting(db, 'number-prefix')) ?? 'V';
  const number = design.number === '' ? await nextNumber(db, prefix) : design.number;
  const saved = await insertDesign(db, { id: randomUUID(), design: { ...design, number }, now });
  if (rangeId !== undefined) await placeInRange(db, saved.id, rangeId);
  return saved;
}

/** Adds a copy of a design beside it, with a number of its own. */
export async function copyDesign(db: Kysely<Database>, id: string, now: string): Promise<Saved> {
  const { document } = await findDesign(db, id);
  const name = `${document.name} copy`.slice(0, 120);
  const saved = await addDesign(db, { design: { ...document, name, number: '' }, now });
  await moveDesign(db, saved.id, await rangeOf(db, id));
  return saved;
}

export async function renameDesign(
  db: Kysely<Database>,
  id: string,
  name: string,
  now: string,
): Promise<Saved> {
  const { version, document } = await findDesign(db, id);
  return updateDesign(db, { id, version, design: { ...document, name }, now });
}

/** Hangs a design in the range of that name, made when there is none; an empty name is no range. */
export async function moveDesign(db: Kysely<Database>, id: string, range: string): Promise<void> {
  await findDesign(db, id);
  await placeInRange(db, id, range === '' ? undefined : await ensureRange(db, range, randomUUID()));
}
