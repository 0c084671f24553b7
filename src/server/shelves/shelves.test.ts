import { copyFileSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, unzipSync, type Zippable, zipSync } from 'fflate';
import type { Kysely } from 'kysely';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { type Hung, hangSome, pictureDesign } from '../../../tests/shelf-with-pictures.ts';
import { storeOf } from '../../../tests/store-of.ts';
import { writeDesignText } from '../../core/design/read-design.ts';
import { binDesign, emptyBin, findDesign } from '../db/design-table.ts';
import { openDatabase } from '../db/open-database.ts';
import { listRevisions } from '../db/revision-table.ts';
import type { Database } from '../db/schema.ts';
import { addDesign, readShelf, saveDesign } from '../shelf.ts';
import { CONTENTS, type Contents } from './archive-format.ts';
import { compareShelves } from './compare-shelves.ts';
import { readArchive } from './read-archive.ts';
import { type TakeOrder, takeDesigns } from './take-designs.ts';
import { writeArchive } from './write-archive.ts';

const NOW = '2026-03-02T10:00:00.000Z';
const LATER = '2026-03-03T10:00:00.000Z';

let root: string;
let file: string;
let db: Kysely<Database>;
let hung: Hung;
const opened: Kysely<Database>[] = [];

const code = (expected: string) => expect.objectContaining({ code: expected });

beforeEach(async () => {
  root = mkdtempSync(join(tmpdir(), 'vetro-shelves-'));
  file = join(root, 'vetro.db');
  db = await openDatabase(file);
  hung = await hangSome(db, NOW);
});
afterEach(async () => {
  await Promise.all([db, ...opened.splice(0)].map((each) => each.destroy()));
  rmSync(root, { recursive: true, force: true });
});

async function openAt(name: string): Promise<Kysely<Database>> {
  const other = await openDatabase(join(root, name));
  opened.push(other);
  return other;
}

/** The shelf as an archive. */
async function archived(
  from: string,
  now = NOW,
  wish: { bin?: boolean; range?: string } = {},
): Promise<Buffer> {
  const path = join(root, 'shelf.zip');
  await writeArchive({ file: from, path, now, bin: wish.bin ?? true, range: wish.range });
  return readFileSync(path);
}

/** An archive as the shelf that it holds. */
async function brought(
  bytes: Uint8Array,
  known: readonly { id: string; name: string; number: string }[] = [],
) {
  const path = join(root, 'brought.zip');
  writeFileSync(path, bytes);
  const name = `brought-${opened.length}.db`;
  await readArchive({ path, file: join(root, name), now: LATER, known });
  return openAt(name);
}

/** The same shelf at another time. */
async function copyOfShelf(name: string): Promise<Kysely<Database>> {
  await db.destroy();
  copyFileSync(file, join(root, name));
  db = await openDatabase(file);
  return openAt(name);
}

function take(there: Kysely<Database>, wish: Partial<TakeOrder>) {
  const signal = new AbortController().signal;
  return takeDesigns({
    here: db,
    there,
    choices: {},
    whole: false,
    now: LATER,
    told: () => {},
    signal,
    ...wish,
  });
}

async function save(at: Kysely<Database>, id: string, name: string): Promise<void> {
  const { version, document } = await findDesign(at, id);
  await saveDesign(storeOf(at), { id, version, design: { ...document, name }, now: LATER });
}

const contentsIn = (bytes: Uint8Array): Contents =>
  JSON.parse(Buffer.from(unzipSync(bytes)[CONTENTS]!).toString()) as Contents;

