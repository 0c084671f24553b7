import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';

/** A shelf of its own for every run, made before the workers start. */
process.env['VETRO_E2E_DATA'] ??= join(mkdtempSync(join(tmpdir(), 'vetro-e2e-')), 'vetro.db');
const port = process.env['VETRO_E2E_PORT'] ?? '4390';

/** Port of the loom that the server is started with. */
export const LOOM_PORT = Number(port) + 7;

export default defineConfig({
  testDir: 'tests/e2e',
  workers: 1,
  /** Each test ends in seconds; a machine shared with others was seen to run some fifteen times slower. */
  timeout: 240_000,
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  outputDir: 'test-results/e2e',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
      ],
    },
  },
  webServer: {
    command: 'node scripts/demo.mjs',
    url: `http://127.0.0.1:${port}/api/shelf`,
    env: {
      VETRO_DATA: process.env['VETRO_E2E_DATA'],
      VETRO_LOOM_PORT: String(LOOM_PORT),
      PORT: port,
      HOST: '127.0.0.1',
    },
    timeout: 180_000,
    reuseExistingServer: false,
  },
});
