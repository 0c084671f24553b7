import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { zipSync } from 'fflate';
import type { Kysely } from 'kysely';
import type { OpenedShelf, OtherDesign, TakeRequest } from '../contracts/backups.ts';
import { type TakingRule, takingBy, wishOf } from '../contracts/taking-rule.ts';
import { CoreError } from '../core/error.ts';
import { listBackups } from '../server/backups/backup-files.ts';
import { backUp } from '../server/backups/backup-task.ts';
import { backupsFolder, keepBackups } from '../server/backups/keep-backups.ts';
import { openBackup } from '../server/backups/open-backup.ts';
import { checkSecond } from '../server/backups/second-place.ts';
import { setForeignJournalAside } from '../server/db/journal.ts';
import { databaseFile, openDatabase } from '../server/db/open-database.ts';
import { ownDatabase, ownIfFree } from '../server/db/own-database.ts';
import type { Database } from '../server/db/schema.ts';
import { compareShelves } from '../server/shelves/compare-shelves.ts';
import { readArchive } from '../server/shelves/read-archive.ts';
import { takeDesigns } from '../server/shelves/take-designs.ts';
import { writeArchive } from '../server/shelves/write-archive.ts';
import { bytesText } from '../wording/job-words.ts';
import { clockText } from '../wording/measures.ts';
import { STANDING_WORDS, takenWords } from '../wording/shelf-words.ts';
import { EXIT } from './run.ts';

const now = () => new Date().toISOString();
const keeperOf = (db: Kysely<Database>) => {
  const file = databaseFile();
  return keepBackups({ db, file, folder: backupsFolder(file), backUp, checkSecond, now });
};
const say = (line: string) => process.stdout.write(`${line}\n`);

/** `vetro backup`: makes one now, beside a server too. */
export async function backupCommand(): Promise<number> {
  const file = databaseFile();
  const giveBack = ownIfFree(file, 'vetro backup', now());
  try {
    const db = await openDatabase(file);
    try {
      const keeper = keeperOf(db);
      const { name, designs, states, bytes } = await keeper.make();
      say(
        `${name}: ${designs} designs, ${states} earlier states, ${bytesText(bytes)}, in ${backupsFolder(file)}`,
      );
      const { trouble } = await keeper.state();
      for (const sentence of trouble) process.stderr.write(`vetro: ${sentence}\n`);
      return trouble.length === 0 ? EXIT.fine : EXIT.open;
    } finally {
      await db.destroy();
    }
  } finally {
    giveBack();
  }
}

interface RestoreOptions {
  readonly design: readonly string[];
  readonly range?: string;
  readonly all?: boolean;
  readonly beside?: boolean;
}

/** `vetro restore`: lists backups, or what one holds that is missing or different now, or brings it back. */
export async function restoreCommand(backup: string | undefined, options: RestoreOptions): Promise<number> {
  if (backup === undefined) {
    for (const each of listBackups(backupsFolder(databaseFile()))) {
      say(`${each.name}  ${clockText(each.at)}  ${each.designs} designs  ${bytesText(each.bytes)}`);
    }
    return EXIT.fine;
  }
  return besideOwn(async (here, folder) => {
    const keeper = keeperOf(here);
    const folders = await keeper.folders();
    const name = backup === 'last' ? (listBackups(folders[0]!)[0]?.name ?? backup) : backup;
    await openBackup({ folders, name, file: join(folder, 'shelf.db') });
    const wish = ({ designs }: Compared): Wish | undefined => {
      if (options.all === true) return { choices: {}, whole: true };
      const { design: wanted, range } = options;
      if (wanted.length === 0 && range === undefined) return undefined;
      const named = ({ id, name: title, number }: OtherDesign) =>
        wanted.some((each) => [id, title, number].includes(each));
      const chosen = designs.filter((each) => named(each) || each.range === range);
      const lacking = wanted.find(
        (each) => !designs.some(({ id, name: title, number }) => [id, title, number].includes(each)),
      );
      if (lacking !== undefined) throw new CoreError('design/missing', { id: lacking });
      const how = options.beside === true ? 'beside' : 'replace';
      return { choices: Object.fromEntries(chosen.map(({ id }) => [id, how])), whole: false };
    };
    return takeOrList({
      here,
      file: join(folder, 'shelf.db'),
      kind: 'backup',
      wish,
    });
  });
}

