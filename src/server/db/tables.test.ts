import type { Kysely } from 'kysely';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { hungOn, storeOf } from '../../../tests/store-of.ts';
import { newStripe } from '../../core/design/new-design.ts';
import { LARKMERE } from '../demo/demo.ts';
import { hangDemo } from '../demo/hang-demo.ts';
import { makeProver } from '../proving/prover.ts';
import {
  addDesign,
  copyDesign,
  moveDesign,
  openStored,
  proveUnproven,
  readShelf,
  renameDesign,
  saveDesign,
} from '../shelf.ts';
import type { Store } from '../store.ts';
import { binDesign, findDesign, nextNumber } from './design-table.ts';
import { openDatabase } from './open-database.ts';
import type { Database } from './schema.ts';

const HUNG = LARKMERE.length;

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

function code(expected: string) {
  return expect.objectContaining({ code: expected });
}

describe('designs', () => {
  it('come back as they were stored, with what the shelf needs to know', async () => {
    const { id } = await addDesign(store, { design: DESIGN, now: NOW });
    const stored = await findDesign(db, id);
    expect(stored).toMatchObject({ id, version: 1, updatedAt: NOW });
    expect(stored.document).toEqual({ ...DESIGN, number: 'V 001' });
    const [summary] = await hungOn(db);
    expect(summary).toMatchObject({ kind: 'plaid', verdict: 'Exact', size: '24 × 24 threads' });
    expect(summary!.search).toContain('boiler green');
  });

  it('are written only over the version that they are based on', async () => {
    const { id } = await addDesign(store, { design: DESIGN, now: NOW });
    const mine = { ...DESIGN, name: 'Mine' };
    expect(await saveDesign(store, { id, version: 1, design: mine, now: LATER })).toEqual({
      id,
      version: 2,
      updatedAt: LATER,
    });
    await expect(saveDesign(store, { id, version: 1, design: DESIGN, now: LATER })).rejects.toEqual(
      code('design/stale'),
    );
    expect((await findDesign(db, id)).document.name).toBe('Mine');
  });

  it('are missed by name when they are not there', async () => {
    await expect(findDesign(db, 'none')).rejects.toEqual(code('design/missing'));
    await expect(saveDesign(store, { id: 'none', version: 1, design: DESIGN, now: NOW })).rejects.toEqual(
      code('design/missing'),
    );
    await expect(binDesign(db, 'none', NOW)).rejects.toEqual(code('design/missing'));
  });

  it('go to the bin and come back', async () => {
    const { id } = await addDesign(store, { design: DESIGN, now: NOW });
    await binDesign(db, id, NOW);
    expect(await hungOn(db)).toEqual([]);
    await expect(findDesign(db, id)).rejects.toEqual(code('design/missing'));
    await expect(binDesign(db, id, NOW)).rejects.toEqual(code('design/missing'));
    await binDesign(db, id, null);
    expect((await findDesign(db, id)).document.name).toBe('Sample');
  });

  it('that cannot be woven are kept all the same', async () => {
    const wide = sampleDesign(`warp: A49990 B1\nweave: 32/31Z`);
    const { id } = await addDesign(store, { design: wide, now: NOW });
    expect((await hungOn(db))[0]).toMatchObject({ verdict: 'Open', size: '' });
    expect((await findDesign(db, id)).document.construction).toEqual(wide.construction);
  });

  it('without threads are told by their measures', async () => {
    const bands = [
      { shade: 'G', width: '12' },
      { shade: 'C', width: '6.5' },
    ];
    const design = newStripe({ name: 'Blind', shades: DESIGN.shades, bands, slope: { rise: 1, run: 1 } });
    await addDesign(store, { design, now: NOW });
    const [summary] = await hungOn(db);
    expect(summary).toMatchObject({ kind: 'stripe', verdict: 'Fitted', size: '26.2 × 26.2 mm' });
    expect(summary!.area).toBeCloseTo(2 * 18.5 ** 2, 6);
    expect(summary!.search).toContain('26.2x26.2');
  });

  it('of an older version are brought up to date when they are read', async () => {
    const { id } = await addDesign(store, { design: DESIGN, now: NOW });
    const { ends: _, picks: __, per: ___, ...lay } = DESIGN.lay;
    const { crossing: _c, print: _p, ...plaid } = DESIGN.construction;
    const construction = { ...plaid, weft: { follows: true, own: null } };
    const { colourways: _w, ...plain } = DESIGN;
    const older = JSON.stringify({ ...plain, version: 1, construction, lay: { ...lay, density: '24/in' } });
    await db.updateTable('design').set({ document: older }).where('id', '=', id).execute();
    expect((await findDesign(db, id)).document).toEqual(DESIGN);
  });

  it('take the next number that nobody has', async () => {
    expect(await nextNumber(db, 'V')).toBe('V 001');
    await addDesign(store, { design: { ...DESIGN, number: 'V 041' }, now: NOW });
    await addDesign(store, { design: { ...DESIGN, number: 'W 900' }, now: NOW });
    expect(await nextNumber(db, 'V')).toBe('V 042');
  });
});

