// Bundles what runs outside the server, the command line and its preparation; packages stay in node_modules.
import { build } from 'esbuild';

await build({
  entryPoints: { 'cli/vetro': 'src/cli/main.ts', 'server/prepare': 'src/server/prepare.ts' },
  outdir: 'dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  packages: 'external',
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
});
