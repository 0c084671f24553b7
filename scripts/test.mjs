// npm test: installs what is missing, runs every check, and ends with the counts.
// npm test -- --only types,lint runs a part; the parts are types, lint, unit, reference, e2e.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePrograms } from './programs.mjs';
import { compileDriver, ensureBuilt, installPackages, ROOT } from './ready.mjs';

const RESULTS = join(ROOT, 'test-results');
const PARTS = ['types', 'lint', 'unit', 'reference', 'e2e'];

const wanted = wantedParts(process.argv.slice(2));
const counts = { passed: 0, failed: 0, skipped: 0 };

ensurePrograms();
const lacksDriver = installPackages();
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });

// The database's driver is compiled on one core; what needs none goes on meanwhile on the other.
const driver = lacksDriver ? compileDriver() : Promise.resolve();
if (wanted.has('types')) await check('types', ['npm', 'run', '--silent', 'types']);
if (wanted.has('lint')) await check('lint', ['npm', 'run', '--silent', 'lint']);
if (wanted.has('e2e')) ensureBuilt();
if (wanted.has('reference')) await vitest('reference');
await driver;
if (wanted.has('unit')) await vitest('unit');
if (wanted.has('e2e')) await playwright();

console.log(`\n${counts.passed} passed, ${counts.failed} failed, ${counts.skipped} skipped`);
process.exit(counts.failed === 0 && counts.passed > 0 ? 0 : 1);

/** The parts that are asked for, all of them if none is named. */
function wantedParts(args) {
  const named = args[0] === '--only' ? args[1]?.split(',') : args.length === 0 ? PARTS : undefined;
  if (named?.length > 0 && named.every((name) => PARTS.includes(name))) return new Set(named);
  console.error(`Usage: npm test -- --only ${PARTS.join(',')}`);
  process.exit(2);
}

/** A check that counts as one. */
async function check(name, [command, ...args]) {
  console.log(`\n— ${name}`);
  const status = await ended(command, args);
  counts[status === 0 ? 'passed' : 'failed'] += 1;
}

async function vitest(project) {
  console.log(`\n— ${project}`);
  const file = join(RESULTS, `${project}.json`);
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${file}`];
  const status = await ended('npx', ['vitest', 'run', '--project', project, ...reporters]);
  const report = read(file);
  counts.passed += report?.numPassedTests ?? 0;
  counts.failed += report?.numFailedTests ?? 0;
  counts.skipped += report?.numPendingTests ?? 0;
  if (status !== 0 && (report?.numFailedTests ?? 0) === 0) counts.failed += 1;
}

async function playwright() {
  console.log('\n— end to end');
  const status = await ended('npx', ['playwright', 'test']);
  const stats = read(join(RESULTS, 'e2e.json'))?.stats;
  counts.passed += (stats?.expected ?? 0) + (stats?.flaky ?? 0);
  counts.failed += stats?.unexpected ?? 0;
  counts.skipped += stats?.skipped ?? 0;
  if (status !== 0 && (stats?.unexpected ?? 0) === 0) counts.failed += 1;
}

/** Runs a command and lets others go on beside it. @returns its exit code */
function ended(command, args) {
  const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit' });
  return new Promise((resolve) => child.on('close', resolve));
}

function read(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;
}
