// Databases with the demo designs for end-to-end tests: hung once a build, then copied.
// Usage: node scripts/hung-shelves.mjs FILE...
import { copyFileSync, existsSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureInstalled, ROOT } from './ready.mjs';

/** Lies in the folder of the build, which every new build empties. */
const HUNG = join(ROOT, 'dist', 'hung.db');

ensureInstalled();
ensureBuilt();
if (!existsSync(HUNG)) await hang();
for (const file of process.argv.slice(2)) copyFileSync(HUNG, file);

async function hang() {
  const part = `${HUNG}.part`;
  rmSync(part, { force: true });
  process.env['VETRO_DATA'] = part;
  const { prepare, endInOrder } = await import(
    pathToFileURL(join(ROOT, 'dist/tools/server/before.mjs')).href
  );
  const prepared = await prepare({ demo: true, host: '127.0.0.1' });
  if (prepared === undefined) process.exit(1);
  await endInOrder();
  renameSync(part, HUNG);
}
