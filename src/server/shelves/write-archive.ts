import { closeSync, openSync, rmSync, writeSync } from 'node:fs';
import BetterSqlite3 from 'better-sqlite3';
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { Kysely, SqliteDialect } from 'kysely';
import { picturesNamed } from '../../core/design/pictures-named.ts';
import { readDesignText, writeDesignText } from '../../core/design/read-design.ts';
import { CoreError } from '../../core/error.ts';
import { distinctNames, fileNameOf } from '../../core/formats/file-name.ts';
import { listRanges } from '../db/range-table.ts';
import type { Database } from '../db/schema.ts';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, CONTENTS, type Contents, isMoved } from './archive-format.ts';

export interface ArchiveOrder {
  /** The database, which may be in use. */
  readonly file: string;
  /** Where the archive goes. */
  readonly path: string;
  /** ISO 8601. */
  readonly now: string;
  /** With what lies in the bin. */
  readonly bin: boolean;
  /** One range alone, by its name; undefined for the whole shelf. */
  readonly range: string | undefined;
}

/** The zip's own times: the same for all files, so that two archives of one shelf differ in nothing but their date. */
const NO_TIME = new Date(1980, 0, 1);

/**
 * Writes a shelf as an archive of JSON documents and pictures; two of the same shelf are the same but for their date.
 * @returns how many designs are in it
 * @throws CoreError "range/missing"
 */
export async function writeArchive({ file, path, now, bin, range }: ArchiveOrder): Promise<number> {
  const sqlite = new BetterSqlite3(file, { readonly: true, fileMustExist: true, timeout: 5000 });
  const db = new Kysely<Database>({ dialect: new SqliteDialect({ database: sqlite }) });
  try {
    // All of it is of one moment.
    sqlite.exec('begin');
    const contents = await contentsOf(db, { now, bin, range });
    await writeZip(path, contents, db);
    return contents.designs.length;
  } catch (error) {
    rmSync(path, { force: true });
    throw error;
  } finally {
    await db.destroy();
  }
}

async function contentsOf(
  db: Kysely<Database>,
  { now, bin, range }: Pick<ArchiveOrder, 'now' | 'bin' | 'range'>,
): Promise<Contents> {
  const ranges = await listRanges(db);
  const names = new Map(ranges.map(({ id, name }) => [id, name]));
  if (range !== undefined && ranges.every(({ name }) => name !== range)) {
    throw new CoreError('range/missing', { id: range.slice(0, 60) });
  }
  const rows = (await db.selectFrom('design').selectAll().orderBy('id').execute())
    .filter(({ deleted_at }) => bin || deleted_at === null)
    .filter(({ range_id }) => range === undefined || names.get(range_id ?? '') === range);
  const files = distinctNames(
    rows.map(({ name, number }) => fileNameOf({ name, number, file: 'design.json' })),
  );
  const shown = new Set<string>();
  const designs: Contents['designs'] = [];
  for (const [place, row] of rows.entries()) {
    for (const hash of picturesNamed(row.document)) shown.add(hash);
    const states = await db
      .selectFrom('design_revision')
      .selectAll()
      .where('design_id', '=', row.id)
      .orderBy('version')
      .orderBy('id')
      .execute();
    for (const { document } of states) for (const hash of picturesNamed(document)) shown.add(hash);
    designs.push({
      id: row.id,
      file: `designs/${files[place]}`,
      version: row.version,
      createdAt: row.created_at,
      updatedAt: row.updated_at,
      range: names.get(row.range_id ?? '') ?? null,
      position: row.position,
      favourite: row.favourite === 1,
      deletedAt: row.deleted_at,
      states: states.map(({ id, name, version, at, kept_at }) => ({
        id,
        name,
        version,
        at,
        keptAt: kept_at,
        file: `states/${row.id}/${id}.json`,
      })),
    });
  }
  const pictures = await db.selectFrom('picture').select(['hash', 'type']).orderBy('hash').execute();
  const settings = await db.selectFrom('setting').selectAll().orderBy('key').execute();
  return {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    date: now,
    title: settings.find(({ key }) => key === 'shelf-title')?.value ?? '',
    ranges: ranges.map(({ name }) => name).filter((name) => range === undefined || name === range),
    designs,
    pictures: pictures
      .filter(({ hash }) => shown.has(hash))
      .map(({ hash, type }) => ({ hash, type, file: `pictures/${hash}.${type.slice('image/'.length)}` })),
    settings: Object.fromEntries(
      settings.filter(({ key }) => range === undefined && isMoved(key)).map(({ key, value }) => [key, value]),
    ),
  };
}

async function writeZip(path: string, contents: Contents, db: Kysely<Database>): Promise<void> {
  const opened = openSync(path, 'w');
  try {
    const zip = new Zip((error, bytes) => {
      if (error !== null) throw error;
      writeSync(opened, bytes);
    });
    const add = (entry: ZipPassThrough | ZipDeflate, bytes: Uint8Array) => {
      entry.mtime = NO_TIME;
      zip.add(entry);
      entry.push(bytes, true);
    };
    add(new ZipPassThrough(CONTENTS), Buffer.from(`${JSON.stringify(contents, null, 2)}\n`));
    for (const { id, file, states } of contents.designs) {
      const { document } = await db
        .selectFrom('design')
        .select('document')
        .where('id', '=', id)
        .executeTakeFirstOrThrow();
      add(new ZipDeflate(file), Buffer.from(openText(document)));
      for (const state of states) {
        const { document: earlier } = await db
          .selectFrom('design_revision')
          .select('document')
          .where('id', '=', state.id)
          .executeTakeFirstOrThrow();
        add(new ZipDeflate(state.file), Buffer.from(openText(earlier)));
      }
    }
    for (const { hash, file } of contents.pictures) {
      const { bytes } = await db
        .selectFrom('picture')
        .select('bytes')
        .where('hash', '=', hash)
        .executeTakeFirstOrThrow();
      add(new ZipPassThrough(file), bytes);
    }
    zip.end();
  } finally {
    closeSync(opened);
  }
}

/** A document as people read it; one that this Vetro cannot read goes as it is. */
function openText(document: string): string {
  try {
    return writeDesignText(readDesignText(document));
  } catch {
    return document;
  }
}
