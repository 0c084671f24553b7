import { randomUUID } from 'node:crypto';
import type { Kysely, Selectable, Transaction } from 'kysely';
import type { Taken, TakeRequest } from '../../contracts/backups.ts';
import { picturesNamed } from '../../core/design/pictures-named.ts';
import { columnsOf, nextNumber } from '../db/design-table.ts';
import { inTransaction } from '../db/in-transaction.ts';
import { ensureRange, listRanges, placeInRange } from '../db/range-table.ts';
import { keepStored } from '../db/revision-table.ts';
import type { Database, DesignTable } from '../db/schema.ts';
import { writeSetting } from '../db/setting-table.ts';
import { readStored } from '../work/read-stored.ts';
import { isMoved } from './archive-format.ts';
import { isAlike } from './compare-shelves.ts';

type Row = Selectable<DesignTable>;

export interface TakeOrder extends TakeRequest {
  readonly here: Kysely<Database>;
  readonly there: Kysely<Database>;
  /** ISO 8601. */
  readonly now: string;
  readonly told: (made: number, of: number) => void;
  /** Aborted, nothing is taken. */
  readonly signal: AbortSignal;
}

export type TakenCounts = Pick<Taken, 'added' | 'replaced' | 'binned'>;

/** Designs between which others are answered. */
const BREATH = 20;

/**
 * Takes designs of another shelf into this one, all that were asked for or none: beside what is here, or in its place, where
 * what is replaced stays as an earlier state. Designs come with their states, pictures and ranges.
 * @throws what the signal was aborted with
 */
export function takeDesigns(order: TakeOrder): Promise<TakenCounts> {
  const { here, there, choices, whole, told, signal } = order;
  return inTransaction(here, async (within) => {
    const rows = await there.selectFrom('design').selectAll().orderBy('position').orderBy('id').execute();
    const chosen = rows.filter(({ id }) => whole || (choices[id] ?? 'skip') !== 'skip');
    const counts = { added: 0, replaced: 0, binned: 0 };
    const taking = { ...order, within, rangesThere: await rangesOf(there) };
    for (const [made, row] of chosen.entries()) {
      if (made % BREATH === 0) {
        told(made, chosen.length);
        await new Promise(setImmediate);
        signal.throwIfAborted();
      }
      if (!whole && choices[row.id] === 'beside') {
        await addBeside(taking, row);
        counts.added += 1;
      } else {
        const became = await putInPlace(taking, row);
        if (became !== 'same') counts[became] += 1;
      }
    }
    if (whole) counts.binned += await makeAsThere(taking, rows);
    told(chosen.length, chosen.length);
    signal.throwIfAborted();
    return counts;
  });
}

interface Taking extends TakeOrder {
  readonly within: Transaction<Database>;
  /** Names of the other shelf's ranges by their ids. */
  readonly rangesThere: ReadonlyMap<string, string>;
}

async function rangesOf(db: Kysely<Database>): Promise<ReadonlyMap<string, string>> {
  return new Map((await listRanges(db)).map(({ id, name }) => [id, name]));
}

/** Adds a copy with a number of its own. */
async function addBeside(taking: Taking, row: Row): Promise<void> {
  const { within, now } = taking;
  const id = randomUUID();
  const design = { ...(await readStored(row.document)), number: await nextNumber(within, 'V') };
  await within
    .insertInto('design')
    .values({
      ...row,
      ...columnsOf({ design, proven: undefined }),
      id,
      ...provenAs(row),
      version: 1,
      created_at: now,
      updated_at: now,
      favourite: 0,
      deleted_at: null,
      range_id: null,
      position: 0,
    })
    .execute();
  await hang(taking, row, id);
  await bringStates(taking, row.id, id);
  await bringPictures(taking, row.document);
}