describe('an archive', () => {
  it('of one shelf is the same but for its date', async () => {
    expect((await archived(file)).equals(await archived(file))).toBe(true);
    const [one, other] = [unzipSync(await archived(file)), unzipSync(await archived(file, LATER))];
    expect(Object.keys(one)).toEqual(Object.keys(other));
    const differing = Object.keys(one).filter((name) => !Buffer.from(one[name]!).equals(other[name]!));
    expect(differing).toEqual([CONTENTS]);
    const read = (bytes: Uint8Array) => JSON.parse(Buffer.from(bytes).toString()) as Contents;
    expect({ ...read(one[CONTENTS]!), date: '' }).toEqual({ ...read(other[CONTENTS]!), date: '' });
  });

  it('holds designs, states, pictures, ranges, favourites, the title and the bin, and no passphrase', async () => {
    const bytes = await archived(file);
    const { designs, pictures, ranges, settings, title } = contentsIn(bytes);
    expect(designs).toHaveLength(4);
    expect(designs.filter(({ deletedAt }) => deletedAt !== null)).toHaveLength(1);
    expect(designs.flatMap(({ states }) => states.map(({ name }) => name))).toContain('As it was shown');
    expect(designs.filter(({ favourite }) => favourite)).toHaveLength(1);
    expect(pictures).toHaveLength(1);
    expect(ranges).toEqual(['Stations', 'Carriages', 'Empty yet']);
    expect({ title, settings }).toEqual({ title: 'The line', settings: { 'shelf-title': 'The line' } });
    expect(bytes.includes('a secret')).toBe(false);
    expect(Object.keys(unzipSync(bytes))).toContain('designs/Rug V 001.json');
  });

  it('moved into an empty Vetro gives the same archive', async () => {
    const bytes = await archived(file);
    const there = await brought(bytes);
    const empty = await openAt('empty.db');
    const told: number[] = [];
    const counts = await take(there, { here: empty, whole: true, told: (made) => told.push(made) });
    expect(counts).toEqual({ added: 4, replaced: 0, binned: 0 });
    expect(told.at(-1)).toBe(4);
    const again = await archived(join(root, 'empty.db'));
    expect(contentsIn(again)).toEqual(contentsIn(bytes));
    expect(again.equals(bytes)).toBe(true);
  });

  it('of one range, or without the bin, holds no more', async () => {
    const one = contentsIn(await archived(file, NOW, { range: 'Stations' }));
    expect(one.designs.map(({ id }) => id)).toEqual([hung.ids.named]);
    expect(one).toMatchObject({ ranges: ['Stations'], pictures: [], settings: {} });
    expect(contentsIn(await archived(file, NOW, { bin: false })).designs).toHaveLength(3);
    await expect(archived(file, NOW, { range: 'Nowhere' })).rejects.toEqual(code('range/missing'));
  });

  it('of documents alone is taken for the designs of their numbers and names', async () => {
    const { document } = await findDesign(db, hung.ids.plaid);
    const picture = await pictureDesign('Pond', 17);
    const there = await brought(
      zipSync({
        'my designs/a.json': strToU8(writeDesignText({ ...document, notes: 'Warmer' })),
        'my designs/b.json': strToU8(writeDesignText(picture)),
      }),
      [{ id: hung.ids.plaid, name: 'Rug', number: 'V 001' }],
    );
    const { designs } = await compareShelves({ here: db, there, isEarlier: false });
    expect(designs.map(({ name, standing }) => [name, standing]).sort()).toEqual([
      ['Pond', 'new'],
      ['Rug', 'both'],
    ]);
    const { added } = await take(there, {
      choices: Object.fromEntries(designs.map(({ id }) => [id, 'replace'])),
    });
    expect(added).toBe(1);
    expect((await findDesign(db, hung.ids.plaid)).document.notes).toBe('Warmer');
    expect(await db.selectFrom('picture').selectAll().execute()).toHaveLength(2);
  });

  /** An archive with something changed in it. */
  const spoilt = async (change: (files: Record<string, Uint8Array>, contents: Contents) => unknown) => {
    const files: Record<string, Uint8Array> = { ...unzipSync(await archived(file)) };
    const contents = contentsIn(zipSync(files));
    const changed = change(files, contents) ?? contents;
    return zipSync({ ...files, [CONTENTS]: strToU8(JSON.stringify(changed)) } as Zippable);
  };

  it.each<[string, string, (files: Record<string, Uint8Array>, contents: Contents) => unknown]>([
    [
      'names a file that is not in it',
      'archive/missing',
      (files, { designs }) => void delete files[designs[0]!.file],
    ],
    ['lacks a picture', 'archive/missing', (files, { pictures }) => void delete files[pictures[0]!.file]],
    [
      'holds another picture',
      'archive/picture',
      (files, { pictures }) => {
        files[pictures[0]!.file] = strToU8('no picture');
      },
    ],
    [
      'leads out of it',
      'archive/path',
      (files) => void Object.assign(files, { '../out.json': strToU8('{}') }),
    ],
    [
      'leads to a root',
      'archive/path',
      (files) => void Object.assign(files, { 'c:/out.json': strToU8('{}') }),
    ],
    [
      'has names that differ by capitals',
      'archive/twice',
      (files) => void Object.assign(files, { 'designs/RUG V 001.JSON': strToU8('{}') }),
    ],
    ['has an id twice', 'archive/id-twice', (_, { designs }) => void designs.push(designs[0]!)],
    ['is newer', 'archive/newer', (_, contents) => ({ ...contents, version: 2 })],
    ['has no time', 'archive/contents', (_, contents) => ({ ...contents, date: 'today' })],
    [
      'holds a document of a newer Vetro',
      'archive/design',
      (files, { designs }) => {
        files[designs[0]!.file] = strToU8('{"format":"vetro-design","version":999}');
      },
    ],
    [
      'holds what is no document',
      'archive/design',
      (files, { designs }) => {
        files[designs[0]!.file] = strToU8('{');
      },
    ],
  ])('that %s is refused: %s', async (_, expected, change) => {
    await expect(spoilt(change).then((bytes) => brought(bytes))).rejects.toEqual(code(expected));
  });

  it('that unpacks to more than it may is refused before it is unpacked', async () => {
    const bytes = Buffer.from(zipSync({ [CONTENTS]: strToU8('{}'), 'designs/a.json': new Uint8Array(1000) }));
    // The length in the list at the end of the zip. Source: PKWARE APPNOTE.TXT, §4.3.12.
    const entry = bytes.lastIndexOf(Buffer.from([0x50, 0x4b, 1, 2]));
    bytes.writeUInt32LE(4_000_000_000, entry + 24);
    await expect(brought(bytes)).rejects.toEqual(code('archive/too-large'));
    await expect(brought(strToU8('no zip at all'))).rejects.toEqual(code('archive/not-one'));
    await expect(brought(zipSync({ 'a.txt': strToU8('a') }))).rejects.toEqual(code('archive/not-one'));
  });
});

