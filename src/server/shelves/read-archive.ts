import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import type { Kysely } from 'kysely';
import type { Design } from '../../core/design/design-schema.ts';
import { designFromFile } from '../../core/design/exchange/read-file.ts';
import { readDesignText } from '../../core/design/read-design.ts';
import { CoreError } from '../../core/error.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { insertDesign } from '../db/design-table.ts';
import { openDatabase } from '../db/open-database.ts';
import { storePicture } from '../db/picture-table.ts';
import { ensureRange } from '../db/range-table.ts';
import type { Database } from '../db/schema.ts';
import { writeSetting } from '../db/setting-table.ts';
import { readyPicture } from '../pictures/keep-picture.ts';
import {
  ARCHIVE_VERSION,
  CONTENTS,
  type Contents,
  contentsSchema,
  isMoved,
  MOST_ARCHIVE,
  MOST_FILES,
  MOST_UNPACKED,
} from './archive-format.ts';

export interface ReadArchiveOrder {
  /** The archive, or a zip of design documents alone. */
  readonly path: string;
  /** A database that is made of it. */
  readonly file: string;
  readonly now: string;
  /** What hangs here: design documents alone are taken for those of the same number and name. */
  readonly known: readonly { readonly id: string; readonly name: string; readonly number: string }[];
}

export interface ArchiveFacts {
  readonly title: string;
  /** Empty for design documents alone. */
  readonly date: string;
}

/** A file of the zip. */
interface Entry {
  readonly name: string;
  readonly size: number;
}

/**
 * Reads an archive into a database of its own, so that a shelf that was brought is a shelf as any other. Nothing of it is
 * taken for true: names, lengths, documents and pictures are looked at, and what is not named in its contents is left.
 * @throws CoreError "archive/…"
 */
export async function readArchive({ path, file, now, known }: ReadArchiveOrder): Promise<ArchiveFacts> {
  const bytes = new Uint8Array(readFileSync(path));
  if (bytes.length > MOST_ARCHIVE) throw new CoreError('archive/too-large', { most: MOST_ARCHIVE });
  const entries = entriesOf(bytes);
  const db = await openDatabase(file);
  try {
    const files = unpack(bytes, ({ name }) => name.endsWith('.json'));
    if (!entries.has(CONTENTS)) return await readDocuments(db, files, { now, known });
    const contents = readContents(textIn(files, CONTENTS));
    await readDesigns(db, contents, files);
    for (const { hash, file: name } of contents.pictures) {
      const picture = unpack(bytes, (entry) => entry.name === name)[name];
      if (picture === undefined) throw new CoreError('archive/missing', { name });
      await keepPicture(db, { hash, name, bytes: picture, now: contents.date });
    }
    for (const [key, value] of Object.entries(contents.settings)) {
      if (isMoved(key)) await writeSetting(db, key, value);
    }
    return { title: contents.title, date: contents.date };
  } finally {
    await db.destroy();
  }
}

/** What is in a zip, before anything of it is unpacked. */
function entriesOf(bytes: Uint8Array): ReadonlyMap<string, Entry> {
  const entries = new Map<string, Entry>();
  const alike = new Set<string>();
  let unpacked = 0;
  try {
    unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (entries.size >= MOST_FILES) throw new CoreError('archive/too-large', { most: MOST_UNPACKED });
        const parts = name.split('/');
        const climbs = parts.includes('..') || parts.includes('.') || /^\/|^[a-z]:|[\\\0]/i.test(name);
        if (climbs) throw new CoreError('archive/path', { name: name.slice(0, 80) });
        const key = name.normalize('NFC').toLowerCase();
        if (alike.has(key)) throw new CoreError('archive/twice', { name: name.slice(0, 80) });
        alike.add(key);
        unpacked += originalSize;
        if (unpacked > MOST_UNPACKED) throw new CoreError('archive/too-large', { most: MOST_UNPACKED });
        entries.set(name, { name, size: originalSize });
        return false;
      },
    });
  } catch (error) {
    if (error instanceof CoreError) throw error;
    throw new CoreError('archive/not-one');
  }
  return entries;
}

type Files = Readonly<Record<string, Uint8Array>>;

function unpack(bytes: Uint8Array, wanted: (entry: Entry) => boolean): Files {
  try {
    return unzipSync(bytes, { filter: ({ name, originalSize: size }) => wanted({ name, size }) });
  } catch {
    throw new CoreError('archive/broken');
  }
}

