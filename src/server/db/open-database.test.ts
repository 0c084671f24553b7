import { mkdtempSync, readFileSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import { sql } from 'kysely';
import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { hungOn, storeOf } from '../../../tests/store-of.ts';
import { FIRST_PAGE } from '../../contracts/shelf-wish.ts';
import { addDesign, readShelf, saveDesign } from '../shelf.ts';
import { databaseTrouble } from './database-trouble.ts';
import { findDesign } from './design-table.ts';
import { inTransaction } from './in-transaction.ts';
import { openDatabase } from './open-database.ts';

const NOW = '2026-01-01T10:00:00.000Z';
const LATER = '2026-01-01T11:00:00.000Z';
const DESIGN = sampleDesign(SAMPLE);

function code(expected: string) {
  return expect.objectContaining({ code: expected });
}

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

  it('say what went wrong first where a commit fails and its rollback too, and go on', async () => {
    const db = await openDatabase(join(mkdtempSync(join(tmpdir(), 'vetro-')), 'commit.db'));
    const full = Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
    // As SQLite does on a full disk: the transaction is ended before anybody says so.
    const failing = inTransaction(db, async (within) => {
      await sql`rollback`.execute(within);
      throw full;
    });
    await expect(failing).rejects.toBe(full);
    const ended = inTransaction(db, async (within) => void (await sql`rollback`.execute(within)));
    await expect(ended).rejects.toThrow('cannot commit - no transaction is active');
    const { id } = await addDesign(storeOf(db), { design: DESIGN, now: NOW });
    expect(await findDesign(db, id)).toMatchObject({ version: 1 });
    await db.destroy();
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

  it('from before designs knew their range keep them in it, in their order', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'vetro-')), 'ranged.db');
    const older = await openDatabase(file, '006-print-orders-and-collections');
    const row = (id: string, name: string) =>
      `('${id}', '${name}', '', 'plaid', '${JSON.stringify({ ...DESIGN, name }).replaceAll("'", "''")}', 'Exact', '', 0, '', '${NOW}', '${NOW}')`;
    for (const words of [
      `insert into design (id, name, number, kind, document, verdict, size, area, search, created_at, updated_at)
       values ${row('a', 'Rug 10')}, ${row('b', 'Rug 2')}, ${row('c', 'Loose')}`,
      "insert into range (id, name, position) values ('r', 'Rugs', 0)",
      "insert into range_design (range_id, design_id, position) values ('r', 'a', 1), ('r', 'b', 0)",
    ]) {
      await sql.raw(words).execute(older);
    }
    await older.destroy();
    const now = await openDatabase(file);
    expect(
      (await readShelf(now)).ranges.map(({ name, designs }) => [name, designs.map((each) => each.id)]),
    ).toEqual([
      ['Rugs', ['b', 'a']],
      ['', ['c']],
    ]);
    const byName = await readShelf(now, { ...FIRST_PAGE, order: 'name' });
    expect(byName.ranges[0]!.designs.map(({ id }) => id)).toEqual(['c', 'b', 'a']);
    await now.destroy();
  });
});