/** `vetro shelf export`: the shelf as an archive, beside a server too. */
export async function exportShelfCommand(
  path: string,
  { bin = false, range }: { readonly bin?: boolean; readonly range?: string },
): Promise<number> {
  const file = databaseFile();
  const giveBack = ownIfFree(file, 'vetro shelf export', now());
  try {
    const order = { file, path, now: now(), bin, range };
    const designs = await writeArchive(order).catch((error: unknown) => {
      if (error instanceof CoreError) throw error;
      throw new CoreError('file/unwritable', { name: path });
    });
    say(`${designs} designs in ${path}`);
    return EXIT.fine;
  } finally {
    giveBack();
  }
}

interface ImportOptions {
  readonly rule: TakingRule;
  readonly range?: string;
  readonly preview?: boolean;
}

/** `vetro shelf import`: an archive, or a folder of design documents. */
export function importShelfCommand(
  path: string,
  { rule, range, preview = false }: ImportOptions,
): Promise<number> {
  return besideOwn(async (here, folder) => {
    const archive = join(folder, 'brought.zip');
    writeFileSync(archive, archiveAt(path));
    const file = join(folder, 'shelf.db');
    const known = await here
      .selectFrom('design')
      .select(['id', 'name', 'number'])
      .where('deleted_at', 'is', null)
      .execute();
    await readArchive({ path: archive, file, now: now(), known });
    const wish = (compared: Compared): Wish | undefined => {
      if (preview) return undefined;
      const isMeant = (each: OtherDesign) => range === undefined || each.range === range;
      return wishOf(compared, (each) => (isMeant(each) ? takingBy(rule, each) : 'skip'));
    };
    return takeOrList({ here, file, kind: 'archive', wish });
  });
}

/** An archive as it is, or the documents of a folder as one. */
function archiveAt(path: string): Uint8Array {
  try {
    if (!statSync(path).isDirectory()) return readFileSync(path);
    const names = readdirSync(path, { recursive: true, encoding: 'utf8' }).filter((name) =>
      name.endsWith('.json'),
    );
    return zipSync(
      Object.fromEntries(
        names.map((name) => [name.replaceAll('\\', '/'), new Uint8Array(readFileSync(join(path, name)))]),
      ),
    );
  } catch {
    throw new CoreError('file/missing', { name: path });
  }
}

type Compared = Pick<OpenedShelf, 'designs' | 'onlyHere'>;
type Wish = Pick<TakeRequest, 'choices' | 'whole'>;

interface Take {
  readonly here: Kysely<Database>;
  /** The other shelf. */
  readonly file: string;
  readonly kind: OpenedShelf['kind'];
  /** What is taken of it; undefined lists it. */
  readonly wish: (compared: Compared) => Wish | undefined;
}

async function takeOrList({ here, file, kind, wish }: Take): Promise<number> {
  const there = await openDatabase(file);
  try {
    const compared = await compareShelves({ here, there, isEarlier: kind === 'backup' });
    const taken = wish(compared);
    if (taken === undefined) {
      for (const { number, name, range, standing } of compared.designs) {
        say([number, name, range, STANDING_WORDS[kind][standing]].join('\t'));
      }
      return EXIT.fine;
    }
    // What is replaced is backed up first.
    await keeperOf(here).make();
    const { signal } = new AbortController();
    say(takenWords(await takeDesigns({ ...taken, here, there, now: now(), told: () => {}, signal })));
    return EXIT.fine;
  } finally {
    await there.destroy();
  }
}

/** Does some work on the database, which no server may have meanwhile, with a folder that is gone afterwards. */
async function besideOwn(work: (here: Kysely<Database>, folder: string) => Promise<number>): Promise<number> {
  const file = databaseFile();
  const giveBack = ownDatabase(file, { what: 'a vetro command', since: now() });
  const folder = mkdtempSync(join(tmpdir(), 'vetro-other-'));
  try {
    setForeignJournalAside(file);
    const here = await openDatabase(file);
    try {
      return await work(here, folder);
    } finally {
      await here.destroy();
    }
  } finally {
    rmSync(folder, { recursive: true, force: true });
    giveBack();
  }
}
