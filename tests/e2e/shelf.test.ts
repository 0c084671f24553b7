import { expect, type Page } from '@playwright/test';
import BetterSqlite3 from 'better-sqlite3';
import { SHELF_PAGE } from '../../src/contracts/shelf-wish.ts';
import { designFromText } from '../../src/core/design/exchange/counts-text.ts';
import { nameKey } from '../../src/server/db/name-key.ts';
import { LARKMERE } from '../../src/server/demo/demo.ts';
import { clothShown, keepText, WRITER } from './helpers.ts';
import { ownDatabase, startOwn } from './own-server.ts';
import { test } from './test.ts';

async function menu(page: Page, design: string, item: string): Promise<void> {
  await page.getByRole('button', { name: `What to do with ${design}`, exact: true }).click();
  await page.getByRole('menuitem', { name: item }).click();
}

async function importFiles(page: Page, name: string, text: string): Promise<void> {
  await page
    .getByLabel('Files to import')
    .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
}

test('the demo hangs in its ranges, each a true crop with its number', async ({ page }) => {
  await page.goto('/');
  for (const range of new Set(LARKMERE.map((demo) => demo.range))) {
    const row = page.getByRole('region', { name: range, exact: true });
    for (const demo of LARKMERE.filter((each) => each.range === range)) {
      await expect(row.getByRole('link', { name: demo.name, exact: true })).toBeVisible();
      await expect(row.getByText(demo.number)).toBeVisible();
    }
    // Cards far from the window are drawn when they come near it.
    await row.getByRole('listitem').last().scrollIntoViewIfNeeded();
    const sizes = () =>
      row
        .locator('img')
        .evaluateAll((images) => images.map((image) => (image as HTMLImageElement).naturalWidth));
    await expect.poll(async () => new Set(await sizes())).toEqual(new Set([180]));
  }
});

test('a design whose numbers make no cloth hangs all the same, and says so', async ({ page }) => {
  const id = await keepText(page, 'name: Too fine\nstripe: A1000 C9\nslope: 1/999999\n');
  await page.goto('/');
  const card = page.getByRole('link', { name: 'Too fine' });
  await card.scrollIntoViewIfNeeded();
  await expect(card).toContainText('These numbers make no cloth yet.');
  await page.request.delete(`/api/designs/${id}`, { headers: WRITER });
});

