import {
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import fc from 'fast-check';
import type { Kysely } from 'kysely';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { type Hung, hangSome, pictureDesign } from '../../../tests/shelf-with-pictures.ts';
import { storeOf } from '../../../tests/store-of.ts';
import { openDatabase } from '../db/open-database.ts';
import { runningTime } from '../db/running-time.ts';
import type { Database } from '../db/schema.ts';
import { addDesign, readShelf } from '../shelf.ts';
import { type Backup, databaseOf, listBackups, pictureOf } from './backup-files.ts';
import { backUp } from './backup-task.ts';
import { type BackupKeeper, keepBackups } from './keep-backups.ts';
import { openBackup } from './open-backup.ts';
import { checkSecond, folderIn } from './second-place.ts';
import { kept, thinBackups } from './thin-backups.ts';

const START = Date.parse('2026-03-02T10:00:00.000Z');
const HOUR = 3_600_000;

let root: string;
let file: string;
let db: Kysely<Database>;
let hung: Hung;
let time: number;
let keeper: BackupKeeper;

const folder = () => join(root, 'backups');
const now = () => new Date(time).toISOString();
const code = (expected: string) => expect.objectContaining({ code: expected });

beforeEach(async () => {
  root = mkdtempSync(join(tmpdir(), 'vetro-backups-'));
  file = join(root, 'vetro.db');
  time = START;
  db = await openDatabase(file);
  hung = await hangSome(db, now());
  keeper = keepBackups({ db, file, folder: folder(), backUp, checkSecond, now });
});
afterEach(async () => {
  await db.destroy();
  rmSync(root, { recursive: true, force: true });
});

/** The shelf that a backup gives back. */
async function shelfIn(name: string, folders = [folder()]): Promise<readonly string[]> {
  const target = join(mkdtempSync(join(root, 'opened-')), 'shelf.db');
  await openBackup({ folders, name, file: target });
  const opened = await openDatabase(target);
  const { ranges } = await readShelf(opened);
  await opened.destroy();
  return ranges.flatMap(({ designs }) => designs.map((each) => each.name));
}

describe('a backup', () => {
  it('is the shelf of one moment, whole, without its pictures and its passphrase', async () => {
    const backup = await keeper.make();
    await addDesign(storeOf(db), { design: await pictureDesign('Later', 90), now: now() });
    expect(backup).toMatchObject({ designs: 3, binned: 1, ranges: 3, states: 1, at: now() });
    expect(backup.pictures).toHaveLength(1);
    const copy = new BetterSqlite3(databaseOf(folder(), backup.name), { readonly: true });
    expect(copy.prepare('select length(bytes) as length from picture').all()).toEqual([{ length: 0 }]);
    expect(copy.prepare("select value from setting where key = 'passphrase'").all()).toEqual([]);
    copy.close();
    expect(await shelfIn(backup.name)).toEqual(['Blind, wider', 'Rug', 'Lake']);
  });

  it('gives pictures back, which lie beside all backups once', async () => {
    await keeper.make();
    time += HOUR;
    const { name, pictures } = await keeper.make();
    expect(readdirSync(join(folder(), 'pictures'))).toEqual([pictures[0]!.hash]);
    const target = join(root, 'shelf.db');
    await openBackup({ folders: [folder()], name, file: target });
    const opened = await openDatabase(target);
    const row = await opened.selectFrom('picture').selectAll().executeTakeFirstOrThrow();
    await opened.destroy();
    const original = await db.selectFrom('picture').selectAll().executeTakeFirstOrThrow();
    expect(row.bytes.equals(original.bytes)).toBe(true);
    expect(row.bytes.length).toBeGreaterThan(50);
  });

  it('is made again only when something changed', async () => {
    await keeper.makeIfChanged();
    time += HOUR;
    await (await runningTime(db, () => time)).write();
    await keeper.makeIfChanged();
    expect(listBackups(folder())).toHaveLength(1);
    await addDesign(storeOf(db), { design: await pictureDesign('Later', 90), now: now() });
    time += HOUR;
    await keeper.makeIfChanged();
    expect(listBackups(folder())).toHaveLength(2);
  });

  it('that is not as it was made is refused, and the copy in the second place taken', async () => {
    const second = join(root, 'disk');
    mkdirSync(second);
    await keeper.setSecond(second);
    const { name } = (await keeper.state()).backups[0]!;
    const bytes = readFileSync(databaseOf(folder(), name));
    bytes[5000]! ^= 1;
    writeFileSync(databaseOf(folder(), name), bytes);
    await expect(shelfIn(name)).rejects.toEqual(code('backup/damaged'));
    expect(await shelfIn(name, [folder(), folderIn(second)])).toHaveLength(3);
    await expect(shelfIn('vetro-2020-01-01T00-00-00-000Z')).rejects.toEqual(code('backup/missing'));
  });

  it('that fails is told until one is made, and earlier ones stay', async () => {
    await keeper.make();
    renameSync(join(folder(), 'pictures'), join(folder(), 'elsewhere'));
    // A file stands where the pictures go.
    writeFileSync(join(folder(), 'pictures'), '');
    time += HOUR;
    await expect(keeper.make()).rejects.toEqual(code('backup/failed'));
    const { trouble, backups } = await keeper.state();
    expect(trouble).toEqual([expect.stringMatching(/could not be made.*Earlier ones are as they were/)]);
    expect(backups).toHaveLength(1);
    expect(readdirSync(folder()).filter((name) => name.includes('part'))).toEqual([]);
    rmSync(join(folder(), 'pictures'));
    await keeper.makeIfChanged();
    expect((await keeper.state()).trouble).toEqual([]);
  });
});

it('what a process that is gone had begun is cleared, and what another one writes is left', async () => {
  mkdirSync(join(folder(), 'pictures'), { recursive: true });
  // No process has a number beyond the highest that Linux gives.
  const left = ['vetro-x.db.part-4194999', 'vetro-x.db.part-4194999-journal', 'pictures/abc.part-4194999'];
  for (const name of [...left, `pictures/abc.part-${process.pid}`])
    writeFileSync(join(folder(), name), 'half');
  await keeper.make();
  const names = readdirSync(folder(), { recursive: true, encoding: 'utf8' }).filter((name) =>
    name.includes('part'),
  );
  expect(names).toEqual([`pictures/abc.part-${process.pid}`]);
});

describe('a second place', () => {
  it.each([
    ['disk', /it is not there/],
    ['backups/within', /another disk/],
    ['backups', /another disk/],
  ])('%s is refused in words', async (name, words) => {
    await keeper.make();
    if (name.startsWith('backups/')) mkdirSync(join(root, name));
    await expect(keeper.setSecond(join(root, name))).rejects.toSatisfy(
      (error: { code: string; facts: { reason: string } }) =>
        error.code === 'backup/place' && words.test(error.facts.reason),
    );
    expect((await keeper.state()).second).toBe('');
  });

  it('that is away is told and not made anew; when it is back it gets the next', async () => {
    const second = join(root, 'disk');
    mkdirSync(second);
    await keeper.setSecond(second);
    expect((await keeper.state()).backups[0]).toMatchObject({ places: 2 });
    renameSync(second, join(root, 'unplugged'));
    time += HOUR;
    await keeper.make();
    expect((await keeper.state()).trouble).toEqual([expect.stringContaining('it is not there')]);
    expect(readdirSync(root)).not.toContain('disk');
    renameSync(join(root, 'unplugged'), second);
    time += HOUR;
    await keeper.makeIfChanged();
    const { trouble, backups } = await keeper.state();
    expect(trouble).toEqual([]);
    expect(backups.map(({ places }) => places)).toEqual([2, 1, 2]);
    expect(
      listBackups(folderIn(second))[0]!.pictures.every(
        ({ hash }) => readFileSync(pictureOf(folderIn(second), hash)).length > 0,
      ),
    ).toBe(true);
  });
});

describe('what stays of earlier backups', () => {
  const KEEPING = { newest: 10, hours: 24, days: 14, weeks: 8, bytes: Number.POSITIVE_INFINITY };
  const backupAt = (at: number, bytes = 1): Backup => ({
    format: 'vetro-backup',
    version: 1,
    name: `at ${at}`,
    at: new Date(at).toISOString(),
    shelf: '',
    bytes,
    digest: '',
    designs: 0,
    binned: 0,
    ranges: 0,
    states: 0,
    pictures: [],
  });
  const newestFirst = (times: readonly number[]) =>
    [...new Set(times)].sort((one, other) => other - one).map((at) => backupAt(at));

  it('is one an hour for a day, one a day for two weeks, one a week for eight', () => {
    const hourly = newestFirst(Array.from({ length: 24 * 100 }, (_, hour) => START + hour * HOUR));
    const ages = kept(hourly, KEEPING).map(({ at }) => (Date.parse(hourly[0]!.at) - Date.parse(at)) / HOUR);
    expect(ages.filter((age) => age < 24)).toHaveLength(24);
    expect(ages.filter((age) => age < 24 * 14).length).toBeGreaterThanOrEqual(24 + 12);
    expect(ages.filter((age) => age < 24 * 14).length).toBeLessThanOrEqual(24 + 15);
    expect(Math.max(...ages)).toBeGreaterThan(24 * 7 * 6);
    expect(Math.max(...ages)).toBeLessThan(24 * 7 * 9);
  });

  it('never loses the newest, and thinned once more loses nothing', () => {
    const times = fc.array(fc.integer({ min: START, max: START + 400 * 24 * HOUR }), {
      minLength: 1,
      maxLength: 200,
    });
    fc.assert(
      fc.property(times, (some) => {
        const all = newestFirst(some);
        const stay = kept(all, KEEPING);
        expect(stay[0]).toBe(all[0]);
        expect(stay.length).toBeLessThanOrEqual(10 + 24 + 14 + 8);
        expect(kept(stay, KEEPING)).toEqual(stay);
      }),
    );
  });

  it('does not change by a clock that was nine days ahead for one backup', () => {
    const before = newestFirst(Array.from({ length: 20 }, (_, hour) => START + hour * HOUR));
    const wrong = [backupAt(START + 9 * 24 * HOUR), ...before];
    expect(kept(wrong, KEEPING)).toEqual(wrong);
  });

  it('has room, and the newest whatever it needs', () => {
    const all = [3, 2, 1].map((day) => backupAt(START + day * 24 * HOUR, 40));
    expect(kept(all, { ...KEEPING, bytes: 100 })).toEqual(all.slice(0, 2));
    expect(kept(all, { ...KEEPING, bytes: 10 })).toEqual(all.slice(0, 1));
  });

  it('is removed with pictures that none shows any more, but for other shelves’', async () => {
    const { pictures, shelf } = await keeper.make();
    writeFileSync(join(folder(), 'pictures', 'f'.repeat(64)), 'of no backup');
    await db.deleteFrom('design').where('id', '=', hung.ids.picture).execute();
    await db.deleteFrom('picture').execute();
    time += 60_000;
    await keeper.make();
    thinBackups(folder(), shelf, { ...KEEPING, newest: 1 });
    // Both are of one hour, so the later one stays.
    expect(listBackups(folder())).toHaveLength(1);
    expect(readdirSync(join(folder(), 'pictures'))).toEqual([]);
    expect(pictures).toHaveLength(1);
  });
});
