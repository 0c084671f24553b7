import { expect, type Locator, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import sharp from 'sharp';
import { clothShown, saved, step, take, WRITER } from './helpers.ts';
import { type OwnServer, ownDatabase, startOwn } from './own-server.ts';
import { test } from './test.ts';

/**
 * Jobs of the trade, each from an empty shelf as somebody new would do them, with as few clicks and typed fields as they
 * take. A job that takes more than it is allowed has become harder.
 */
let server: OwnServer;

test.beforeAll(async () => {
  server = await startOwn(ownDatabase());
});
test.afterAll(() => server.kill());

test.beforeEach(async ({ page }) => {
  for (const id of await shelved(page)) {
    await page.request.delete(`${server.address}/api/designs/${id}`, { headers: WRITER });
  }
  await page.goto(server.address);
});

/** The ids of all designs on the shelf. */
async function shelved(page: Page): Promise<readonly string[]> {
  const shelf = (await (await page.request.get(`${server.address}/api/shelf`)).json()) as {
    ranges: { designs: { id: string }[] }[];
  };
  return shelf.ranges.flatMap(({ designs }) => designs.map(({ id }) => id));
}

/** Counts what is clicked and what is typed. */
class Hand {
  readonly page: Page;
  count = 0;

  constructor(page: Page) {
    this.page = page;
  }

  async click(what: Locator): Promise<void> {
    this.count += 1;
    await what.click();
  }

  /** Clicks a button by its name. */
  async press(name: string | RegExp): Promise<void> {
    await this.click(
      this.page.getByRole('button', { name, ...(typeof name === 'string' && { exact: true }) }),
    );
  }

  async type(label: string | RegExp, text: string): Promise<void> {
    this.count += 1;
    const field = this.page.getByRole('textbox', {
      name: label,
      ...(typeof label === 'string' && { exact: true }),
    });
    await field.fill(text);
  }

  async choose(name: string): Promise<void> {
    await this.click(this.page.getByRole('radio', { name, exact: true }));
  }

  /** Begins a design from the empty shelf with a start point as it is. */
  async begin(kind: RegExp, start: string): Promise<void> {
    await this.press(kind);
    this.count += 1;
    await this.page.getByRole('dialog').getByRole('button', { name: start, exact: true }).dblclick();
    await clothShown(this.page);
  }

  /** Types into the search over all commands and takes what it finds. */
  async command(words: string): Promise<void> {
    this.count += 1;
    await this.page.keyboard.press('Control+k');
    await this.page.getByRole('combobox').fill(words);
    await this.page.keyboard.press('Enter');
  }
}

const PLAID = /^Plaid or weave/;
const STRIPE = /^Stripe/;
const TILING = /^Tiling/;

function measures(page: Page): Locator {
  return page.getByRole('region', { name: 'Measures' });
}

/** The design on the bench, as the server has it. */
async function stored(page: Page): Promise<{ id: string; document: Record<string, unknown> }> {
  await saved(page);
  const id = page.url().split('/').at(-1)!;
  const answer = await page.request.get(`${server.address}/api/designs/${id}`);
  return (await answer.json()) as { id: string; document: Record<string, unknown> };
}

test('a stripe from a photograph', async ({ page }) => {
  const hand = new Hand(page);
  const band = (background: string, left: number, width: number) => ({
    input: { create: { width, height: 120, channels: 3 as const, background } },
    left,
    top: 0,
  });
  const buffer = await sharp({ create: { width: 400, height: 120, channels: 3, background: '#000000' } })
    .composite([
      band('#aa3322', 0, 100),
      band('#eeeecc', 100, 200),
      // Hardly another red: it is the first one again.
      band('#ab3423', 300, 100),
    ])
    .removeAlpha()
    .png()
    .toBuffer();
  hand.count += 1;
  await page
    .getByLabel('Files to import')
    .setInputFiles({ name: 'awning.png', mimeType: 'image/png', buffer });
  await expect(page.getByRole('region', { name: 'What comes of it' })).toContainText('2 shades');
  await hand.choose('px');
  await hand.type('All bands together, px', '722');
  await hand.press('Create');
  await clothShown(page);
  await expect(measures(page)).toContainText('722 × 722 px');
  await expect(measures(page)).toContainText('Exact');
  await hand.press('Send');
  const { bytes } = await take(page, () => hand.press('Send the PNG'));
  const picture = PNG.sync.read(bytes);
  // Every pixel lies in one band: edges are on whole pixels.
  const row = Array.from({ length: picture.width }, (_, x) => picture.data.readUInt32BE(x * 4));
  expect(new Set(row).size).toBe(2);
  expect(row.filter((colour) => colour === row[361]).length).toBe(361);
  expect(hand.count).toBeLessThanOrEqual(8);
});

test('a graduated stripe becomes a plaid and a sheet', async ({ page }) => {
  const hand = new Hand(page);
  await hand.begin(STRIPE, 'Even stripe');
  await hand.press('Rework…');
  await hand.type('Bands', '4');
  await hand.press('Apply');
  await expect(page.getByRole('textbox', { name: /^Bands/ })).toHaveValue('W2 B4 W6 B8');
  await hand.press('Turn this stripe into a plaid…');
  await hand.press('Apply');
  await expect(page.getByRole('textbox', { name: /^Warp/ })).toHaveValue('W2 B4 W5 B8');
  await hand.press('Send');
  await hand.choose('A size');
  await hand.type('Size of the sheet', '12in x 12in');
  const { bytes } = await take(page, () => hand.press('Send the PNG'));
  const { width, height } = PNG.sync.read(bytes);
  expect([width, height]).toEqual([3600, 3600]);
  expect(hand.count).toBeLessThanOrEqual(11);
});

test('a diagonal closes a 12 inch square and is recoloured', async ({ page }) => {
  const hand = new Hand(page);
  await hand.begin(STRIPE, 'Diagonal');
  await hand.type('Side of the square', '12 in');
  await hand.type('Repeats of the bands along each edge', '6');
  await hand.press('Scale the bands into it');
  await hand.click(page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name: /^Colours/ }));
  for (const [shade, hex] of [
    ['Red', '#24402f'],
    ['White', '#efe6cf'],
  ] as const) {
    await hand.press(new RegExp(`^Colour of ${shade}`));
    await hand.type('Colour', hex);
    await page.keyboard.press('Escape');
  }
  await expect(measures(page)).toContainText('Exact');
  const { document } = await stored(page);
  // Names follow their colour, since nobody typed others.
  expect(document).toMatchObject({ shades: [{ hex: '#24402f' }, { hex: '#efe6cf' }] });
  expect(JSON.stringify(document['shades'])).not.toMatch(/Red|"White"/);
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  expect(hand.count).toBeLessThanOrEqual(11);
});

