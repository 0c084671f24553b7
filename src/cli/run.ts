import { readFileSync, statSync, writeFileSync } from 'node:fs';
import type { Design } from '../core/design/design-schema.ts';
import { designFromFile, MAX_FILE } from '../core/design/exchange/read-file.ts';
import { CoreError } from '../core/error.ts';
import { decodeText } from '../kit/decode-text.ts';
import { errorSentence } from '../wording/error-sentence.ts';

/** Exit codes, as the README states them. */
export const EXIT = { fine: 0, open: 1, badInput: 2 } as const;

/** Runs a command and tells what went wrong in one line; our own faults keep their trace. */
export async function run(work: () => number | Promise<number>): Promise<void> {
  try {
    process.exitCode = await work();
  } catch (error) {
    const sentence = errorSentence(error);
    if (sentence === undefined) throw error;
    process.stderr.write(`vetro: ${sentence}\n`);
    process.exitCode = EXIT.badInput;
  }
}

/** @throws CoreError "file/missing" | "file/too-large", or of the reader */
export function readDesignFile(path: string): Design {
  return designFromFile(path, readText(path));
}

export function readText(path: string): string {
  let size: number;
  try {
    size = statSync(path).size;
  } catch {
    throw new CoreError('file/missing', { name: path });
  }
  if (size > MAX_FILE) throw new CoreError('file/too-large', { size, most: MAX_FILE });
  return decodeText(readFileSync(path));
}

/** Says something beside the result, on the error output; nothing where there is nothing to say. */
export function tell(sentence: string): void {
  if (sentence !== '') process.stderr.write(`vetro: ${sentence}\n`);
}

/** Writes text to a file, or to standard output when no file is named. */
export function writeText(path: string | undefined, text: string): void {
  if (path === undefined) {
    process.stdout.write(text);
    return;
  }
  try {
    writeFileSync(path, text);
  } catch {
    throw new CoreError('file/unwritable', { name: path });
  }
}
