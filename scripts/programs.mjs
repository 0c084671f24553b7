// Programs that the checks need beside Node: a browser, and readers of files that are not ours. Debian's packages.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { run } from './ready.mjs';

/** Debian's browser without the windows of a desktop; the one with windows does as well, in twice the time. */
const BROWSERS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** The browser of the end-to-end tests: CHROMIUM, or what is installed. */
export function browserPath() {
  return process.env['CHROMIUM'] ?? BROWSERS.find((path) => existsSync(path)) ?? BROWSERS[0];
}

/** Packages, and whether each is there. */
const PROGRAMS = {
  'chromium-headless-shell': () => existsSync(browserPath()),
  'poppler-utils': () => onPath('pdftoppm'),
  'mupdf-tools': () => onPath('mutool'),
  ghostscript: () => onPath('gs'),
  qpdf: () => onPath('qpdf'),
  'libtiff-tools': () => onPath('tiffinfo'),
  unzip: () => onPath('unzip'),
};

/** Installs all that is missing at once, or says what to install. */
export function ensurePrograms() {
  const missing = Object.keys(PROGRAMS).filter((name) => !PROGRAMS[name]());
  if (missing.length === 0) return;
  if (process.getuid?.() !== 0) {
    console.error(`Programs are missing. Install them: apt-get install ${missing.join(' ')}`);
    process.exit(1);
  }
  console.log(`Installing ${missing.join(', ')}…`);
  run('apt-get', ['update', '-qq'], 'The package lists could not be read.');
  const install = ['install', '-y', '-qq', '--no-install-recommends', ...missing];
  run('apt-get', install, `These could not be installed: ${missing.join(', ')}.`);
}

function onPath(program) {
  return spawnSync('which', [program]).status === 0;
}