function textIn(files: Files, name: string): string {
  const bytes = Object.hasOwn(files, name) ? files[name] : undefined;
  if (bytes === undefined) throw new CoreError('archive/missing', { name });
  return new TextDecoder().decode(bytes);
}

function readContents(text: string): Contents {
  let contents: unknown;
  try {
    contents = JSON.parse(text);
  } catch {
    throw new CoreError('archive/broken');
  }
  const { version } = contents as { version?: unknown };
  if (typeof version === 'number' && version > ARCHIVE_VERSION) throw new CoreError('archive/newer');
  const read = contentsSchema.safeParse(contents);
  if (read.success) return read.data;
  throw new CoreError('archive/contents', { path: read.error.issues[0]?.path.join(' › ') ?? '' });
}

async function readDesigns(db: Kysely<Database>, contents: Contents, files: Files): Promise<void> {
  const ranges = new Map<string, string>();
  const rangeOf = async (name: string) => {
    const known =
      ranges.get(name) ??
      (await db.transaction().execute((within) => ensureRange(within, name, randomUUID())));
    ranges.set(name, known);
    return known;
  };
  for (const name of contents.ranges) await rangeOf(name);
  const ids = new Set<string>();
  const states = new Set<string>();
  for (const each of contents.designs) {
    const { id, version, createdAt, updatedAt, range, position, favourite, deletedAt } = each;
    if (ids.has(id)) throw new CoreError('archive/id-twice', { name: each.file });
    ids.add(id);
    const design = readDocument(each.file, textIn(files, each.file));
    await insertDesign(db, { id, design, proven: undefined, now: createdAt });
    const hung = { range_id: range === null ? null : await rangeOf(range), position };
    await db
      .updateTable('design')
      .set({ version, updated_at: updatedAt, favourite: favourite ? 1 : 0, deleted_at: deletedAt, ...hung })
      .where('id', '=', id)
      .execute();
    for (const state of each.states) {
      if (states.has(state.id)) throw new CoreError('archive/id-twice', { name: state.file });
      states.add(state.id);
      const document = JSON.stringify(readDocument(state.file, textIn(files, state.file)));
      const { name, version: was, at, keptAt } = state;
      await db
        .insertInto('design_revision')
        .values({ id: state.id, design_id: id, version: was, name, document, at, kept_at: keptAt })
        .execute();
    }
  }
}

function readDocument(file: string, text: string): Design {
  try {
    return readDesignText(text);
  } catch (error) {
    throw new CoreError('archive/design', { name: file, problem: errorSentence(error) ?? '' });
  }
}

/** Keeps a picture that can be read and is what its name says. */
async function keepPicture(
  db: Kysely<Database>,
  { hash, name, bytes, now }: { hash: string; name: string; bytes: Uint8Array; now: string },
): Promise<void> {
  const ready = await readyPicture(new Uint8Array(bytes)).catch(() => undefined);
  if (ready?.about.hash !== hash) throw new CoreError('archive/picture', { name });
  await storePicture(db, { hash, type: ready.type, bytes: ready.bytes }, now);
}

/** A folder of design documents: each is taken for the design here that has its number and name. Nothing says when it was saved. */
async function readDocuments(
  db: Kysely<Database>,
  files: Files,
  { now, known }: Pick<ReadArchiveOrder, 'now' | 'known'>,
): Promise<ArchiveFacts> {
  const names = Object.keys(files).sort();
  if (names.length === 0) throw new CoreError('archive/not-one');
  const left = [...known];
  for (const name of names) {
    let design: Design;
    try {
      design = designFromFile(name.split('/').at(-1)!, textIn(files, name));
    } catch (error) {
      throw new CoreError('archive/design', { name, problem: errorSentence(error) ?? '' });
    }
    const place = left.findIndex(
      (each) => each.number === design.number && each.name === design.name && each.number !== '',
    );
    const [same] = place === -1 ? [] : left.splice(place, 1);
    for (const [hash, { base64 }] of Object.entries(design.pictures)) {
      await keepPicture(db, { hash, name, bytes: Buffer.from(base64, 'base64'), now });
    }
    const bare = { ...design, pictures: {} };
    await insertDesign(db, { id: same?.id ?? randomUUID(), design: bare, proven: undefined, now: '' });
  }
  return { title: '', date: '' };
}
