import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { browserPath } from './scripts/programs.mjs';

/** Each worker has a server and a shelf of its own, so that no test meets what another one does meanwhile. */
const WORKERS = 2;

/** Ports that one worker's tests may use, from the server's on. */
const PORTS_A_WORKER = 10;

/** A folder for the shelves of this run, filled before the workers start: the configuration is read anew in each. */
process.env['VETRO_E2E_DATA'] ??= newShelves();

/** Port of this worker's server. The configuration is read anew in every worker, which is told its place. */
export const PORT = portOf(Number(process.env['TEST_PARALLEL_INDEX'] ?? 0));

/** Port of the loom that this worker's server is started with. */
export const LOOM_PORT = loomPortOf(PORT);

/** Port of the print house that this worker's server orders from. */
export const HOUSE_PORT = housePortOf(PORT);

/** A shelf with the demo designs for each worker. */
function newShelves(): string {
  const folder = mkdtempSync(join(tmpdir(), 'vetro-e2e-'));
  const files = Array.from({ length: WORKERS }, (_, worker) => join(folder, `${worker}.db`));
  const { status } = spawnSync('node', ['scripts/hung-shelves.mjs', ...files], { stdio: 'inherit' });
  if (status !== 0) throw new Error('the shelves of the tests could not be made');
  return folder;
}

function portOf(worker: number): number {
  return Number(process.env['VETRO_E2E_PORT'] ?? 4390) + worker * PORTS_A_WORKER;
}

function loomPortOf(port: number): number {
  return port + 7;
}

function housePortOf(port: number): number {
  return port + 8;
}

export const baseURL = `http://127.0.0.1:${PORT}`;
export const viewport = { width: 1280, height: 800 };

/** Where this worker's servers are found: the one that all tests use, and one that a test starts. */
export const ownOrigins = [baseURL, `http://127.0.0.1:${PORT + 1}`];

export default defineConfig({
  testDir: 'tests/e2e',
  workers: WORKERS,
  /** Each test ends in seconds; a machine shared with others was seen to run some fifteen times slower. */
  timeout: 240_000,
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  outputDir: 'test-results/e2e',
  use: {
    baseURL,
    viewport,
    launchOptions: {
      executablePath: browserPath(),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        // Megabytes for what is new: collected less often, tests took a seventh less of the processor.
        '--js-flags=--min-semi-space-size=32',
      ],
    },
  },
  webServer: Array.from({ length: WORKERS }, (_, worker) => {
    const port = portOf(worker);
    return {
      command: 'node scripts/serve-built.mjs',
      url: `http://127.0.0.1:${port}/api/shelf`,
      env: {
        VETRO_DATA: join(process.env['VETRO_E2E_DATA']!, `${worker}.db`),
        VETRO_LOOM_PORT: String(loomPortOf(port)),
        VETRO_PRINT_HOUSE: `http://127.0.0.1:${housePortOf(port)}`,
        PORT: String(port),
        HOST: '127.0.0.1',
      },
      timeout: 180_000,
      reuseExistingServer: false,
    };
  }),
});
