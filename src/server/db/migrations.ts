import { type Kysely, type Migration, type MigrationProvider, sql } from 'kysely';
import { readDesignText } from '../../core/design/read-design.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { parseDensity } from '../../core/units/density.ts';
import { nameKey } from './name-key.ts';
import { searchText } from './search-text.ts';

/** Kysely does not wrap SQLite migrations in a transaction of their own, so each body is. */
function atomic(body: Migration['up']): Migration {
  return { up: (db) => db.transaction().execute(body) };
}

const MIGRATIONS: Readonly<Record<string, Migration>> = {
  '001-designs-and-ranges': atomic(async (db) => {
    await db.schema
      .createTable('design')
      .addColumn('id', 'text', (column) => column.primaryKey())
      .addColumn('name', 'text', (column) => column.notNull())
      .addColumn('number', 'text', (column) => column.notNull())
      .addColumn('kind', 'text', (column) => column.notNull())
      .addColumn('document', 'text', (column) => column.notNull())
      .addColumn('version', 'integer', (column) => column.notNull().defaultTo(1))
      .addColumn('verdict', 'text', (column) => column.notNull())
      .addColumn('ends', 'integer', (column) => column.notNull())
      .addColumn('picks', 'integer', (column) => column.notNull())
      .addColumn('search', 'text', (column) => column.notNull())
      .addColumn('created_at', 'text', (column) => column.notNull())
      .addColumn('updated_at', 'text', (column) => column.notNull())
      .addColumn('deleted_at', 'text')
      .execute();
    await db.schema
      .createTable('range')
      .addColumn('id', 'text', (column) => column.primaryKey())
      .addColumn('name', 'text', (column) => column.notNull().unique())
      .addColumn('position', 'integer', (column) => column.notNull())
      .execute();
    await db.schema
      .createTable('range_design')
      .addColumn('range_id', 'text', (column) => column.notNull().references('range.id').onDelete('cascade'))
      .addColumn('design_id', 'text', (column) =>
        column.primaryKey().references('design.id').onDelete('cascade'),
      )
      .addColumn('position', 'integer', (column) => column.notNull())
      .execute();
    await db.schema
      .createTable('setting')
      .addColumn('key', 'text', (column) => column.primaryKey())
      .addColumn('value', 'text', (column) => column.notNull())
      .execute();
  }),
  '002-size-in-words': atomic(async (db: Kysely<Older>) => {
    await db.schema
      .alterTable('design')
      .addColumn('size', 'text', (column) => column.notNull().defaultTo(''))
      .execute();
    await db.schema
      .alterTable('design')
      .addColumn('area', 'real', (column) => column.notNull().defaultTo(0))
      .execute();
    for (const { id, document, ends, picks } of await db
      .selectFrom('design')
      .select(['id', 'document', 'ends', 'picks'])
      .execute()) {
      const size = ends === 0 ? '' : `${ends} × ${picks} ${picks === 1 ? 'thread' : 'threads'}`;
      const area = ends * picks * areaOfThread(document);
      await db.updateTable('design').set({ size, area }).where('id', '=', id).execute();
    }
    await db.schema.alterTable('design').dropColumn('ends').execute();
    await db.schema.alterTable('design').dropColumn('picks').execute();
  }),
  '003-revisions-and-favourites': atomic(async (db: Kysely<Newer>) => {
    await db.schema
      .createTable('design_revision')
      .addColumn('id', 'text', (column) => column.primaryKey())
      .addColumn('design_id', 'text', (column) =>
        column.notNull().references('design.id').onDelete('cascade'),
      )
      .addColumn('version', 'integer', (column) => column.notNull())
      .addColumn('name', 'text', (column) => column.notNull())
      .addColumn('document', 'text', (column) => column.notNull())
      .addColumn('at', 'text', (column) => column.notNull())
      .addColumn('kept_at', 'text', (column) => column.notNull())
      .execute();
    await db.schema
      .createIndex('design_revision_of')
      .on('design_revision')
      .columns(['design_id', 'at'])
      .execute();
    await db.schema
      .alterTable('design')
      .addColumn('favourite', 'integer', (column) => column.notNull().defaultTo(0))
      .execute();
    // Numbers of one's own began with the demo's letters.
    await db.deleteFrom('setting').where('key', '=', 'number-prefix').execute();
    for (const { id, document, size } of await db
      .selectFrom('design')
      .select(['id', 'document', 'size'])
      .execute()) {
      const search = searchIn(document, size);
      if (search !== undefined) await db.updateTable('design').set({ search }).where('id', '=', id).execute();
    }
  }),
  '004-pictures': atomic(async (db) => {
    await db.schema
      .createTable('picture')
      .addColumn('hash', 'text', (column) => column.primaryKey())
      .addColumn('type', 'text', (column) => column.notNull())
      .addColumn('bytes', 'blob', (column) => column.notNull())
      .addColumn('created_at', 'text', (column) => column.notNull())
      .execute();
  }),
  '005-jobs': atomic(async (db) => {
    const text = [
      'id',
      'design_id',
      'design_name',
      'document',
      'file',
      'query',
      'name',
      'key',
      'state',
      'made_at',
    ];
    const numbers = ['made', 'of', 'bytes', 'tries'];
    let table = db.schema.createTable('job');
    for (const name of text) {
      table = table.addColumn(name, 'text', (column) =>
        name === 'id' ? column.primaryKey() : column.notNull(),
      );
    }
    for (const name of numbers) {
      table = table.addColumn(name, 'integer', (column) => column.notNull().defaultTo(0));
    }
    await table
      .addColumn('problem', 'text', (column) => column.notNull().defaultTo(''))
      .addColumn('began_at', 'text')
      .addColumn('ended_at', 'text')
      .execute();
    await db.schema.createIndex('job_made_at').on('job').columns(['made_at', 'id']).execute();
    await db.schema.createIndex('job_key').on('job').column('key').execute();
  }),
  '006-print-orders-and-collections': atomic(async (db) => {
    for (const [name, usual] of [
      ['lane', 'here'],
      ['stands', ''],
      ['others', '[]'],
    ] as const) {
      await db.schema
        .alterTable('job')
        .addColumn(name, 'text', (column) => column.notNull().defaultTo(usual))
        .execute();
    }
  }),
  '007-shelf-of-any-size': atomic(async (db: Kysely<Ranged>) => {
    const alter = () => db.schema.alterTable('design');
    await alter()
      .addColumn('range_id', 'text', (column) => column.references('range.id'))
      .execute();
    await alter()
      .addColumn('position', 'integer', (column) => column.notNull().defaultTo(0))
      .execute();
    await alter()
      .addColumn('name_key', 'text', (column) => column.notNull().defaultTo(''))
      .execute();
    for (const { range_id, design_id, position } of await db
      .selectFrom('range_design')
      .selectAll()
      .execute()) {
      await db.updateTable('design').set({ range_id, position }).where('id', '=', design_id).execute();
    }
    await db.schema.dropTable('range_design').execute();
    for (const { id, name } of await db.selectFrom('design').select(['id', 'name']).execute()) {
      await db
        .updateTable('design')
        .set({ name_key: nameKey(name) })
        .where('id', '=', id)
        .execute();
    }
    // Each view of the shelf is counted, and put in order, along an index that holds all that it asks for.
    const indexes = {
      design_kinds: ['deleted_at', 'verdict', 'kind'],
      design_found: ['deleted_at', 'range_id', 'kind', 'favourite', 'search', 'id'],
      design_in_range: ['deleted_at', 'range_id', 'position', 'created_at', 'id'],
      design_by_name: ['deleted_at', 'name_key', 'id', 'kind', 'favourite'],
      design_newest: ['deleted_at', 'updated_at', 'id', 'kind', 'favourite'],
      design_by_area: ['deleted_at', 'area', 'id', 'kind', 'favourite'],
      design_number: ['number'],
    };
    for (const [name, columns] of Object.entries(indexes)) {
      await sql`create index ${sql.ref(name)} on design (${sql.join(columns.map((each) => sql.ref(each)))})`.execute(
        db,
      );
    }
  }),
  '008-whole-files': atomic(async (db) => {
    await db.schema
      .alterTable('job')
      .addColumn('digest', 'text', (column) => column.notNull().defaultTo(''))
      .execute();
  }),
  '009-running-time': atomic(async (db) => {
    await db.schema
      .alterTable('job')
      .addColumn('ended_running', 'integer', (column) => column.notNull().defaultTo(0))
      .execute();
    await db.schema.alterTable('picture').addColumn('unused_running', 'integer').execute();
  }),
};

