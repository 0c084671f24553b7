import { existsSync } from 'node:fs';
import { CoreError } from '../core/error.ts';
import { errorSentence } from '../wording/error-sentence.ts';
import { fillPictures } from './backups/fill-pictures.ts';
import { backupsFolder } from './backups/keep-backups.ts';
import { setForeignJournalAside } from './db/journal.ts';
import { databaseFile, openDatabase } from './db/open-database.ts';
import { ownDatabase } from './db/own-database.ts';
import { dropUnusedPictures } from './db/picture-table.ts';
import { readRunningTime } from './db/running-time.ts';
import { readSetting } from './db/setting-table.ts';
import { hangDemo } from './demo/hang-demo.ts';
import { endInOrder, whenEnding } from './ending.ts';
import { isLoopback } from './gate/hosts.ts';
import { clearFoldersOfTheGone } from './own-folder.ts';

export { endInOrder } from './ending.ts';
export { answerBroken } from './gate/broken-request.ts';
export { continueWhenRead } from './gate/continue-when-read.ts';
export { makeGate, OWN } from './gate/gate.ts';

/** What is known before the server starts. */
export interface Prepared {
  /** A sentence for the terminal. */
  readonly words: string;
  /** The stored passphrase; undefined where only this machine can reach Vetro. */
  readonly passphrase: string | undefined;
}

/**
 * Before the server starts: opens the database, brings it up to date, hangs the demo when asked to.
 * @returns undefined when Vetro cannot start (said on stderr)
 */
export async function prepare({
  demo,
  host,
}: {
  readonly demo: boolean;
  readonly host: string;
}): Promise<Prepared | undefined> {
  try {
    const file = databaseFile();
    const now = new Date().toISOString();
    const isNew = !existsSync(file);
    // Held as long as this process goes on; whoever comes second has written nothing.
    whenEnding(ownDatabase(file, { what: 'a server', since: now }));
    const setAside = setForeignJournalAside(file);
    const db = await openDatabase(file);
    const passphrase = isLoopback(host) ? undefined : await readSetting(db, 'passphrase');
    if (passphrase === undefined && !isLoopback(host)) {
      await db.destroy();
      throw new CoreError('passphrase/missing', { host });
    }
    // A backup that was put in the place of the database has its pictures beside the others.
    await fillPictures(db, [backupsFolder(file)]);
    await clearFoldersOfTheGone();
    await dropUnusedPictures(db, await readRunningTime(db));
    const hung = demo ? await hangDemo(db, now) : 0;
    await db.destroy();
    return { words: wordsOf({ hung, isNew, file, setAside }), passphrase };
  } catch (error) {
    await endInOrder();
    const sentence = errorSentence(error);
    if (sentence === undefined) throw error;
    process.stderr.write(`vetro: ${sentence}\n`);
    return undefined;
  }
}

interface Found {
  readonly hung: number;
  readonly isNew: boolean;
  readonly file: string;
  readonly setAside: string | undefined;
}

function wordsOf({ hung, isNew, file, setAside }: Found): string {
  if (hung > 0) return `Hung ${hung} demo designs.`;
  if (setAside !== undefined) {
    return `The shelf is that of the copy which was put in the place of ${file}. What the journal of the earlier one held is set aside in ${setAside}.`;
  }
  return isNew ? `A new shelf, kept in ${file}.` : 'The shelf is as you left it.';
}
