import { createHash, randomUUID } from 'node:crypto';
import { dirname, join, resolve } from 'node:path';
import { type Kysely, sql } from 'kysely';
import type { BackupsState } from '../../contracts/backups.ts';
import { CoreError } from '../../core/error.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import type { Database } from '../db/schema.ts';
import { dropSetting, readSetting, shelfId, writeSetting } from '../db/setting-table.ts';
import { type Backup, listBackups } from './backup-files.ts';
import type { MadeBackup, SecondPlace, WholeBackupOrder } from './backup-task.ts';
import { folderIn, type SecondOrder } from './second-place.ts';

/** Milliseconds between two backups of a shelf that is worked on. */
const EVERY = 3_600_000;

/** Where backups lie: VETRO_BACKUPS, or a folder beside the database. */
export function backupsFolder(file: string): string {
  return resolve(process.env['VETRO_BACKUPS'] ?? join(dirname(file), 'backups'));
}

interface Means {
  readonly db: Kysely<Database>;
  /** The database's file. */
  readonly file: string;
  readonly folder: string;
  readonly backUp: (order: WholeBackupOrder) => Promise<MadeBackup>;
  /** @throws CoreError "backup/place" */
  readonly checkSecond: (order: SecondOrder) => Promise<void>;
  /** ISO 8601. */
  readonly now: () => string;
}

/** Sees to it that a shelf is backed up. */
export interface BackupKeeper {
  /** Makes one now; who asks while one is made gets the next. @throws CoreError "backup/failed" */
  readonly make: () => Promise<Backup>;
  /** Makes one if anything changed since the last. */
  readonly makeIfChanged: () => Promise<void>;
  readonly state: () => Promise<BackupsState>;
  /** Names a second place, and copies a backup there at once; an empty one is none. @throws CoreError "backup/place" | "backup/failed" */
  readonly setSecond: (folder: string) => Promise<void>;
  /** Where backups lie, the first place first. */
  readonly folders: () => Promise<readonly string[]>;
}

export function keepBackups({ db, file, folder, backUp, checkSecond, now }: Means): BackupKeeper {
  /** What went wrong with the last one; undefined when it went well. */
  const trouble: { first: string | undefined; second: string | undefined } = {
    first: undefined,
    second: undefined,
  };
  /** The second place as the last backup found it. */
  let found: SecondPlace | undefined;
  let contentsThen: string | undefined;
  let last: Promise<unknown> = Promise.resolve();

  const second = () => readSetting(db, 'backups-second');
  const makeNow = async (): Promise<Backup> => {
    await shelfId(db, randomUUID);
    const contents = await contentsOf(db);
    try {
      const order = { file, folder, at: now(), second: await second() };
      const made = await backUp(order);
      trouble.first = undefined;
      found = made.second;
      trouble.second = undefined;
      if (found !== undefined && found.reason !== '') {
        const facts = { folder: folderIn(order.second!), reason: found.reason };
        trouble.second = errorSentence(new CoreError('backup/failed', facts));
      }
      contentsThen = contents;
      return made.backup;
    } catch (error) {
      trouble.first = errorSentence(error) ?? String(error);
      throw error;
    }
  };
  const make = (): Promise<Backup> => {
    const next = last.then(makeNow);
    last = next.catch(() => undefined);
    return next;
  };
  return {
    make,
    makeIfChanged: async () => {
      // One that failed is tried again, whether anything changed or not.
      const due = trouble.first !== undefined || trouble.second !== undefined;
      if (due || (await contentsOf(db)) !== contentsThen) await make();
    },
    setSecond: async (wished) => {
      if (wished === '') {
        await dropSetting(db, 'backups-second');
        found = undefined;
        trouble.second = undefined;
        return;
      }
      await checkSecond({ second: wished, first: folder });
      await writeSetting(db, 'backups-second', wished);
      await make();
    },
    folders: async () => {
      const further = await second();
      return further === undefined ? [folder] : [folder, folderIn(further)];
    },
    state: async () => {
      const further = await second();
      const here = listBackups(folder);
      return {
        folder,
        second: further ?? '',
        sameDisk: found?.sameDisk ?? false,
        trouble: [trouble.first, trouble.second].filter((each) => each !== undefined),
        backups: listedOf(here, found?.backups ?? []),
      };
    },
  };
}

/** What a shelf holds, so that two of it can be compared: what only says that time goes on is no part of it. */
async function contentsOf(db: Kysely<Database>): Promise<string> {
  const hash = createHash('sha256');
  const add = (rows: unknown) => hash.update(JSON.stringify(rows));
  const place = ['range_id', 'position', 'favourite', 'deleted_at'] as const;
  add(
    await db
      .selectFrom('design')
      .select(['id', 'version', ...place])
      .orderBy('id')
      .execute(),
  );
  add(await db.selectFrom('range').selectAll().orderBy('id').execute());
  add(await db.selectFrom('picture').select('hash').orderBy('hash').execute());
  add(await db.selectFrom('setting').selectAll().where('key', '!=', 'running-time').orderBy('key').execute());
  const { rows } = await sql`select count(*) as states, max(kept_at) as last, total(length(name)) as names
    from design_revision`.execute(db);
  add(rows);
  return hash.digest('hex');
}

function listedOf(here: readonly Backup[], there: readonly Backup[]): BackupsState['backups'] {
  const inSecond = new Set(there.map(({ name }) => name));
  const onlyThere = there.filter(({ name }) => here.every((each) => each.name !== name));
  return [...here, ...onlyThere]
    .sort((one, other) => (one.name < other.name ? 1 : -1))
    .map(({ name, at, bytes, designs, binned, ranges, states, pictures }) => ({
      name,
      at,
      bytes,
      pictureBytes: pictures.reduce((sum, picture) => sum + picture.bytes, 0),
      designs,
      binned,
      ranges,
      states,
      places: (onlyThere.some((each) => each.name === name) ? 0 : 1) + (inSecond.has(name) ? 1 : 0),
    }));
}

/** Makes one at the start and every hour in which something changed, for as long as the server goes on. */
export function backUpHourly(keeper: BackupKeeper): void {
  const quietly = () =>
    keeper.makeIfChanged().catch((error: unknown) => console.error(errorSentence(error) ?? error));
  void quietly();
  setInterval(quietly, EVERY).unref();
}