test('a palette becomes a plaid with a weft of its own, mirrored, in twill, and varied', async ({ page }) => {
  const hand = new Hand(page);
  await hand.press(PLAID);
  await hand.type(/^Warp/, 'green/12 red 6 cream/4');
  await hand.type(/^Weft/, 'G/8 O4 C/2');
  await hand.type(/^Weave/, '2/2 twill S');
  await hand.type('Colours as a list', '#24402f #8c2f25 #efe6cf #c79a3b');
  await hand.press('Create');
  await clothShown(page);
  await expect(measures(page)).toContainText('28 ends × 36 picks');
  await hand.click(page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name: /^Colours/ }));
  hand.count += 1;
  await page.getByLabel('Make a colourway').selectOption('Hues turned');
  hand.count += 1;
  await page.getByLabel('Make a colourway').selectOption('Darker');
  await hand.click(page.getByLabel('See all side by side'));
  await expect(page.getByRole('region', { name: 'All colourways' }).getByRole('listitem')).toHaveCount(3);
  const { document } = await stored(page);
  expect(document).toMatchObject({
    shades: [
      { key: 'G', hex: '#24402f' },
      { key: 'R', hex: '#8c2f25' },
      { key: 'C', hex: '#efe6cf' },
      { key: 'O', hex: '#c79a3b' },
    ],
    construction: { warp: { mirror: 'shared' }, weft: { follows: false }, weave: { hand: 'S' } },
  });
  expect(hand.count).toBeLessThanOrEqual(20);
});

test('bands at 60 % with dark lines at full strength over them', async ({ page }) => {
  const hand = new Hand(page);
  await hand.begin(PLAID, 'Printed at half strength');
  await hand.type(/^Warp/, 'B24@60% W8@60% K2@100% W8@60%');
  const mixed = page.getByRole('region', { name: 'Mixed colours' });
  // The lines cover every band both ways: 2 of 42 threads each way, crossing once.
  await expect(mixed.getByRole('listitem').filter({ hasText: '#262b2d' }).first()).toBeVisible();
  // Pale blue on white, and the same over itself: mixes of the formula.
  await expect(mixed).toContainText('#809fb9');
  await expect(mixed).toContainText('#4e799d');
  await expect(measures(page)).toContainText('Exact');
  expect(hand.count).toBeLessThanOrEqual(11);
});

test('three shades at half strength', async ({ page }) => {
  const hand = new Hand(page);
  await hand.press(PLAID);
  await hand.press('Printed at half strength');
  await hand.type(/^Warp/, 'R12 Y12 B12');
  await hand.press('Create');
  await clothShown(page);
  // Three shades, and three that two of them make.
  await expect(page.getByRole('region', { name: 'Mixed colours' }).getByRole('listitem')).toHaveCount(6);
  expect(hand.count).toBeLessThanOrEqual(5);
});

test('the texture of a twill', async ({ page }) => {
  const hand = new Hand(page);
  await hand.begin(PLAID, 'Twill');
  const { bytes, name } = await take(page, () => hand.command('texture'));
  expect(name).toMatch(/^Twill V \d+ texture\.png$/);
  const { width, height, data } = PNG.sync.read(bytes);
  expect([width, height]).toEqual([16, 16]);
  expect(new Set(data.filter((_, at) => at % 4 === 3)).size).toBeGreaterThan(1);
  expect(hand.count).toBeLessThanOrEqual(4);
});

