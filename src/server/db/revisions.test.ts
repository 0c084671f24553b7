import type { Kysely } from 'kysely';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { hungOn, storeOf } from '../../../tests/store-of.ts';
import { addDesign, keepVersion, readShelf, saveDesign } from '../shelf.ts';
import type { Store } from '../store.ts';
import { binDesign, emptyBin, findBinned, findDesign, listBin, markFavourite } from './design-table.ts';
import { openDatabase } from './open-database.ts';
import { findRevision, listRevisions, MAX_UNNAMED, nameRevision } from './revision-table.ts';
import type { Database } from './schema.ts';

const DESIGN = sampleDesign(SAMPLE);

/** So many minutes after the start. */
function at(minutes: number): string {
  return new Date(Date.parse('2026-01-01T10:00:00.000Z') + minutes * 60_000).toISOString();
}

let db: Kysely<Database>;
let store: Store;
let id: string;

beforeEach(async () => {
  db = await openDatabase(':memory:');
  store = storeOf(db);
  ({ id } = await addDesign(store, { design: DESIGN, now: at(0) }));
});
afterEach(() => db.destroy());

/** Saves the design under another name, over the version that is stored. */
async function save(name: string, now: string): Promise<void> {
  const { version } = await findDesign(db, id);
  await saveDesign(store, { id, version, design: { ...DESIGN, name }, now });
}

async function names(): Promise<readonly string[]> {
  const revisions = await listRevisions(db, id);
  const found = await Promise.all(revisions.map((each) => findRevision(db, { designId: id, id: each.id })));
  return found.map(({ document }) => document.name);
}

describe('earlier states of a design', () => {
  it('are kept as it is written over, one for each ten minutes of work, newest first', async () => {
    await save('One', at(1));
    await save('Two', at(5));
    await save('Three', at(12));
    await save('Four', at(30));
    expect(await names()).toEqual(['Three', 'Two', DESIGN.name]);
    const [newest] = await listRevisions(db, id);
    expect(newest).toMatchObject({ name: '', version: 4, at: at(12) });
  });

  it('are kept under a name, and named later', async () => {
    await save('One', at(1));
    await keepVersion(db, { id, name: 'Before the fair', now: at(2) });
    const [kept, first] = await listRevisions(db, id);
    expect(kept).toMatchObject({ name: 'Before the fair', version: 2, at: at(1) });
    await nameRevision(db, { designId: id, id: first!.id, name: 'The first' });
    expect((await listRevisions(db, id)).map(({ name }) => name)).toEqual(['Before the fair', 'The first']);
  });

  it('are at most so many, but named ones stay', async () => {
    await keepVersion(db, { id, name: 'The first', now: at(0) });
    for (let count = 1; count <= MAX_UNNAMED + 5; count += 1) await save(`Design ${count}`, at(count * 11));
    const revisions = await listRevisions(db, id);
    expect(revisions).toHaveLength(MAX_UNNAMED + 1);
    expect(revisions.at(-1)!.name).toBe('The first');
  });

  it('that nobody has are told', async () => {
    await expect(findRevision(db, { designId: id, id: 'x' })).rejects.toThrow('revision/missing');
    await expect(nameRevision(db, { designId: 'x', id: 'x', name: 'y' })).rejects.toThrow('revision/missing');
    await expect(keepVersion(db, { id: 'x', name: 'y', now: at(1) })).rejects.toThrow('design/missing');
  });

  it('are not kept of a write that is refused', async () => {
    await expect(saveDesign(store, { id, version: 7, design: DESIGN, now: at(20) })).rejects.toThrow(
      'design/stale',
    );
    expect(await listRevisions(db, id)).toEqual([]);
  });
});

describe('the bin', () => {
  it('holds what was deleted until it is restored or deleted for ever, with its earlier states', async () => {
    await save('One', at(20));
    await binDesign(db, id, at(30));
    expect(await listBin(db)).toMatchObject([{ id, name: 'One', deletedAt: at(30) }]);
    expect((await findBinned(db, id)).name).toBe('One');
    expect((await readShelf(db)).binned).toBe(1);
    await binDesign(db, id, null);
    expect(await listBin(db)).toEqual([]);
    await expect(emptyBin(db, id)).rejects.toThrow('design/missing');
    await binDesign(db, id, at(31));
    await emptyBin(db, id);
    await expect(findBinned(db, id)).rejects.toThrow('design/missing');
    expect(await listRevisions(db, id)).toEqual([]);
  });

  it('is emptied at once, and nothing else is', async () => {
    const other = await addDesign(store, { design: DESIGN, now: at(1) });
    await binDesign(db, id, at(2));
    await emptyBin(db);
    expect((await hungOn(db)).map((design) => design.id)).toEqual([other.id]);
  });
});

describe('favourites', () => {
  it('are marked and unmarked, and stay through a save', async () => {
    const isFavourite = async () => (await hungOn(db))[0]!.favourite;
    expect(await isFavourite()).toBe(false);
    await markFavourite(db, id, true);
    await save('One', at(1));
    expect(await isFavourite()).toBe(true);
    await markFavourite(db, id, false);
    expect(await isFavourite()).toBe(false);
    await expect(markFavourite(db, 'x', true)).rejects.toThrow('design/missing');
  });
});
