import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Kysely } from 'kysely';
import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { storeOf } from '../../../tests/store-of.ts';
import { addDesign } from '../shelf.ts';
import { setForeignJournalAside } from './journal.ts';
import { openDatabase } from './open-database.ts';
import type { Database } from './schema.ts';

const NOW = '2026-01-01T10:00:00.000Z';
const DESIGN = sampleDesign(SAMPLE);

function newFile(): string {
  return join(mkdtempSync(join(tmpdir(), 'vetro-journal-test-')), 'vetro.db');
}

/** What a kill leaves of a database that is in use. */
function killedCopy(file: string): string {
  const copy = newFile();
  for (const name of ['', '-wal', '-generations.json']) {
    if (existsSync(file + name)) copyFileSync(file + name, copy + name);
  }
  return copy;
}

const add = (db: Kysely<Database>, count: number) =>
  Promise.all(Array.from({ length: count }, () => addDesign(storeOf(db), { design: DESIGN, now: NOW })));

async function countIn(file: string): Promise<number> {
  const db = await openDatabase(file);
  const rows = await db.selectFrom('design').select('id').execute();
  await db.destroy();
  return rows.length;
}

describe('the journal beside a database', () => {
  it('is applied after a kill, to the database that it belongs to', async () => {
    const file = newFile();
    const db = await openDatabase(file);
    await add(db, 30);
    const killed = killedCopy(file);
    expect(existsSync(`${killed}-wal`)).toBe(true);
    expect(setForeignJournalAside(killed)).toBeUndefined();
    expect(await countIn(killed)).toBe(30);
    await db.destroy();
  });

  it('is set aside where a copy of another day was put in the place of its database', async () => {
    const file = newFile();
    const first = await openDatabase(file);
    await add(first, 20);
    await first.destroy();
    const copy = newFile();
    copyFileSync(file, copy);
    const second = await openDatabase(file);
    await add(second, 40);
    const killed = killedCopy(file);
    await second.destroy();
    // As the documents say: the copy is put over the file.
    copyFileSync(copy, killed);
    expect(setForeignJournalAside(killed)).toBe(`${killed}-wal.set-aside`);
    expect(await countIn(killed)).toBe(20);
    expect(existsSync(`${killed}-wal.set-aside`)).toBe(true);
  });

  it('of an older Vetro is applied where both together are whole, and else set aside', async () => {
    const file = newFile();
    const before = await openDatabase(file);
    await add(before, 30);
    await before.destroy();
    const db = await openDatabase(file);
    await add(db, 5);
    const killed = newFile();
    for (const name of ['', '-wal']) copyFileSync(file + name, killed + name);
    expect(setForeignJournalAside(killed)).toBeUndefined();
    expect(await countIn(killed)).toBe(35);
    const other = newFile();
    const large = await openDatabase(other);
    await add(large, 90);
    await large.destroy();
    rmSync(`${other}-generations.json`);
    copyFileSync(`${file}-wal`, `${other}-wal`);
    await db.destroy();
    expect(setForeignJournalAside(other)).toBe(`${other}-wal.set-aside`);
    expect(await countIn(other)).toBe(90);
  });

  it('is none where the database was closed', async () => {
    const file = newFile();
    expect(await countIn(file)).toBe(0);
    expect(existsSync(`${file}-wal`)).toBe(false);
    expect(setForeignJournalAside(file)).toBeUndefined();
  });
});
