import { errorSentence } from '../wording/error-sentence.ts';
import { databaseFile, openDatabase } from './db/open-database.ts';
import { hangDemo } from './demo/hang-demo.ts';

/**
 * Before the server starts: opens the database, brings it up to date, hangs the demo when asked to.
 * @returns a sentence for the terminal, or undefined when the database cannot be used (said on stderr)
 */
export async function prepare(demo: boolean): Promise<string | undefined> {
  try {
    const db = await openDatabase(databaseFile());
    const hung = demo ? await hangDemo(db, new Date().toISOString()) : 0;
    await db.destroy();
    return hung > 0 ? `Hung ${hung} demo designs.` : 'The shelf is as you left it.';
  } catch (error) {
    const sentence = errorSentence(error);
    if (sentence === undefined) throw error;
    process.stderr.write(`vetro: ${sentence}\n`);
    return undefined;
  }
}
