import type { Kysely } from 'kysely';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { storeOf } from '../../../tests/store-of.ts';
import { FIRST_PAGE, type ShelfWish } from '../../contracts/shelf-wish.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { addDesign, moveDesign, readShelf, renameDesign } from '../shelf.ts';
import type { Store } from '../store.ts';
import { markFavourite } from './design-table.ts';
import { openDatabase } from './open-database.ts';
import type { Database } from './schema.ts';

const NOW = '2026-01-01T10:00:00.000Z';
const LATER = '2026-01-01T11:00:00.000Z';
const DESIGN = sampleDesign(SAMPLE);

let db: Kysely<Database>;
let store: Store;

beforeEach(async () => {
  db = await openDatabase(':memory:');
  store = storeOf(db);
});
afterEach(() => db.destroy());

describe('the shelf under a view', () => {
  const hang = async (name: string, range: string, more: Partial<Design> = {}) => {
    const { id } = await addDesign(store, { design: { ...DESIGN, ...more, name }, now: NOW });
    if (range !== '') await moveDesign(db, id, range);
    return id;
  };
  const names = async (wish: Partial<ShelfWish>) => {
    const { ranges } = await readShelf(db, { ...FIRST_PAGE, ...wish });
    return ranges.map(({ name, designs }) => `${name}: ${designs.map((each) => each.name).join(', ')}`);
  };
  beforeEach(async () => {
    await hang('Rug 10', 'Rugs', { notes: 'For the ferry' });
    await hang('Écru blind', '');
    const id = await hang('Rug 2', 'Rugs', { lay: { ...DESIGN.lay, ends: '60' } });
    await markFavourite(db, id, true);
    await hang('blanket', 'Beds');
    await renameDesign(store, id, 'Rug 2', LATER);
  });

  it.each<[Partial<ShelfWish>, readonly string[]]>([
    [{}, ['Rugs: Rug 10, Rug 2', 'Beds: blanket', ': Écru blind']],
    [{ search: 'rug' }, ['Rugs: Rug 10, Rug 2']],
    [{ search: ' RUG  ferry ' }, ['Rugs: Rug 10']],
    [{ search: '100%_' }, []],
    [{ kind: 'stripe' }, []],
    [{ favourites: true }, ['Rugs: Rug 2']],
    [{ order: 'name' }, [': blanket, Écru blind, Rug 2, Rug 10']],
    [{ order: 'newest', count: 1 }, [': Rug 2']],
    [{ order: 'repeat', count: 1 }, [': Rug 2']],
    [{ order: 'repeat', search: 'nothing' }, []],
    [{ from: 1, count: 2 }, ['Rugs: Rug 2', 'Beds: blanket']],
    [{ from: 3, count: 9 }, [': Écru blind']],
    [{ from: 2, count: 2, order: 'name' }, [': Rug 2, Rug 10']],
    [{ from: 40 }, []],
  ])('%o', async (wish, shown) => {
    expect(await names(wish)).toEqual(shown);
  });

  it('counts what the view shows and where the next page begins', async () => {
    const shelf = await readShelf(db, { ...FIRST_PAGE, search: 'rug', count: 1 });
    expect(shelf).toMatchObject({ found: 2, total: 4, next: 1, rangeNames: ['Rugs', 'Beds'] });
    expect(shelf.ranges[0]).toMatchObject({ count: 2 });
    expect(await readShelf(db, { ...FIRST_PAGE, search: 'rug', count: 2 })).toMatchObject({ next: null });
  });
});
