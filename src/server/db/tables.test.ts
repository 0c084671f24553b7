import { mkdtempSync, readFileSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import { type Kysely, sql } from 'kysely';
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
import { databaseTrouble } from './database-trouble.ts';
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
    await new Promise((resolve) => setTimeout(resolve, 20));
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

describe('database files', () => {
  it('that are none are refused and left alone', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'vetro-')), 'notes.db');
    writeFileSync(file, 'shopping list: thread, needles\n'.repeat(200));
    await expect(openDatabase(file)).rejects.toEqual(code('database/not-one'));
  });

  it('of another program are refused and left alone', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'vetro-')), 'other.db');
    const other = new BetterSqlite3(file);
    other.exec('create table notes (text); insert into notes values (1)');
    other.close();
    const before = readFileSync(file);
    await expect(openDatabase(file)).rejects.toEqual(code('database/foreign'));
    expect(readFileSync(file).equals(before)).toBe(true);
  });

  it('that were cut short are refused before anything is written', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'vetro-')), 'short.db');
    const whole = await openDatabase(file);
    for (let count = 0; count < 40; count += 1) await addDesign(storeOf(whole), { design: DESIGN, now: NOW });
    await whole.destroy();
    truncateSync(file, statSync(file).size - 1000);
    const before = readFileSync(file);
    await expect(openDatabase(file)).rejects.toEqual(code('database/broken'));
    expect(readFileSync(file).equals(before)).toBe(true);
  });

  it('of a newer Vetro are refused in words', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'vetro-')), 'newer.db');
    const now = await openDatabase(file);
    await sql`insert into kysely_migration (name, timestamp) values ('900-plies', ${NOW})`.execute(now);
    await now.destroy();
    await expect(openDatabase(file)).rejects.toEqual(code('database/newer'));
  });

  it('that are full say so, and keep what was stored', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'vetro-')), 'full.db');
    const full = await openDatabase(file);
    const { id } = await addDesign(storeOf(full), { design: DESIGN, now: NOW });
    const { rows } = await sql<{ page_count: number }>`pragma page_count`.execute(full);
    await sql.raw(`pragma max_page_count = ${rows[0]!.page_count}`).execute(full);
    const large = {
      ...DESIGN,
      kept: [
        {
          section: 'NOTES',
          lines: [
            ['1', 'x'.repeat(4000)],
            ['2', 'y'.repeat(4000)],
          ],
        },
      ],
    };
    const error = await saveDesign(storeOf(full), { id, version: 1, design: large, now: LATER }).catch(
      (e) => e,
    );
    expect(databaseTrouble(error)).toEqual(code('database/full'));
    expect(await findDesign(full, id)).toMatchObject({ version: 1 });
    await full.destroy();
  });

  it('that cannot be made are told with the reason', async () => {
    await expect(openDatabase('/dev/null/vetro.db')).rejects.toEqual(code('database/unusable'));
  });

  it('of the first version tell the size of each design after', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'vetro-')), 'older.db');
    const older = await openDatabase(file, '001-designs-and-ranges');
    const lay = { ...DESIGN.lay, ends: '24', picks: '12', per: 'in' };
    const document = JSON.stringify({ ...DESIGN, lay });
    const common = `'', 'plaid', 'Exact', '', '${NOW}', '${NOW}'`;
    await sql
      .raw(
        `insert into design (number, kind, verdict, search, created_at, updated_at, id, name, document, ends, picks)
         values (${common}, 'a', 'Rug', '${document.replaceAll("'", "''")}', 24, 12),
                (${common}, 'b', 'Open', '{}', 0, 0)`,
      )
      .execute(older);
    await older.destroy();
    const now = await openDatabase(file);
    const [rug, open] = await hungOn(now);
    expect(rug).toMatchObject({ size: '24 × 12 threads' });
    expect(rug!.area).toBeCloseTo(25.4 ** 2, 9);
    expect(open).toMatchObject({ size: '', area: 0 });
    await now.destroy();
  });

  it('keep what was written, in WAL mode with foreign keys', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'vetro-')), 'deep', 'vetro.db');
    const first = await openDatabase(file);
    const { id } = await addDesign(storeOf(first), { design: DESIGN, now: NOW });
    await first.destroy();
    const second = await openDatabase(file);
    expect((await findDesign(second, id)).version).toBe(1);
    const { rows } = await sql<{ journal_mode: string }>`pragma journal_mode`.execute(second);
    expect(rows[0]!.journal_mode).toBe('wal');
    await second.destroy();
  });
});
