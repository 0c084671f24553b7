import { rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { outcomeOf } from '../work/outcome.ts';
import type { LibraryOrder } from './library-order.ts';
import { writeLibrary } from './write-library.ts';

/**
 * A process that writes one picture with the image library, whose work cannot be stopped from within. Its order is its
 * argument, the tile's pixels come through its input; when that ends before it has done, it ends too. It says rows and its
 * outcome, a line each.
 */
const order = JSON.parse(process.argv[2]!) as LibraryOrder;
const { width, height, channels } = order.tile;
const pixels = new Uint8Array(width * height * channels);
let filled = 0;

process.stdin.on('data', (piece: Buffer) => {
  pixels.set(piece, filled);
  filled += piece.length;
  if (filled === pixels.length) void make();
});
// Whoever asked for it has gone, and so has whoever would clear up.
process.stdin.on('end', () => {
  rmSync(dirname(order.path), { recursive: true, force: true });
  process.kill(process.pid, 'SIGKILL');
});

async function make(): Promise<void> {
  const outcome = await outcomeOf(async () => {
    await writeLibrary(order, pixels, (rows) => say({ rows }));
    return true;
  });
  say({ outcome });
  process.stdin.destroy();
}

function say(said: object): void {
  process.stdout.write(`${JSON.stringify(said)}\n`);
}