describe('another shelf', () => {
  it('is compared design by design', async () => {
    const there = await copyOfShelf('earlier.db');
    await save(db, hung.ids.plaid, 'Rug, wider');
    await save(there, hung.ids.named, 'Blind, narrower');
    await save(db, hung.ids.picture, 'Lake, here');
    await save(there, hung.ids.picture, 'Lake, there');
    await binDesign(there, hung.ids.binned, null);
    const { id } = await addDesign(storeOf(db), { design: sampleDesign(SAMPLE), now: LATER });
    const standings = async (isEarlier: boolean) => {
      const { designs, onlyHere } = await compareShelves({ here: db, there, isEarlier });
      expect(onlyHere.map((each) => each.id)).toEqual([id]);
      return Object.fromEntries(designs.map((each) => [each.id, each.standing]));
    };
    const { plaid, named, picture, binned } = hung.ids;
    expect(await standings(false)).toEqual({
      [plaid]: 'here',
      [named]: 'there',
      [picture]: 'both',
      [binned]: 'binned',
    });
    expect(await standings(true)).toMatchObject({ [plaid]: 'here', [named]: 'there' });
  });

  it('gives back what was deleted for ever, with its states, range and picture', async () => {
    const there = await copyOfShelf('earlier.db');
    const { named, picture } = hung.ids;
    for (const id of [named, picture]) await binDesign(db, id, LATER);
    await emptyBin(db);
    await db.deleteFrom('design_revision').execute();
    await db.deleteFrom('picture').execute();
    const choices = { [named]: 'replace', [picture]: 'replace' } as const;
    expect(await take(there, { choices })).toEqual({ added: 2, replaced: 0, binned: 0 });
    expect(await listRevisions(db, named)).toMatchObject([{ name: 'As it was shown' }]);
    const { ranges } = await readShelf(db);
    expect(ranges.map(({ name, designs }) => [name, designs.length])).toEqual([
      ['Stations', 1],
      ['Carriages', 2],
    ]);
    expect(await db.selectFrom('picture').selectAll().execute()).toHaveLength(1);
  });

  it('puts a design in the place of what is here, which stays as an earlier state', async () => {
    const there = await copyOfShelf('earlier.db');
    const { plaid } = hung.ids;
    await save(db, plaid, 'Spoilt');
    expect(await take(there, { choices: { [plaid]: 'replace' } })).toMatchObject({ replaced: 1 });
    expect((await findDesign(db, plaid)).document.name).toBe('Rug');
    const { id } = (await listRevisions(db, plaid))[0]!;
    const row = await db
      .selectFrom('design_revision')
      .select('document')
      .where('id', '=', id)
      .executeTakeFirstOrThrow();
    expect(JSON.parse(row.document)).toMatchObject({ name: 'Spoilt' });
    // Whoever has it open is told: its version went on.
    expect((await findDesign(db, plaid)).version).toBe(3);
  });

  it('hangs a design beside what is here, with a number and states of its own', async () => {
    const there = await copyOfShelf('earlier.db');
    const { named } = hung.ids;
    await save(db, named, 'Otherwise');
    await take(there, { choices: { [named]: 'beside' } });
    const { ranges } = await readShelf(db);
    const stations = ranges.find(({ name }) => name === 'Stations')!.designs;
    expect(stations.map(({ name }) => name).sort()).toEqual(['Blind, wider', 'Otherwise']);
    const beside = stations.find(({ name }) => name === 'Blind, wider')!;
    expect(beside.number).not.toBe(stations.find(({ name }) => name === 'Otherwise')!.number);
    expect(await listRevisions(db, beside.id)).toHaveLength(1);
  });

  it('is taken as a whole: what is only here goes into the bin', async () => {
    const there = await copyOfShelf('earlier.db');
    const before = contentsIn(await archived(file));
    const { id } = await addDesign(storeOf(db), { design: sampleDesign(SAMPLE), now: LATER });
    await save(db, hung.ids.plaid, 'Spoilt');
    await binDesign(db, hung.ids.picture, LATER);
    await db.updateTable('design').set({ range_id: null, favourite: 0 }).execute();
    const counts = await take(there, { whole: true });
    expect(counts).toEqual({ added: 1, replaced: 1, binned: 1 });
    const after = contentsIn(await archived(file));
    const hanging = ({ designs }: Contents) =>
      designs
        .filter(({ deletedAt }) => deletedAt === null)
        .map(({ id: which, file: name, range, position, favourite }) => ({
          which,
          name,
          range,
          position,
          favourite,
        }));
    expect(hanging(after)).toEqual(hanging(before));
    expect(after.designs.find((each) => each.id === id)!.deletedAt).toBe(LATER);
  });

  it('stopped in the middle leaves nothing half', async () => {
    const there = await copyOfShelf('earlier.db');
    for (const id of Object.values(hung.ids)) await binDesign(db, id, LATER).catch(() => undefined);
    await emptyBin(db);
    const stop = new AbortController();
    const whole = take(there, {
      whole: true,
      signal: stop.signal,
      told: (made, of) => made === of && stop.abort(new Error('stopped')),
    });
    await expect(whole).rejects.toThrow('stopped');
    expect((await readShelf(db)).total).toBe(0);
    expect(await take(there, { whole: true })).toMatchObject({ added: 4 });
  });
});
