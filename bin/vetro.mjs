#!/usr/bin/env node
import { existsSync } from 'node:fs';

const built = new URL('../dist/tools/cli/vetro.mjs', import.meta.url);
if (existsSync(built)) {
  await import(built.href);
} else {
  process.stderr.write('vetro: it is not built yet. Run npm run build once.\n');
  process.exitCode = 2;
}
