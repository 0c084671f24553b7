// Takes the pictures in docs/screenshots anew, from the demo designs on a shelf of their own.
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { browserPath } from './programs.mjs';
import { ROOT } from './ready.mjs';

const PORT = '4393';
const ADDRESS = `http://127.0.0.1:${PORT}/`;
const EMPTY_PORT = '4394';
const EMPTY = `http://127.0.0.1:${EMPTY_PORT}/`;
const FOLDER = join(ROOT, 'docs/screenshots');

mkdirSync(FOLDER, { recursive: true });
const server = await startServer('demo', PORT);
const empty = await startServer('start', EMPTY_PORT);
const browser = await chromium.launch({
  executablePath: browserPath(),
  args: ['--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

try {
  await takeShelf();
  await takeBench();
  await takeFirstVisit();
} finally {
  await browser.close();
  server.kill();
  empty.kill();
}

/** Starts the demo, or an empty shelf, on a database of its own, and waits until it is ready. */
async function startServer(script, port) {
  const data = join(mkdtempSync(join(tmpdir(), 'vetro-shots-')), 'vetro.db');
  const started = spawn('node', [`scripts/${script}.mjs`], {
    cwd: ROOT,
    env: { ...process.env, PORT: port, VETRO_DATA: data },
  });
  await new Promise((resolve) =>
    started.stdout.on('data', (text) => String(text).includes('ready') && resolve()),
  );
  return started;
}

async function takeShelf() {
  await page.goto(ADDRESS);
  await page.getByRole('link', { name: 'Scullery glass cloth' }).waitFor();
  await shot('shelf');
  await page.getByRole('button', { name: 'New design' }).click();
  await shot('new-design');
}

/** Some files of demo designs, the last of them still being made. */
async function sendSome() {
  await page.evaluate(async () => {
    const shelf = await (await fetch('/api/shelf')).json();
    const designs = shelf.ranges.flatMap((range) => range.designs);
    const wishes = [
      ['Booking-hall bench', 'tile.png', 'dpi=300&repeats=4 x 6'],
      ['Concourse stars', 'tile.pdf', 'dpi=300&paper=A3&bleed=3 mm&marks='],
      ['Booking-hall floor', 'tile.jpg', 'dpi=300&size=12in x 12in&quality=90'],
      ['Ticket-office corner tiles', 'tile.tif', 'dpi=300&size=1.4 m x 3 m&shrink=4%, 2%'],
    ];
    for (const [name, file, query] of wishes) {
      const { id, version } = designs.find((design) => design.name === name);
      await fetch('/api/jobs', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ designId: id, version, file, query: String(new URLSearchParams(query)) }),
      });
    }
  });
}

/** The shelf of a first visit has a server of its own. */
async function takeFirstVisit() {
  await page.goto(EMPTY);
  await shot('first-visit');
}

/** A backup is looked into after some designs went into the bin and one was renamed; both are taken back. */
async function takeBackups() {
  const api = (method, path, data) =>
    page.request.fetch(`${ADDRESS}api/${path}`, { method, data, headers: { 'x-vetro': 'pictures' } });
  await api('POST', 'backups');
  const { ranges } = await (await api('GET', 'shelf')).json();
  const [first, second, third] = ranges.flatMap(({ designs }) => designs).slice(3);
  for (const { id } of [first, second]) await api('DELETE', `designs/${id}`);
  await api('POST', `designs/${third.id}/rename`, { name: `${third.name}, tried` });
  await page.goto(`${ADDRESS}backups`);
  await page
    .getByRole('region', { name: 'Backups' })
    .getByRole('listitem')
    .first()
    .getByRole('button')
    .click();
  await page.getByText('3 not the same here').waitFor();
  await page.locator('img').evaluateAll((all) => Promise.all(all.map((image) => image.decode())));
  // The folder of this run is no folder of anybody's.
  await page.getByText(/^In .*backups$/).evaluate((line) => {
    line.textContent = 'In data/backups';
  });
  await shot('backups');
  for (const { id } of [first, second]) await api('POST', `designs/${id}/restore`);
  await api('POST', `designs/${third.id}/rename`, { name: third.name });
}

