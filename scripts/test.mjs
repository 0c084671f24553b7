// npm test: installs what is missing, runs every check in order, and ends with the counts.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, ROOT, run } from './ready.mjs';

const RESULTS = join(ROOT, 'test-results');

ensureInstalled();
ensureProgram('Chromium', 'chromium', existsSync(process.env['CHROMIUM'] ?? '/usr/bin/chromium'));
ensureProgram('pdftoppm', 'poppler-utils', onPath('pdftoppm'));
ensureProgram('qpdf', 'qpdf', onPath('qpdf'));
ensureProgram('tiffinfo', 'libtiff-tools', onPath('tiffinfo'));
ensureProgram('unzip', 'unzip', onPath('unzip'));
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });

const counts = { passed: 0, failed: 0, skipped: 0 };
await typesBesideBuild();
check('lint', ['npm', 'run', '--silent', 'lint']);
vitest('unit');
vitest('reference');
playwright();

console.log(`\n${counts.passed} passed, ${counts.failed} failed, ${counts.skipped} skipped`);
process.exit(counts.failed === 0 && counts.passed > 0 ? 0 : 1);

/** Types are checked while the application is built, since each keeps one core busy. */
async function typesBesideBuild() {
  console.log('\n— types, and the build beside them');
  const types = spawn('npm', ['run', '--silent', 'types'], { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  for (const stream of [types.stdout, types.stderr]) stream.on('data', (text) => (said += text));
  const ended = new Promise((resolve) => types.on('close', resolve));
  ensureBuilt();
  const status = await ended;
  console.log(said);
  counts[status === 0 ? 'passed' : 'failed'] += 1;
}

/** A check that counts as one. */
function check(name, [command, ...args]) {
  console.log(`\n— ${name}`);
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit' });
  counts[status === 0 ? 'passed' : 'failed'] += 1;
}

function vitest(project) {
  console.log(`\n— ${project}`);
  const file = join(RESULTS, `${project}.json`);
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${file}`];
  const { status } = spawnSync('npx', ['vitest', 'run', '--project', project, ...reporters], {
    cwd: ROOT,
    stdio: 'inherit',
  });
  const report = read(file);
  counts.passed += report?.numPassedTests ?? 0;
  counts.failed += report?.numFailedTests ?? 0;
  counts.skipped += report?.numPendingTests ?? 0;
  if (status !== 0 && (report?.numFailedTests ?? 0) === 0) counts.failed += 1;
}

function playwright() {
  console.log('\n— end to end');
  const { status } = spawnSync('npx', ['playwright', 'test'], { cwd: ROOT, stdio: 'inherit' });
  const stats = read(join(RESULTS, 'e2e.json'))?.stats;
  counts.passed += (stats?.expected ?? 0) + (stats?.flaky ?? 0);
  counts.failed += stats?.unexpected ?? 0;
  counts.skipped += stats?.skipped ?? 0;
  if (status !== 0 && (stats?.unexpected ?? 0) === 0) counts.failed += 1;
}

function read(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;
}

/** The browser of the end-to-end tests comes from Debian's packages. */
/** Programs that the checks need: a browser, and readers of PDF that are not ours. */
function ensureProgram(program, name, isThere) {
  if (isThere) return;
  if (process.getuid?.() !== 0) {
    console.error(`${program} is missing. Install it (apt-get install ${name}).`);
    process.exit(1);
  }
  console.log(`Installing ${name}…`);
  run('apt-get', ['update', '-qq'], 'The package lists could not be read.');
  run('apt-get', ['install', '-y', '-qq', name], `${name} could not be installed.`);
}

function onPath(program) {
  return spawnSync('which', [program]).status === 0;
}
