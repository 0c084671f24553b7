import type { Migration, MigrationProvider } from 'kysely';

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
};

export const migrationProvider: MigrationProvider = {
  getMigrations: () => Promise.resolve({ ...MIGRATIONS }),
};
