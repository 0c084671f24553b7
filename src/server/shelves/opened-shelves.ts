import { randomUUID } from 'node:crypto';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Kysely } from 'kysely';
import type { OpenedShelf, Taken, TakeRequest } from '../../contracts/backups.ts';
import { CoreError } from '../../core/error.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import type { BackupKeeper } from '../backups/keep-backups.ts';
import { openDatabase } from '../db/open-database.ts';
import type { Database } from '../db/schema.ts';
import { whenEnding } from '../ending.ts';
import { ownFolder } from '../own-folder.ts';
import { compareShelves } from './compare-shelves.ts';
import { takeDesigns } from './take-designs.ts';

/** Most shelves that are open beside this one; the one that was opened first is closed for another. */
const MOST_OPEN = 3;

/** What is known of a shelf when it is opened. */
interface Opening {
  readonly kind: OpenedShelf['kind'];
  readonly title: string;
  /** Makes its database at a path. @returns when it was made, and what it is called if it says so */
  readonly fill: (file: string) => Promise<{ readonly at: string; readonly title?: string }>;
}

interface Open {
  readonly folder: string;
  readonly there: Kysely<Database>;
  readonly about: Pick<OpenedShelf, 'id' | 'kind' | 'title' | 'at'>;
  taken: Taken;
  stop: AbortController | undefined;
}

const READY: Taken = { state: 'ready', made: 0, of: 0, added: 0, replaced: 0, binned: 0, problem: '' };

const STOPPED = new Error('stopped');

/** Other shelves that are looked at and taken from: backups and archives, each a database in a folder of this process. */
export interface OpenedShelves {
  readonly open: (opening: Opening) => Promise<OpenedShelf>;
  /** As it stands to this shelf now. @throws CoreError "opened/missing" */
  readonly look: (id: string) => Promise<OpenedShelf>;
  readonly database: (id: string) => Kysely<Database>;
  readonly taken: (id: string) => Taken;
  /** Begins to take designs; what is replaced is backed up first. @throws CoreError "opened/missing" | "opened/taking" */
  readonly take: (id: string, wish: TakeRequest, now: string) => void;
  readonly stop: (id: string) => void;
  readonly close: (id: string) => Promise<void>;
}

export function openShelves(
  here: Kysely<Database>,
  keeper: Pick<BackupKeeper, 'make'>,
  /** Goes on with the checks of what was taken. */
  prove: () => Promise<void>,
): OpenedShelves {
  const opened = new Map<string, Open>();
  const find = (id: string): Open => {
    const known = opened.get(id);
    if (known === undefined) throw new CoreError('opened/missing');
    return known;
  };
  const look = async ({ about, there }: Open): Promise<OpenedShelf> => ({
    ...about,
    ...(await compareShelves({ here, there, isEarlier: about.kind === 'backup' })),
  });
  const close = async (id: string) => {
    const known = opened.get(id);
    if (known === undefined) return;
    if (known.taken.state === 'taking') throw new CoreError('opened/taking');
    opened.delete(id);
    await known.there.destroy();
    await rm(known.folder, { recursive: true, force: true });
  };
  whenEnding(async () => {
    for (const [id, { stop }] of opened) {
      stop?.abort(STOPPED);
      await close(id).catch(() => undefined);
    }
  });
  const run = async (open: Open, wish: TakeRequest, now: string, { signal }: AbortController) => {
    try {
      const replaces = wish.whole || Object.values(wish.choices).includes('replace');
      if (replaces) await keeper.make();
      const told = (made: number, of: number) => {
        open.taken = { ...open.taken, made, of };
      };
      const counts = await takeDesigns({ ...wish, here, there: open.there, now, told, signal });
      open.taken = { ...open.taken, ...counts, state: 'taken' };
      prove().catch(console.error);
    } catch (error) {
      if (signal.aborted) open.taken = { ...READY, state: 'stopped' };
      else {
        const problem = errorSentence(error);
        if (problem === undefined) console.error(error);
        open.taken = {
          ...READY,
          state: 'failed',
          problem: problem ?? 'Something went wrong in Vetro itself.',
        };
      }
    } finally {
      open.stop = undefined;
    }
  };
  return {
    open: async ({ kind, title, fill }) => {
      const resting = [...opened].filter(([, { taken }]) => taken.state !== 'taking').map(([id]) => id);
      if (opened.size >= MOST_OPEN && resting.length > 0) await close(resting[0]!);
      const folder = await ownFolder();
      try {
        const file = join(folder, 'shelf.db');
        const filled = await fill(file);
        const about = { id: randomUUID(), kind, title: filled.title || title, at: filled.at };
        const open: Open = { folder, there: await openDatabase(file), about, taken: READY, stop: undefined };
        opened.set(about.id, open);
        return await look(open);
      } catch (error) {
        await rm(folder, { recursive: true, force: true });
        throw error;
      }
    },
    look: async (id) => look(find(id)),
    database: (id) => find(id).there,
    taken: (id) => find(id).taken,
    take: (id, wish, now) => {
      const open = find(id);
      if (open.taken.state === 'taking') throw new CoreError('opened/taking');
      const stop = new AbortController();
      open.stop = stop;
      open.taken = { ...READY, state: 'taking' };
      void run(open, wish, now, stop);
    },
    stop: (id) => find(id).stop?.abort(STOPPED),
    close,
  };
}