/** What the seventh migration reads and writes. */
interface Ranged {
  design: {
    id: string;
    name: string;
    name_key: string;
    range_id: string | null;
    position: number;
  };
  range_design: { range_id: string; design_id: string; position: number };
}

/** What the third migration reads and writes. */
interface Newer {
  design: { id: string; document: string; size: string; search: string; favourite: number };
  setting: { key: string };
}

/** What the shelf finds a design by, now that it finds weaves and polygons; undefined where it cannot be read. */
function searchIn(document: string, size: string): string | undefined {
  try {
    return searchText(readDesignText(document), size);
  } catch {
    return undefined;
  }
}

/** The columns that the second migration reads and writes. */
interface Older {
  design: { id: string; document: string; ends: number; picks: number; size: string; area: number };
}

/** Square millimetres of one crossing, from a document of version 2 to 4; 1 where it cannot be told. */
function areaOfThread(document: string): number {
  try {
    const { ends, picks, per } = JSON.parse(document).lay;
    const unit = per === 'in' ? 25.4 : 10;
    return (unit / toNumber(parseDensity(ends))) * (unit / toNumber(parseDensity(picks)));
  } catch {
    return 1;
  }
}

export const migrationProvider: MigrationProvider = {
  getMigrations: () => Promise.resolve({ ...MIGRATIONS }),
};
