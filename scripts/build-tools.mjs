// Bundles what runs outside the application's own bundle: the command line, what stands before the server, and the
// threads that work for it. Packages stay in node_modules; parts are loaded when they are needed.
import { build } from 'esbuild';

await build({
  entryPoints: {
    'cli/vetro': 'src/cli/main.ts',
    'server/before': 'src/server/before.ts',
    'server/worker': 'src/server/work/worker.ts',
  },
  outdir: 'dist/tools',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  splitting: true,
  packages: 'external',
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
});