async function takeBench() {
  await open('Third-class moquette');
  await page
    .getByRole('listbox', { name: /^Warp rail/ })
    .locator('[data-band="2"]')
    .click();
  await page.mouse.move(1100, 780);
  await shot('bench-build');
  await step('Colours');
  await shot('bench-colours');
  await open('Waiting-room cushion');
  await step('Check');
  await page.getByText('Painting: the same wherever the tile begins').waitFor();
  await shot('bench-check');
  await open('Booking-hall bench');
  await step('Send');
  await page.getByRole('radio', { name: 'Whole repeats' }).click();
  await shot('bench-send');
  await sendSome();
  await page.goto(`${ADDRESS}sent`);
  await page.getByText(/^Made/).nth(2).waitFor({ timeout: 240_000 });
  await shot('sent');
  await takeBackups();
  await open('Dining-car marquetry');
  await step('Lay');
  await page.getByRole('button', { name: /^Mirrored both ways.*px$/ }).waitFor();
  await shot('bench-lay');
  await open('Platform awning');
  await page.getByRole('button', { name: 'From a picture…' }).click();
  await page.getByRole('button', { name: 'Lake at dusk' }).click();
  await page.getByRole('button', { name: 'Down the middle' }).click();
  await page.getByRole('region', { name: 'What comes of it' }).getByText(/bands/).waitFor();
  await shot('bench-picture');
  await open('Signal-box herringbone');
  await page.getByLabel('Show the draft').check();
  await page.getByLabel('Any other weave').scrollIntoViewIfNeeded();
  await shot('bench-draft');
  await page.getByLabel('Show the draft').uncheck();
  await open('Slipway roof scales');
  await page.getByRole('button', { name: /^Disc 2/ }).click();
  await shot('bench-motif');
  await open('Boat-shed lozenges');
  await page.getByRole('region', { name: 'Pieces' }).getByRole('button').nth(1).click();
  await page.getByRole('button', { name: 'Unpin the ticket' }).click();
  await closer(3);
  await open('Waiting-room diamonds');
  await page
    .getByRole('region', { name: 'Plies', exact: true })
    .getByRole('button', { name: /^2 Diamonds/ })
    .click();
  await page.getByRole('button', { name: 'Unpin the ticket' }).click();
  await shot('bench-plies');
  await open('Booking-hall floor');
  await page.getByRole('button', { name: 'Along the sides' }).scrollIntoViewIfNeeded();
  await shot('bench-tiling');
  await open('Tea-room tiles');
  await page.getByRole('radio', { name: 'The patch' }).click();
  await page.getByRole('button', { name: 'Side 2 of face 4', exact: true }).press('Enter');
  await page.getByRole('button', { name: 'Triangle', exact: true }).focus();
  await shot('bench-growth');
  await open('First-class rug');
  await step('Try on');
  await page.locator('canvas[data-scene="painted"]').waitFor();
  await page.getByRole('radio', { name: 'Middle panel' }).click();
  await page.getByRole('region', { name: 'Seams' }).scrollIntoViewIfNeeded();
  await shot('bench-try-on');
  await open('Refreshment towel');
  await step('Check');
  await page.getByLabel('Mark floats longer than, 0 for none').fill('5');
  await page.getByLabel('Warp yarn', { exact: true }).scrollIntoViewIfNeeded();
  await shot('bench-structure');
  await open('Guard’s shepherd check');
  await closer(9);
  await page.mouse.move(1100, 780);
  await shot('bench-threads');
}

async function open(name) {
  await page.goto(ADDRESS);
  await page.getByRole('link', { name, exact: true }).click();
  await page.locator('canvas[data-painted]').waitFor();
}

async function step(name) {
  await page
    .getByRole('navigation', { name: 'Steps' })
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .click();
}

/** Zooms the cloth in about its middle. */
async function closer(times) {
  for (let time = 0; time < times; time += 1) {
    await page.mouse.move(420, 400);
    await page.mouse.wheel(0, -60);
  }
}

/** Waits until pictures, fonts and the worker have come to rest. */
async function shot(name, clip) {
  await page.waitForLoadState('networkidle');
  await page.waitForFunction(() => {
    const isSeen = (image) => image.getBoundingClientRect().top < innerHeight;
    const ends = document
      .getAnimations()
      .filter(({ effect }) => effect.getComputedTiming().iterations !== Number.POSITIVE_INFINITY);
    return (
      document.querySelector('[aria-busy="true"]') === null &&
      [...document.images].every((image) => image.complete || !isSeen(image)) &&
      ends.every(({ playState }) => playState !== 'running')
    );
  });
  await page.screenshot({ path: join(FOLDER, `${name}.png`), clip });
}
