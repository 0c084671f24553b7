// Bundles what runs outside the application's own bundle: the command line, what stands before the server, and the
// threads that work for it. Parts are loaded when they are needed.
import { readFileSync } from 'node:fs';
import { build } from 'esbuild';

/** Packages of plain code and many files, which load faster as part of ours; all others stay in node_modules. */
const BUNDLED = new Set(['zod', 'culori', 'clipper2-ts', 'd3-dsv', 'ml-kmeans', 'svgpath']);
const { dependencies } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8'));

await build({
  entryPoints: {
    'cli/vetro': 'src/cli/main.ts',
    'server/before': 'src/server/before.ts',
    'server/worker': 'src/server/work/worker.ts',
    'server/library-maker': 'src/server/sending/library-maker.ts',
  },
  outdir: 'dist/tools',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  splitting: true,
  external: Object.keys(dependencies).filter((name) => !BUNDLED.has(name)),
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
});
