import { copyFileSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { cliSaid as vetro } from '../../tests/cli-said.ts';
import { hangSome } from '../../tests/shelf-with-pictures.ts';
import { storeOf } from '../../tests/store-of.ts';
import { binDesign, emptyBin, findDesign } from '../server/db/design-table.ts';
import { openDatabase } from '../server/db/open-database.ts';
import { ownDatabase } from '../server/db/own-database.ts';
import { readShelf, saveDesign } from '../server/shelf.ts';

const NOW = '2026-03-02T10:00:00.000Z';

let root: string;
let plaid: string;

beforeEach(async () => {
  root = mkdtempSync(join(tmpdir(), 'vetro-shelf-cli-'));
  vi.stubEnv('VETRO_DATA', join(root, 'vetro.db'));
  plaid = await onShelf(async (db) => (await hangSome(db, NOW)).ids.plaid);
});
afterEach(() => {
  vi.unstubAllEnvs();
  rmSync(root, { recursive: true, force: true });
});

async function onShelf<T>(work: (db: Awaited<ReturnType<typeof openDatabase>>) => Promise<T>): Promise<T> {
  const db = await openDatabase(process.env['VETRO_DATA']!);
  try {
    return await work(db);
  } finally {
    await db.destroy();
  }
}

const names = () =>
  onShelf(async (db) =>
    (await readShelf(db)).ranges.flatMap(({ designs }) => designs.map(({ name }) => name)),
  );

it('a design is brought back from a backup, beside what is here or in its place', async () => {
  const { out } = await vetro('backup');
  expect(out).toMatch(/^vetro-\S+: 3 designs, 1 earlier states, \d+ kB, in .*backups\n$/);
  await onShelf(async (db) => {
    const { version, document } = await findDesign(db, plaid);
    await saveDesign(storeOf(db), { id: plaid, version, design: { ...document, name: 'Spoilt' }, now: NOW });
  });
  const [line] = (await vetro('restore')).out.split('\n');
  expect(line).toMatch(/^vetro-\S+ {2}.* {2}3 designs {2}\d+ kB$/);
  expect((await vetro('restore', 'last')).out).toContain('V 001\tRug\tCarriages\tchanged since\n');
  expect(await vetro('restore', 'last', '--design', 'Rug', '--beside')).toMatchObject({
    out: '1 design added.\n',
  });
  expect(await names()).toEqual(expect.arrayContaining(['Spoilt', 'Rug']));
  expect(await vetro('restore', line!.split(' ')[0]!, '--design', 'V 001')).toMatchObject({ status: 0 });
  expect((await names()).filter((name) => name === 'Rug')).toHaveLength(2);
  // What was replaced was backed up before.
  expect((await vetro('restore')).out.trim().split('\n')).toHaveLength(3);
  expect(await vetro('restore', 'last', '--design', 'Nothing')).toMatchObject({
    status: 2,
    err: expect.stringContaining('not on the shelf'),
  });
  expect(await vetro('restore', 'vetro-none')).toMatchObject({
    status: 2,
    err: expect.stringContaining('no backup'),
  });
});

it('a shelf comes back as a whole, as docs/security.md says', async () => {
  const { out } = await vetro('backup');
  const name = out.split(':')[0]!;
  await onShelf(async (db) => {
    await binDesign(db, plaid, NOW);
    await emptyBin(db);
  });
  expect(await vetro('restore', name, '--all')).toMatchObject({ status: 0, out: '2 designs added.\n' });
  expect(await names()).toEqual(['Blind, wider', 'Rug', 'Lake']);
  // A backup is a database: put in the place of a lost one, it is the shelf, but for its pictures.
  copyFileSync(join(root, 'backups', `${name}.db`), join(root, 'vetro.db'));
  rmSync(join(root, 'vetro.db-generations.json'), { force: true });
  expect(await names()).toEqual(['Blind, wider', 'Rug', 'Lake']);
});

it('a shelf is moved as a zip, and a folder of documents by a rule', async () => {
  const zip = join(root, 'house.zip');
  expect(await vetro('shelf', 'export', zip)).toMatchObject({ out: `3 designs in ${zip}\n` });
  vi.stubEnv('VETRO_DATA', join(root, 'other', 'vetro.db'));
  expect((await vetro('shelf', 'import', zip, '--preview')).out).toContain('Rug\tCarriages\tnot here yet\n');
  expect(await names()).toEqual([]);
  expect(await vetro('shelf', 'import', zip, '--range', 'Stations')).toMatchObject({
    out: '1 design added.\n',
  });
  expect(await vetro('shelf', 'import', zip)).toMatchObject({ out: '2 designs added.\n' });
  expect(await vetro('shelf', 'import', zip)).toMatchObject({ out: 'Nothing was changed.\n' });
  const document = await onShelf(async (db) => (await findDesign(db, plaid)).document);
  mkdirSync(join(root, 'folder', 'within'), { recursive: true });
  writeFileSync(join(root, 'folder', 'within', 'rug.json'), JSON.stringify({ ...document, notes: 'Warmer' }));
  expect(await vetro('shelf', 'import', join(root, 'folder'))).toMatchObject({
    out: 'Nothing was changed.\n',
  });
  expect(await vetro('shelf', 'import', join(root, 'folder'), '--rule', 'both')).toMatchObject({
    out: '1 design added.\n',
  });
  expect(await names()).toHaveLength(4);
  expect(await vetro('shelf', 'import', join(root, 'nowhere.zip'))).toMatchObject({ status: 2 });
  expect(await vetro('shelf', 'export', join(root, 'no', 'folder.zip'))).toMatchObject({ status: 2 });
});

it('all that docs/security.md says of it can be done', async () => {
  const page = readFileSync(join(import.meta.dirname, '../../docs/security.md'), 'utf8');
  const lines = [...page.matchAll(/^npx vetro ((?:backup|restore|shelf).*)$/gm)].map(([, line]) => line!);
  expect(lines.length).toBeGreaterThan(8);
  for (const line of lines) {
    const words = [...line.matchAll(/"([^"]+)"|(\S+)/g)].map(([, quoted, bare]) => quoted ?? bare!);
    const args = words.map((word) => (word === 'house.zip' ? join(root, word) : word));
    expect(await vetro(...args), line).toMatchObject({ status: 0, err: '' });
  }
});

it('beside a server a backup and an archive are made, and nothing is brought in', async () => {
  const giveBack = ownDatabase(process.env['VETRO_DATA']!, { what: 'a server', since: NOW });
  expect(await vetro('backup')).toMatchObject({ status: 0 });
  expect(await vetro('shelf', 'export', join(root, 'house.zip'))).toMatchObject({ status: 0 });
  expect(readFileSync(join(root, 'house.zip')).subarray(0, 2).toString()).toBe('PK');
  for (const args of [
    ['restore', 'last', '--all'],
    ['shelf', 'import', join(root, 'house.zip')],
  ]) {
    expect(await vetro(...args)).toMatchObject({
      status: 2,
      err: expect.stringContaining('in use by a server'),
    });
  }
  giveBack();
});
