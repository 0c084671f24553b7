// npm run types: the compiler that is a program of its own checks all files and, without a DOM, the core; what only
// Astro can read is checked by Astro, with the compiler that it knows.
import { execFileSync } from 'node:child_process';
import { ROOT } from './ready.mjs';

const NATIVE = 'node_modules/typescript-native/bin/tsc';
const ASTRO = 'node_modules/astro/astro.js';

try {
  // Writes the types that the others read, too.
  node(ASTRO, 'check', '--minimumSeverity', 'warning', '--tsconfig', 'tsconfig.astro.json');
  node(NATIVE, '--noEmit');
  node(NATIVE, '--noEmit', '-p', 'tsconfig.core.json');
} catch {
  process.exit(1);
}

function node(...args) {
  execFileSync('node', args, { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'] });
}
