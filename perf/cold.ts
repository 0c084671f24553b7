import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chromium } from '@playwright/test';
import type { Design } from '../src/core/design/design-schema.ts';
import { designFromText } from '../src/core/design/exchange/counts-text.ts';
import { designFromStart } from '../src/core/design/starts.ts';
import { ringedOctagons } from './ringed-octagons.ts';
import { line, median } from './timing.ts';

/**
 * From opening a design to its first painted cloth, in a browser that has nothing of the page yet; against the page's
 * own loading. VETRO_ROOT names another built checkout that is measured in turn, so that two can be compared.
 */
const TIMES = 9;
const ROOTS = [resolve('.'), ...(process.env['VETRO_ROOT'] ? [resolve(process.env['VETRO_ROOT'])] : [])];

const counts = Array.from({ length: 50 }, (_, at) => `${'ABCDEF'[(at * 5) % 6]}8`).join(' ');
const DESIGNS: readonly (readonly [string, Design])[] = [
  ['A plaid of 400 × 400 threads', designFromText(`warp: ${counts}\nweave: 2/2Z\n`, 'Four hundred')],
  ['4.8.8 with three rings', ringedOctagons()],
  ['Fading diamonds over others', designFromStart('plies', 'diamonds-in-gaps')],
];

const servers = await Promise.all(
  ROOTS.map(async (cwd, index) => {
    const port = 4380 + index;
    const data = join(mkdtempSync(join(tmpdir(), 'vetro-perf-')), 'vetro.db');
    const server = spawn('node', ['scripts/start.mjs'], {
      cwd,
      env: { ...process.env, PORT: String(port), VETRO_DATA: data },
    });
    await new Promise<void>((ready) => {
      server.stdout.on('data', (text: Buffer) => text.includes('ready') && ready());
    });
    return { server, address: `http://127.0.0.1:${port}` };
  }),
);
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});

/** Milliseconds from asking for the page to its load, and to the first painted cloth. */
async function open(address: string, design: Design): Promise<{ loaded: number; painted: number }> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const answer = await page.request.post(`${address}/api/designs`, {
    data: { document: design },
    headers: { 'x-vetro': 'perf' },
  });
  if (!answer.ok()) throw new Error(`${address}: ${answer.status()} ${await answer.text()}`);
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`${address}/bench/${id}`);
  const painted = await page.evaluate(
    () =>
      new Promise<number>((done) => {
        const look = () => {
          if (document.querySelector('canvas[data-painted]') !== null) done(performance.now());
          else requestAnimationFrame(look);
        };
        look();
      }),
  );
  const loaded = await page.evaluate(
    () => (performance.getEntriesByType('navigation')[0] as PerformanceNavigationTiming).loadEventEnd,
  );
  await context.close();
  return { loaded, painted };
}

try {
  for (const [what, design] of DESIGNS) {
    const times = servers.map(() => ({ loaded: [] as number[], painted: [] as number[] }));
    for (let round = 0; round < TIMES; round += 1) {
      for (const [index, { address }] of servers.entries()) {
        const { loaded, painted } = await open(address, design);
        times[index]!.loaded.push(loaded);
        times[index]!.painted.push(painted);
      }
    }
    const [ours, other] = times;
    const shown = median(ours!.painted);
    console.log(`\n${what}, opened in a fresh browser, ${TIMES} times (median ${shown.toFixed(0)} ms)`);
    line('to the first painted cloth, beside the page itself', shown / median(ours!.loaded), 'under 3');
    if (other !== undefined) {
      line('beside the other checkout', shown / median(other.painted), 'at most 0.5');
    }
  }
} finally {
  await browser.close();
  for (const { server } of servers) server.kill();
}