describe('the shelf', () => {
  it('hangs designs in ranges and keeps a copy beside its original', async () => {
    const { id } = await addDesign(store, { design: DESIGN, now: NOW });
    await moveDesign(db, id, 'Rugs');
    const copy = await copyDesign(store, id, LATER);
    const shelf = await readShelf(db);
    expect(shelf.ranges.map((range) => [range.name, range.designs.map((design) => design.name)])).toEqual([
      ['Rugs', ['Sample', 'Sample copy']],
    ]);
    expect((await findDesign(db, copy.id)).document.number).toBe('V 002');
    await moveDesign(db, id, '');
    expect((await readShelf(db)).ranges.map((range) => range.name)).toEqual(['Rugs', '']);
    expect(await openStored(db, copy.id)).toMatchObject({ range: 'Rugs', version: 1 });
  });

  it('renames by writing a new version', async () => {
    const { id } = await addDesign(store, { design: DESIGN, now: NOW });
    expect(await renameDesign(store, id, 'Hearth rug', LATER)).toMatchObject({ version: 2 });
    expect((await hungOn(db))[0]).toMatchObject({ name: 'Hearth rug', version: 2 });
  });

  it('refuses a range that is not there', async () => {
    await expect(addDesign(store, { design: DESIGN, rangeId: 'none', now: NOW })).rejects.toEqual(
      code('range/missing'),
    );
  });
});

describe('at the same time', () => {
  it('designs that are added take a number each', async () => {
    await Promise.all(Array.from({ length: 8 }, () => addDesign(store, { design: DESIGN, now: NOW })));
    const numbers = (await hungOn(db)).map(({ number }) => number);
    expect(new Set(numbers).size).toBe(8);
  });

  it('designs that are hung in a new range make it once', async () => {
    const ids = await Promise.all(
      Array.from({ length: 4 }, async () => (await addDesign(store, { design: DESIGN, now: NOW })).id),
    );
    await Promise.all(ids.map((id) => moveDesign(db, id, 'Rugs')));
    const { ranges } = await readShelf(db);
    expect(ranges.map(({ name, designs }) => [name, designs.length])).toEqual([['Rugs', 4]]);
  });
});

describe('what goes wrong', () => {
  it('a design for a range that is not there is not stored', async () => {
    await addDesign(store, { design: DESIGN, rangeId: 'none', now: NOW }).catch(() => {});
    expect(await hungOn(db)).toEqual([]);
  });

  it('a row that cannot be read is counted, and the others hang', async () => {
    await addDesign(store, { design: DESIGN, now: NOW });
    const { id } = await addDesign(store, { design: DESIGN, now: NOW });
    await db.updateTable('design').set({ kind: 'carpet' }).where('id', '=', id).execute();
    const shelf = await readShelf(db);
    expect(shelf.unreadable).toBe(1);
    expect(shelf.ranges[0]!.designs).toHaveLength(1);
  });
});

describe('a check that takes long', () => {
  it('is told as going on, and written when it has ended, but not over newer numbers', async () => {
    const ends: (() => void)[] = [];
    const proven = { verdict: 'Exact', size: '1 × 1 thread', area: 1 } as const;
    const slow = {
      db,
      prover: makeProver(() => new Promise((resolve) => ends.push(() => resolve(proven))), 5),
    };
    const { id } = await addDesign(slow, { design: DESIGN, now: NOW });
    const verdict = async () => (await hungOn(db))[0]!.verdict;
    expect(await verdict()).toBe('Checking');
    await saveDesign(slow, { id, version: 1, design: { ...DESIGN, resolution: '299' }, now: LATER });
    ends[0]!();
    // What came of the older check would be written by now.
    for (let turn = 0; turn < 20; turn += 1) await new Promise(setImmediate);
    expect(await verdict()).toBe('Checking');
    ends[1]!();
    await expect.poll(verdict).toBe('Exact');
  });

  it('is gone on with after a restart', async () => {
    const { id } = await addDesign(store, { design: DESIGN, now: NOW });
    await db.updateTable('design').set({ verdict: 'Checking' }).where('id', '=', id).execute();
    await proveUnproven(storeOf(db));
    await expect.poll(async () => (await hungOn(db))[0]!.verdict).toBe('Exact');
  });
});

describe('the demo', () => {
  it('is hung once, and stays as its owner made it', async () => {
    expect(await hangDemo(db, NOW)).toBe(HUNG);
    const designs = await hungOn(db);
    expect(designs).toHaveLength(HUNG);
    expect(designs.filter((design) => design.verdict === 'Open')).toEqual([]);
    expect(new Set(designs.map((design) => design.number)).size).toBe(HUNG);
    await binDesign(db, designs[0]!.id, LATER);
    expect(await hangDemo(db, LATER)).toBe(0);
    expect(await hungOn(db)).toHaveLength(HUNG - 1);
  });
});
