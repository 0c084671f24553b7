import { spawn } from 'node:child_process';
import { dirname, join } from 'node:path';
import { createInterface } from 'node:readline';
import { isMainThread } from 'node:worker_threads';
import { type Outcome, valueIn } from '../work/outcome.ts';
import type { LibraryOrder } from './library-order.ts';

/** What the process says, a line each. */
type Said = { readonly rows: number } | { readonly outcome: Outcome<true> };

/**
 * Writes a picture with the image library. In a thread of the server it runs in a process of its own, which ends with the
 * thread: a thread that is stopped would otherwise wait for the library, for minutes.
 * @throws CoreError as `writeLibrary`
 */
export async function inOwnProcess(order: LibraryOrder, told: (rows: number) => void): Promise<void> {
  const worker = process.env['VETRO_WORKER'];
  if (isMainThread || worker === undefined) {
    const { writeLibrary } = await import('./write-library.ts');
    return writeLibrary(order, told);
  }
  const maker = join(dirname(worker), 'library-maker.mjs');
  const child = spawn(process.execPath, [maker, JSON.stringify(order)], {
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  const ended = new Promise<number | null>((resolve) => child.on('close', resolve));
  // The input stays open: when it closes, the process ends.
  child.stdin.on('error', () => {});
  let outcome: Outcome<true> | undefined;
  for await (const line of createInterface({ input: child.stdout })) {
    const said = JSON.parse(line) as Said;
    if ('rows' in said) told(said.rows);
    else outcome = said.outcome;
  }
  const code = await ended;
  if (outcome === undefined) throw new Error(`the process that writes pictures ended with ${code}`);
  valueIn(outcome);
}
