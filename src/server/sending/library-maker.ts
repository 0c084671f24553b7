import { rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { outcomeOf } from '../work/outcome.ts';
import type { LibraryOrder } from './library-order.ts';
import { writeLibrary } from './write-library.ts';

/**
 * A process that writes one picture with the image library, whose work cannot be stopped from within. Its order is its
 * argument; when its input ends before it has done, it ends too. It says rows and its outcome, a line each.
 */
const order = JSON.parse(process.argv[2]!) as LibraryOrder;

process.stdin.resume();
// Whoever asked for it has gone, and so has whoever would clear up.
process.stdin.on('end', () => {
  rmSync(dirname(order.path), { recursive: true, force: true });
  process.kill(process.pid, 'SIGKILL');
});

const outcome = await outcomeOf(async () => {
  await writeLibrary(order, (rows) => say({ rows }));
  return true;
});
say({ outcome });
process.stdin.destroy();

function say(said: object): void {
  process.stdout.write(`${JSON.stringify(said)}\n`);
}