test('hexagons with three spokes and a ring', async ({ page }) => {
  const hand = new Hand(page);
  await hand.begin(TILING, 'Hexagons');
  await hand.press('Spokes to corners');
  await hand.type('To every n-th corner', '2');
  await hand.press('A ring inside the sides');
  hand.count += 1;
  await page.getByRole('region', { name: 'Lines 2' }).getByLabel('Width').fill('2 mm');
  const { id } = await stored(page);
  const svg = await (await page.request.get(`${server.address}/api/designs/${id}/files/tile.svg`)).text();
  const [, spokes] = /stroke-width="1\.?0*" [^>]* d="([^"]+)"/.exec(svg) ?? [];
  // Six hexagons to a repeat, three spokes each, and those that come in again over an edge.
  expect(spokes!.match(/M/g)!.length).toBeGreaterThanOrEqual(18);
  expect(spokes!.match(/M/g)!.length).toBeLessThan(36);
  expect(svg).toMatch(/fill-rule="evenodd"/);
  await step(page, 'Check');
  await expect(page.getByText('Hairline test: nothing shows between faces')).toBeVisible();
  expect(hand.count).toBeLessThanOrEqual(7);
});

test('diamonds 2 : 3, stepped by a third and by two thirds', async ({ page }) => {
  const hand = new Hand(page);
  await hand.begin(TILING, 'Diamonds');
  await hand.type('Width : height', '2:3');
  await hand.type('Slant', '1/3');
  const before = await measures(page).textContent();
  await hand.type('Slant', '2/3');
  await expect(measures(page)).not.toHaveText(before!);
  await expect(measures(page)).toContainText(/Exact|Fitted/);
  const { document } = await stored(page);
  expect(document).toMatchObject({
    construction: { form: { kind: 'rhombus', across: '2', up: '3' }, shear: '2/3' },
  });
  expect(hand.count).toBeLessThanOrEqual(5);
});

test('isometric cubes', async ({ page }) => {
  const hand = new Hand(page);
  await hand.begin(TILING, 'Isometric cubes');
  // Edges are 20 mm, as the panel says: 20√3 across, 60 up.
  await expect(page.getByLabel('Side length')).toHaveValue('20 mm');
  await expect(measures(page)).toContainText('34.641 × 60 mm');
  expect(hand.count).toBeLessThanOrEqual(4);
});

test('hexagons of 720 pixels', async ({ page }) => {
  const hand = new Hand(page);
  await hand.press(TILING);
  await hand.press('Hexagons');
  await hand.type('Side length', '720 px');
  await hand.press('Create');
  await clothShown(page);
  // Three shades repeat after three sides across.
  await expect(measures(page)).toContainText('2160 × ');
  expect(hand.count).toBeLessThanOrEqual(4);
});

test('an argyle of 3 : 4', async ({ page }) => {
  const hand = new Hand(page);
  await hand.begin(TILING, 'Diamonds');
  await expect(page.getByLabel('Width : height')).toHaveValue('3 : 4');
  await hand.press('Spokes to sides');
  await hand.click(page.getByLabel('Dashed, whole dashes to each'));
  await hand.type('Width', '0.6 mm');
  hand.count += 1;
  await page.getByLabel('Shade of lines 1').selectOption('O');
  const { document } = await stored(page);
  expect(document).toMatchObject({
    construction: { lines: [{ what: 'rays', width: '0.6 mm', shade: 'O', dashes: { count: 3 } }] },
  });
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  expect(hand.count).toBeLessThanOrEqual(10);
});

test('an 8-end satin, edited, sent to a loom file and read back', async ({ page }) => {
  const hand = new Hand(page);
  await hand.begin(PLAID, 'Satin');
  await hand.click(page.getByLabel('Show the draft'));
  const draft = page.getByRole('img', { name: /^Draft/ });
  const box = (await draft.boundingBox())!;
  hand.count += 1;
  await draft.click({ position: { x: 30, y: box.height - 20 } });
  const edited = (await stored(page)).document;
  expect(JSON.stringify(edited['construction'])).not.toContain('"kind":"satin"');
  const { bytes } = await take(page, () => hand.command('wif'));
  await hand.click(page.getByRole('link', { name: 'Shelf', exact: true }));
  hand.count += 1;
  await page
    .getByLabel('Files to import')
    .setInputFiles({ name: 'satin.wif', mimeType: 'text/plain', buffer: bytes });
  await clothShown(page);
  const facts = async (id: string) =>
    (
      await (await page.request.get(`${server.address}/api/designs/${id}/files/tile.png?perThread=1`)).body()
    ).toString('base64');
  const back = await stored(page);
  const [first] = await shelved(page);
  expect(await facts(back.id)).toBe(await facts(first!));
  expect(hand.count).toBeLessThanOrEqual(7);
});