/** Puts a design where it was, or in the place of what is there. @returns what became of what is seen on the shelf */
async function putInPlace(taking: Taking, row: Row): Promise<keyof TakenCounts | 'same'> {
  const { within, now } = taking;
  const { id } = row;
  const known = await within.selectFrom('design').selectAll().where('id', '=', id).executeTakeFirst();
  await bringPictures(taking, row.document);
  if (known === undefined) {
    await within
      .insertInto('design')
      .values({ ...row, ...timesOf(row, now), range_id: null, position: 0 })
      .execute();
    await hang(taking, row, id);
    await bringStates(taking, id, id);
    return 'added';
  }
  const deletedAt = row.deleted_at !== null && taking.whole ? row.deleted_at : null;
  await within.updateTable('design').set({ deleted_at: null }).where('id', '=', id).execute();
  const alike = await isAlike(known.document, row.document);
  if (!alike) {
    await keepStored(within, { designId: id, id: randomUUID(), now, name: '' });
    const { name, name_key, number, kind, document } = row;
    await within
      .updateTable('design')
      .set({
        name,
        name_key,
        number,
        kind,
        document,
        ...provenAs(row),
        version: known.version + 1,
        updated_at: now,
      })
      .where('id', '=', id)
      .execute();
  }
  await within.updateTable('design').set({ deleted_at: deletedAt }).where('id', '=', id).execute();
  await bringStates(taking, id, id);
  if (deletedAt !== null) return known.deleted_at === null ? 'binned' : 'same';
  if (known.deleted_at !== null) return 'added';
  return alike ? 'same' : 'replaced';
}

/** Of a design that comes without times: it is taken now. */
function timesOf({ created_at, updated_at }: Row, now: string): Pick<Row, 'created_at' | 'updated_at'> {
  return {
    created_at: created_at === '' ? now : created_at,
    updated_at: updated_at === '' ? now : updated_at,
  };
}

/** What was proven of the same document there holds here. */
function provenAs({ verdict, size, area, search }: Row): Pick<Row, 'verdict' | 'size' | 'area' | 'search'> {
  return { verdict, size, area, search };
}

async function hang({ within, rangesThere }: Taking, row: Row, id: string): Promise<void> {
  const name = row.range_id === null ? undefined : rangesThere.get(row.range_id);
  if (name !== undefined) await placeInRange(within, id, await ensureRange(within, name, randomUUID()));
}

/** Brings earlier states that are not here. */
async function bringStates({ within, there }: Taking, from: string, to: string): Promise<void> {
  const states = await there
    .selectFrom('design_revision')
    .selectAll()
    .where('design_id', '=', from)
    .execute();
  for (const state of states) {
    await within
      .insertInto('design_revision')
      .values({ ...state, id: from === to ? state.id : randomUUID(), design_id: to })
      .onConflict((conflict) => conflict.column('id').doNothing())
      .execute();
    await bringPictures({ within, there }, state.document);
  }
}

/** Brings the pictures that a document names; one that is not there is asked for where it is shown. */
async function bringPictures(
  { within, there }: Pick<Taking, 'within' | 'there'>,
  document: string,
): Promise<void> {
  for (const hash of picturesNamed(document)) {
    const picture = await there.selectFrom('picture').selectAll().where('hash', '=', hash).executeTakeFirst();
    if (picture === undefined || picture.bytes.length === 0) continue;
    await within
      .insertInto('picture')
      .values({ ...picture, unused_running: null })
      .onConflict((conflict) => conflict.column('hash').doNothing())
      .execute();
  }
}

/** Ranges, their order, favourites, the title and settings become as they are there; what is not there goes into the bin. */
async function makeAsThere(taking: Taking, rows: readonly Row[]): Promise<number> {
  const { within, there, now, rangesThere } = taking;
  let position = 0;
  for (const name of rangesThere.values()) {
    const id = await ensureRange(within, name, randomUUID());
    await within.updateTable('range').set({ position: position++ }).where('id', '=', id).execute();
  }
  for (const { id, name } of await listRanges(within)) {
    if ([...rangesThere.values()].includes(name)) continue;
    await within.updateTable('range').set({ position: position++ }).where('id', '=', id).execute();
  }
  for (const { id, range_id, position: place, favourite } of rows) {
    const name = range_id === null ? undefined : rangesThere.get(range_id);
    const hungIn = name === undefined ? null : await ensureRange(within, name, randomUUID());
    await within
      .updateTable('design')
      .set({ range_id: hungIn, position: place, favourite })
      .where('id', '=', id)
      .execute();
  }
  for (const { key, value } of await there.selectFrom('setting').selectAll().execute()) {
    if (isMoved(key)) await writeSetting(within, key, value);
  }
  const known = new Set(rows.map(({ id }) => id));
  const hanging = await within.selectFrom('design').select('id').where('deleted_at', 'is', null).execute();
  const further = hanging.filter(({ id }) => !known.has(id));
  for (const { id } of further) {
    await within.updateTable('design').set({ deleted_at: now }).where('id', '=', id).execute();
  }
  return further.length;
}
