// Brings a checkout to the point where it can run: packages installed, application built. Node's own modules only,
// since it runs before anything is installed.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** Written when a build is whole; its time tells what was built. */
const STAMP = join(ROOT, 'dist', 'built');

const SOURCES = [
  'src',
  'public',
  'scripts/build-tools.mjs',
  'astro.config.mjs',
  'package.json',
  'package-lock.json',
];

process.env['ASTRO_TELEMETRY_DISABLED'] = '1';

/** Installs the packages that the lock file names, when they are missing or older than it. */
export function ensureInstalled() {
  const installed = join(ROOT, 'node_modules', '.package-lock.json');
  const lock = join(ROOT, 'package-lock.json');
  if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(lock).mtimeMs) return;
  console.log('Installing packages (about three minutes the first time: the database is compiled)…');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], 'The packages could not be installed.');
}

/** Builds the application, when it was not or when its sources are newer. */
export function ensureBuilt() {
  if (existsSync(STAMP) && SOURCES.every((path) => newest(join(ROOT, path)) <= statSync(STAMP).mtimeMs))
    return;
  console.log('Building…');
  run('npm', ['run', '--silent', 'build'], 'The application could not be built.');
  writeFileSync(STAMP, '');
}

/** Runs a command to its end, or ends with a sentence. */
export function run(command, args, failure) {
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit' });
  if (status === 0) return;
  console.error(failure);
  process.exit(1);
}

/** Time of the last change in a file or folder. */
function newest(path) {
  const { mtimeMs } = statSync(path);
  if (!statSync(path).isDirectory()) return mtimeMs;
  return Math.max(mtimeMs, ...readdirSync(path).map((name) => newest(join(path, name))));
}
