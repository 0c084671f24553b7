// npm run perf: bundles the benchmarks, runs each in a process of its own, prints ratios against a peer in the same run.
import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { ensureBuilt, ensureInstalled, ROOT } from '../scripts/ready.mjs';

const BENCHMARKS = [
  'paint',
  'cells',
  'sheets',
  'edits',
  'cold',
  'partition',
  'picture',
  'offers',
  'colourways',
  'weaves',
  'tilings',
  'marks',
  'motifs',
  'lays',
  'straps',
  'plies',
  'try-on',
  'server',
  'large-shelf',
  'command-line',
];

ensureInstalled();
ensureBuilt();
const wished = process.argv.slice(2);
// Inside the project, so that packages are found.
const folder = mkdtempSync(join(ROOT, 'node_modules', '.vetro-perf-'));
await build({
  entryPoints: BENCHMARKS.map((name) => join(ROOT, 'perf', `${name}.ts`)),
  outdir: folder,
  outExtension: { '.js': '.mjs' },
  bundle: true,
  packages: 'external',
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
});
for (const name of BENCHMARKS.filter((each) => wished.length === 0 || wished.includes(each))) {
  const { status } = spawnSync('node', [join(folder, `${name}.mjs`)], { cwd: ROOT, stdio: 'inherit' });
  if (status !== 0) process.exitCode = 1;
}
