import { writeFileSync } from 'node:fs';
import { CoreError } from '../core/error.ts';

/** Exit codes, as the README states them. */
export const EXIT = { fine: 0, open: 1, badInput: 2 } as const;

/** Runs a command and tells what went wrong in one line; our own faults keep their trace. */
export async function run(work: () => number | Promise<number>): Promise<void> {
  try {
    process.exitCode = await work();
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    const { errorSentence } = await import('../wording/error-sentence.ts');
    const sentence = errorSentence(error);
    if (sentence === undefined) throw error;
    process.stderr.write(`vetro: ${sentence}\n`);
    process.exitCode = EXIT.badInput;
  }
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