test('search, kinds and order', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('searchbox').fill('boiler green');
  await expect(page.getByRole('link', { name: 'Third-class moquette' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Platform gingham' })).toHaveCount(0);
  await page.getByRole('searchbox').fill('36 × 4');
  await expect(page.getByRole('link', { name: 'Luggage-rack webbing' })).toBeVisible();
  await page.getByRole('searchbox').fill('no such thing');
  await page.getByRole('button', { name: /^Show all/ }).click();
  await page.getByRole('radio', { name: 'Stripes' }).click();
  await expect(page.getByRole('link', { name: 'Blind ticking' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Third-class moquette' })).toHaveCount(0);
  await page.getByRole('radio', { name: 'All' }).click();
  await page.getByLabel('Order', { exact: true }).selectOption('By name');
  // Other tests hang designs of their own between those of the demo.
  const names = () =>
    page
      .locator('a[aria-label][href^="/bench/"]')
      .evaluateAll((links) => links.map((link) => link.getAttribute('aria-label')!));
  const isSorted = (all: readonly string[]) =>
    all.every((name, at) => at === 0 || all[at - 1]!.localeCompare(name, 'en', { numeric: true }) <= 0);
  await expect.poll(async () => (await names()).length).toBeGreaterThanOrEqual(LARKMERE.length);
  await expect.poll(async () => isSorted(await names())).toBe(true);
});

test('copy, rename, move, delete and take it back', async ({ page }) => {
  await keepText(page, 'name: Tender cover\nwarp: A4 B4\n');
  await page.goto('/');
  await menu(page, 'Tender cover', 'Duplicate');
  await expect(page.getByRole('link', { name: 'Tender cover copy' })).toBeVisible();
  await menu(page, 'Tender cover copy', 'Rename');
  await page.getByLabel('Name of the design').fill('Footplate mat');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Footplate mat' })).toBeVisible();
  await menu(page, 'Footplate mat', 'Move to a range…');
  await page.getByLabel('Or a new range').fill('Engines');
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  const engines = page.getByRole('region', { name: 'Engines' });
  await expect(engines.getByRole('link', { name: 'Footplate mat' })).toBeVisible();
  await menu(page, 'Footplate mat', 'Delete');
  await expect(page.getByRole('link', { name: 'Footplate mat' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(engines.getByRole('link', { name: 'Footplate mat' })).toBeVisible();
});

test('files are imported, and broken ones refused in words', async ({ page }) => {
  await page.goto('/');
  // Counted when they hang.
  await expect(page.getByRole('link', { name: LARKMERE[0]!.name, exact: true })).toBeVisible();
  const designs = await page.getByRole('link').count();
  for (const [name, text, words] of [
    ['sett.csv', 'colour,threads\nred,4', 'needs the columns “shade” and “count”'],
    ['sett.csv', 'shade,count\nred,0', 'Line 2: “0” is not a thread count'],
    ['sett.csv', 'shade,count\n'.padEnd(5_000_000, 'red,4\n'), 'at most 1\u00a0000\u00a0000 are read'],
    ['sett.txt', 'A4 B', 'has no count'],
    ['sett.json', '{"format":"vetro-design","version":99}', 'made by a newer Vetro'],
    ['sett.json', '{"format":', 'it is not JSON'],
    ['sett.gif', 'GIF89a', 'of a kind that cannot be read here'],
  ] as const) {
    await importFiles(page, name, text);
    await expect(page.getByText(words).first()).toBeVisible();
  }
  await page.reload();
  await expect(page.getByRole('link')).toHaveCount(designs);
  await importFiles(page, 'brake-van_rug.csv', '\uFEFFshade;count\r\n#24402f;12\r\nivory;4\r\n');
  await clothShown(page);
  await expect(page.getByLabel('Name of the design')).toHaveValue('Brake van rug');
  await expect(page.getByRole('textbox', { name: /^Warp/ })).toHaveValue('A12 I4');
});

test('an empty shelf teaches, and its first design is made from it', async ({ page }) => {
  const server = await startOwn(ownDatabase());
  try {
    await page.goto(`${server.address}/`);
    await expect(page.getByRole('heading', { name: 'The shelf is empty' })).toBeVisible();
    await page.getByRole('button', { name: /^Plaid or weave/ }).click();
    await page.getByRole('button', { name: 'Gingham', exact: true }).click();
    await expect(page.getByLabel(/^Warp/)).toHaveValue('B12 W12');
    await page.getByRole('button', { name: 'Create' }).click();
    await clothShown(page);
    await expect(page.getByRole('region', { name: 'Measures' })).toContainText('24 ends × 24 picks');
    // Whoever makes a first design is taken round, and may leave.
    const tour = page.getByRole('complementary', { name: 'Tour of the steps' });
    await expect(tour).toContainText('step 2 of 6');
    await tour.getByRole('button', { name: 'Next' }).click();
    await expect(page.getByRole('region', { name: 'Lay' })).toBeVisible();
    await tour.getByRole('button', { name: 'Leave the tour' }).click();
    await page.reload();
    await clothShown(page);
    await expect(tour).toHaveCount(0);
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').fill('tour');
    await page.keyboard.press('Enter');
    await expect(tour).toBeVisible();
  } finally {
    await server.kill();
  }
});

test('a shelf of many designs hangs a page at a time, and words find what is far down', async ({
  page,
  request,
}) => {
  const data = ownDatabase();
  const first = await startOwn(data);
  const document = designFromText('warp: A12 B4\nweave: 2/2Z', 'Rug');
  await request.post(`${first.address}/api/designs`, { data: { document }, headers: WRITER });
  await first.kill();
  hangCopies(data, 600);
  const server = await startOwn(data);
  try {
    await page.goto(`${server.address}/`);
    await expect(page.getByRole('listitem')).toHaveCount(SHELF_PAGE);
    await expect(page.getByText(`${SHELF_PAGE} of 601 designs.`)).toBeAttached();
    await expect(page.getByText('601 designs, all at half true size')).toBeVisible();
    await page.getByText('Hang more').scrollIntoViewIfNeeded();
    await expect(page.getByRole('listitem')).toHaveCount(2 * SHELF_PAGE);
    await page.getByRole('searchbox').fill('rug 577');
    await expect(page.getByRole('listitem')).toHaveCount(1);
    await expect(page.getByRole('link', { name: 'Rug 577', exact: true })).toBeVisible();
    await page.getByRole('searchbox').fill('');
    await page.getByRole('combobox', { name: 'Order' }).selectOption('By name');
    await expect(page.getByRole('listitem').nth(11)).toContainText('Rug 10');
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox', { name: 'Search commands, designs and help' }).fill('rug 599');
    await expect(page.getByRole('option', { name: /^Rug 599/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await clothShown(page);
    await expect(page.getByLabel('Name of the design')).toHaveValue('Rug 599');
  } finally {
    await server.kill();
  }
});

/** Hangs copies of the one design there is, each with a number behind its name. */
function hangCopies(data: string, copies: number): void {
  const sqlite = new BetterSqlite3(data);
  const [design] = sqlite.prepare('select * from design').all() as Record<string, unknown>[];
  const names = Object.keys(design!);
  const insert = sqlite.prepare(
    `insert into design (${names.join()}) values (${names.map((name) => `@${name}`).join()})`,
  );
  for (let copy = 0; copy < copies; copy += 1) {
    const name = `Rug ${copy}`;
    const document = JSON.stringify({ ...JSON.parse(String(design!['document'])), name });
    insert.run({
      ...design,
      id: `copy-${copy}`,
      name,
      name_key: nameKey(name),
      document,
      search: name.toLowerCase(),
    });
  }
  sqlite.close();
}
