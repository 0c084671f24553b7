import { createInterface } from 'node:readline/promises';
import { databaseFile, openDatabase } from '../server/db/open-database.ts';
import { ownIfFree } from '../server/db/own-database.ts';
import { writeSetting } from '../server/db/setting-table.ts';
import { storedPassphrase } from '../server/gate/passphrase.ts';
import { EXIT } from './run.ts';

/** `vetro passphrase`: sets what Vetro asks for when other machines can reach it; read from the terminal or a pipe. */
export async function passphraseCommand(): Promise<number> {
  const stored = await storedPassphrase(await readPassphrase());
  const file = databaseFile();
  const giveBack = ownIfFree(file, 'vetro passphrase', new Date().toISOString());
  const db = await openDatabase(file);
  await writeSetting(db, 'passphrase', stored);
  await db.destroy();
  giveBack();
  process.stdout.write('The passphrase is set. It is asked for from the next start on.\n');
  return EXIT.fine;
}

async function readPassphrase(): Promise<string> {
  if (process.stdin.isTTY) return readHidden();
  const lines = createInterface({ input: process.stdin });
  for await (const line of lines) return line;
  return '';
}

/** Reads a line without showing it. */
function readHidden(): Promise<string> {
  process.stdout.write('Passphrase: ');
  process.stdin.setRawMode(true);
  process.stdin.setEncoding('utf8');
  return new Promise((resolve) => {
    let typed = '';
    const hear = (signs: string) => {
      for (const sign of signs) {
        if (sign === '\u0003') process.exit(130);
        else if (sign === '\r' || sign === '\n') {
          process.stdin.setRawMode(false);
          process.stdin.pause();
          process.stdin.off('data', hear);
          process.stdout.write('\n');
          resolve(typed);
          return;
        } else if (sign === '\u007f' || sign === '\b') typed = [...typed].slice(0, -1).join('');
        else typed += sign;
      }
    };
    process.stdin.on('data', hear);
  });
}
