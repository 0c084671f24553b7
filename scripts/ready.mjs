// Brings a checkout to the point where it can run: packages installed, application built. Node's own modules only,
// since it runs before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
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

/** The oldest Node that Vetro runs on, as package.json says. */
const OLDEST = 20;

const [MAJOR] = process.versions.node.split('.');
if (Number(MAJOR) < OLDEST) {
  console.error(
    `Vetro needs Node ${OLDEST} or later; this is Node ${process.versions.node}. Install a newer one.`,
  );
  process.exit(1);
}

/** What the database's driver is compiled with, each by the names that it may have. */
const COMPILING = {
  'Python 3': ['python3', 'python'],
  make: ['make'],
  'a C++ compiler': ['c++', 'g++', 'clang++'],
};

/** The database's driver as it is compiled; without it the packages are not installed whole. */
const DRIVER = join(ROOT, 'node_modules/better-sqlite3/build/Release/better_sqlite3.node');

/** Installs the packages that the lock file names, when they are missing or older than it. */
export function ensureInstalled() {
  if (arePackagesThere() && existsSync(DRIVER)) return;
  console.log('Installing packages (about three minutes the first time: the database is compiled)…');
  run('npm', ['ci', ...QUIETLY], `The packages could not be installed.${lackingWords()}`);
}

/** Installs missing packages but for the driver. @returns whether that is still to be compiled */
export function installPackages() {
  if (!arePackagesThere()) {
    console.log('Installing packages…');
    run('npm', ['ci', '--ignore-scripts', ...QUIETLY], 'The packages could not be installed.');
  }
  return !existsSync(DRIVER);
}

/** Compiles the database's driver, in a process of its own. */
export function compileDriver() {
  console.log('Compiling the database’s driver…');
  const child = spawn('npm', ['rebuild', ...QUIETLY], { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'] });
  return new Promise((resolve) => {
    child.on('close', () => {
      if (existsSync(DRIVER)) return resolve();
      console.error(`The database’s driver could not be compiled.${lackingWords()}`);
      process.exit(1);
    });
  });
}

/** What is missing of what the driver is compiled with, as a sentence; empty where nothing is. */
function lackingWords() {
  const isThere = (name) => spawnSync('sh', ['-c', `command -v ${name}`]).status === 0;
  const lacking = Object.keys(COMPILING).filter((what) => !COMPILING[what].some(isThere));
  if (lacking.length === 0) return '';
  return ` It is compiled with ${lacking.join(' and ')}, which this machine lacks: install that, then start again.`;
}

const QUIETLY = ['--no-audit', '--no-fund', '--loglevel=error'];

function arePackagesThere() {
  const installed = join(ROOT, 'node_modules', '.package-lock.json');
  const lock = join(ROOT, 'package-lock.json');
  return existsSync(installed) && statSync(installed).mtimeMs >= statSync(lock).mtimeMs;
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
