import { expect } from '@playwright/test';
import { band, clothPixel, openFromShelf, openNew, saved, step, take, warpField } from './helpers.ts';
import { test } from './test.ts';

const TEXT = 'shades: A=#24402f Green, B=#8c2f25 Red\nwarp: A20 B10\nweave: 2/2Z\ndensity: 25/in\n';

test('a shade is changed, named, added, ordered, replaced', async ({ page }) => {
  await openNew(page, TEXT);
  await step(page, 'Colours');
  await page.getByRole('button', { name: 'Colour of Red, #8c2f25' }).click();
  await page.getByLabel('Colour', { exact: true }).fill('#2e4c63');
  await expect(band(page, 'Warp', 1)).toHaveCSS('background-color', 'rgb(46, 76, 99)');
  await page.keyboard.press('Escape');
  await page.getByLabel('Name of shade B').fill('Slate');
  await page.getByRole('button', { name: 'Add a shade' }).click();
  await expect(page.getByRole('button', { name: /^Colour of/ })).toHaveCount(3);
  await page.getByLabel('Letter of Slate').fill('S');
  await page.keyboard.press('Enter');

  await page.getByRole('button', { name: 'Move Slate', exact: true }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Slate is over place 2.')).toBeAttached();
  // The sensor hears keys from its next timer on: on a busy machine the first key may come before it.
  await expect(async () => {
    await page.keyboard.press('ArrowUp');
    await expect(page.getByText('Slate is over place 1.')).toBeAttached({ timeout: 2000 });
  }).toPass();
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: /^Colour of/ }).first()).toHaveAccessibleName(/Slate/);

  await page.getByRole('button', { name: 'Remove Slate' }).click();
  const dialog = page.getByRole('dialog', { name: 'Slate is in use' });
  await dialog.getByRole('button', { name: 'Green' }).click();
  await expect(page.getByRole('button', { name: /^Colour of/ })).toHaveCount(2);
  await step(page, 'Build');
  await expect(warpField(page)).toHaveValue('A20 A10');
  await saved(page);
});

test('the density gives the repeat its size, and the check its pixels', async ({ page }) => {
  await openNew(page, TEXT);
  await step(page, 'Lay');
  await page.getByLabel('Ends per inch').fill('37/2');
  await expect(page.getByText('= 18.5')).toBeVisible();
  await page.getByLabel('Picks per inch').fill('nothing');
  await expect(page.getByText('“nothing” is not a number.')).toBeVisible();
  await page.getByLabel('Picks per inch').fill('20');
  await expect(page.getByText('“nothing” is not a number.')).toHaveCount(0);
  const inches = page.getByRole('radio', { name: 'in', exact: true });
  await inches.click();
  await expect(inches).toBeChecked();
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('3.24324 × 3 in');

  await step(page, 'Check');
  const panel = page.getByRole('region', { name: 'Check' });
  await expect(panel.getByText('Fitted').first()).toBeVisible();
  await expect(panel).toContainText('0 of');
  await expect(panel).toContainText('With the weave’s 4 it comes round only after 60');
  const offer = panel.getByRole('listitem').filter({ hasText: 'dpi: ' }).first();
  await expect(offer).toContainText('px a thread');
  await offer.getByRole('button', { name: 'Use' }).click();
  await expect(panel.getByText('It repeats, in numbers and in whole pixels.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(panel.getByText('Fitted').first()).toBeVisible();
});

test('any twill can be typed, and a weave that makes the repeat too long is told', async ({ page }) => {
  await openNew(page, TEXT);
  await page.getByRole('button', { name: '2/2 S' }).click();
  await expect(page.getByLabel('Any other weave')).toHaveValue('2/2S');
  await page.getByLabel('Any other weave').fill('3/3 Z');
  await expect(page.getByRole('complementary', { name: 'Ticket' })).toContainText('3/3 twill Z');
  await page.getByLabel('Any other weave').fill('satin');
  await expect(page.getByText('“satin” is not a weave.')).toBeVisible();
  await warpField(page).fill('A99990 B1');
  await page.getByLabel('Any other weave').fill('32/31Z');
  await expect(page.getByRole('alert')).toContainText('Choose counts that divide the weave');
  await expect(page.getByRole('navigation', { name: 'Steps' })).toContainText('Cannot be woven');
  await page.getByLabel('Any other weave').fill('plain');
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('the keys work: zoom, outlines, ticket, list', async ({ page }) => {
  await openFromShelf(page, 'Third-class moquette');
  await page.getByRole('img', { name: /^Cloth of/ }).click();
  await page.keyboard.press('1');
  await expect(page.getByText('1 px a thread')).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByText('5 px a thread')).toBeVisible();
  await page.keyboard.press('0');
  await expect(page.getByText('4 px a thread')).toBeVisible();
  const pixels = () =>
    page
      .getByRole('img', { name: /^Cloth of/ })
      .evaluate((canvas) => (canvas as HTMLCanvasElement).toDataURL());
  const outlined = await pixels();
  await page.keyboard.press('r');
  await expect.poll(pixels).not.toBe(outlined);
  const bare = await pixels();
  await page.keyboard.press('u');
  await expect.poll(pixels).not.toBe(bare);
  await page.keyboard.press('t');
  await expect(page.getByRole('complementary', { name: 'Ticket' })).toHaveCount(0);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toContainText(
    'true size on this monitor',
  );
});

test('the cloth pans by dragging and lies true: its colours follow the repeat', async ({ page }) => {
  await openFromShelf(page, 'Third-class moquette');
  const cloth = page.getByRole('img', { name: /^Cloth of/ });
  await page.keyboard.press('r');
  await page.keyboard.press('t');
  const sample = () =>
    cloth.evaluate((canvas) => {
      const { data } = (canvas as HTMLCanvasElement).getContext('2d')!.getImageData(200, 300, 120, 1);
      return [...data].join();
    });
  const before = await sample();
  const box = (await cloth.boundingBox())!;
  const drag = async (dx: number) => {
    await page.mouse.move(box.x + 400, box.y + 300);
    await page.mouse.down();
    await page.mouse.move(box.x + 400 + dx, box.y + 300, { steps: 4 });
    await page.mouse.up();
  };
  await drag(40);
  await expect.poll(sample).not.toBe(before);
  await drag(140);
  await expect.poll(sample).toBe(before);
});

test('the monitor is measured once, and true size follows', async ({ page }) => {
  await openFromShelf(page, 'Third-class moquette');
  await page.getByRole('button', { name: 'View' }).click();
  await page.getByRole('button', { name: 'Calibrate this monitor…' }).click();
  await page.getByRole('slider', { name: 'Width of the card' }).fill('7.56');
  await page.getByRole('button', { name: 'Same width: use it' }).click();
  await expect(page.getByText('8 px a thread')).toBeVisible();
});

test('a name is edited where it stands, and a copy is made beside', async ({ page }) => {
  await openNew(page, TEXT);
  await page.getByLabel('Name of the design').fill('Goods-shed curtain');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByLabel('Name of the design')).toHaveValue('Goods-shed curtain copy');
});

test('counts, tables and documents are shown and sent', async ({ page }) => {
  await openNew(page, TEXT);
  await step(page, 'Send');
  for (const [file, ending, content] of [
    ['Counts', 'txt', 'warp: A20 B10'],
    ['CSV', 'csv', 'warp,Green,#24402f,20,'],
    ['Design', 'json', '"format": "vetro-design"'],
  ] as const) {
    await page.getByRole('radio', { name: file }).click();
    await expect(page.getByRole('region', { name: 'What will be sent' })).toContainText(content);
    const { name, bytes } = await take(page, () =>
      page.getByRole('button', { name: `Send the ${file}` }).click(),
    );
    // Behind the design’s name stands the number that it was given.
    expect(name).toMatch(new RegExp(`^Made for a test V \\d+\\.${ending}$`));
    expect(bytes.toString('utf8')).toContain(content);
  }
  await page.getByRole('radio', { name: 'PNG' }).click();
  await page.getByRole('radio', { name: 'Pixels a thread' }).click();
  await page.getByLabel('Pixels a thread').fill('900');
  await expect(page.getByText('Pixels a thread must be a whole number from 1 to 200')).toBeVisible();
});

test('the balance counts each shade and says what is the same as what, as picture and as table', async ({
  page,
}) => {
  await openNew(page, 'shades: A=#24402f Green, B=#efe6cf Cream\nwarp: A/8 B4 A/4\nweft: B6\nweave: 3/1Z\n');
  await step(page, 'Check');
  const balance = page.getByRole('region', { name: 'Balance' });
  await expect(balance.getByRole('img', { name: 'Shares of each shade' })).toBeVisible();
  await expect(balance.getByRole('row', { name: /^Green #24402f 12 4\d\.\d %$/ })).toBeVisible();
  await expect(balance.getByRole('row', { name: /^Cream #efe6cf 8 6 5\d\.\d %$/ })).toBeVisible();
  await expect(balance).toContainText('Reads the same backwardboth');
  await expect(balance).toContainText('The same turned by 90°no');
  const shares = balance.getByRole('table', { name: 'Shares of each shade' });
  await expect(shares.getByRole('row', { name: /^Green 60\.0 %/ })).toBeAttached();
  expect(await page.evaluate(() => window.document.documentElement.scrollHeight)).toBe(800);
});

test('a shade card is ordered, merged where shades are alike, sent out and brought in', async ({ page }) => {
  await openNew(page, 'shades: A=#24402f Green, B=#efe6cf Cream, C=#25412f Other green\nwarp: A8 B4 C2\n');
  await step(page, 'Colours');
  const colours = page.getByRole('button', { name: /^Colour of/ });
  await page.getByLabel('Sort the shades').selectOption('Light to dark');
  await expect(colours.first()).toHaveAccessibleName(/Cream/);
  const tools = page.getByRole('region', { name: 'The whole card' });
  await expect(tools).toContainText('Other green, Green');
  await tools.getByRole('button', { name: 'Merge' }).click();
  await expect(colours).toHaveCount(2);

  const csv = await take(page, () => tools.getByRole('button', { name: 'Export as CSV' }).click());
  expect(csv.bytes.toString('utf8')).toContain('B,Cream,#efe6cf');
  const tokens = await take(page, () => tools.getByRole('button', { name: 'Colour tokens (JSON)' }).click());
  expect(tokens.name).toBe('Made for a test shades.tokens.json');

  const bring = (name: string, text: string | Buffer) =>
    tools
      .getByLabel('A shade card to import')
      .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await bring('back.json', tokens.bytes);
  await expect(page.getByText('Added 0 shades; 2 stood there already.')).toBeVisible();
  await bring('more.csv', 'name,colour\nSlate,#2e4c63\nCream,#efe6cf\n');
  await expect(colours).toHaveCount(3);
  await bring('broken.csv', 'name,colour\nRed,#f00\nRed,#e00\n');
  await expect(page.getByText('Two shades are called “Red”.')).toBeVisible();
  await expect(colours).toHaveCount(3);
});

test('colourways are kept, made, named, seen side by side, taken, and sent by name', async ({ page }) => {
  const id = await openNew(page, 'shades: A=#24402f Green, B=#efe6cf Cream\nwarp: A8 B4\nweave: plain\n');
  await step(page, 'Colours');
  const part = page.getByRole('region', { name: 'Colourways' });
  await part.getByRole('button', { name: 'Keep these colours' }).click();
  for (const variation of ['Shades rotated', 'Hues turned', 'Lighter', 'Shuffled, dark stays dark']) {
    await part.getByLabel('Make a colourway').selectOption(variation);
  }
  await part.getByLabel('Name of colourway Shades rotated').fill('Night');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('navigation', { name: 'Steps' })).toContainText('2 shades, 5 colourways');

  await part.getByLabel('See all side by side').check();
  const view = page.getByRole('region', { name: 'All colourways' });
  await expect(view.getByRole('listitem')).toHaveCount(6);
  await expect(view).toContainText('As it is');
  const colours = await view.getByRole('img').evaluateAll((canvases) =>
    canvases.map((canvas) => {
      const { data } = (canvas as HTMLCanvasElement).getContext('2d')!.getImageData(20, 60, 60, 60);
      return [...new Set(new Uint32Array(data.buffer))].sort().join();
    }),
  );
  expect(colours[0]).toBe(colours[1]);
  // Rotating two shades gives the same two colours; turned and lighter ones are others.
  expect(new Set(colours).size).toBeGreaterThanOrEqual(3);
  await part.getByLabel('See all side by side').uncheck();

  await part.getByRole('button', { name: 'Use Night' }).click();
  await expect(page.getByRole('button', { name: 'Colour of Green, #efe6cf' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await part.getByRole('button', { name: 'Remove Lighter' }).click();
  await saved(page);

  await step(page, 'Send');
  await page.getByRole('combobox', { name: 'Colours' }).selectOption('Night');
  await page.getByRole('radio', { name: 'SVG' }).click();
  const { name, bytes } = await take(page, () => page.getByRole('button', { name: 'Send the SVG' }).click());
  expect(name).toMatch(/^Made for a test V \d+ Night\.svg$/);
  const plain = await page.request.get(`/api/designs/${id}/files/tile.svg`);
  const paths = (svg: string) =>
    [...svg.matchAll(/fill="(#\w+)" d="([^"]+)"/g)].map(([, hex, d]) => `${hex} ${d}`);
  const swapped = paths(await plain.text()).map((path) =>
    path.startsWith('#24402f') ? path.replace('#24402f', '#efe6cf') : path.replace('#efe6cf', '#24402f'),
  );
  expect(new Set(paths(bytes.toString('utf8')))).toEqual(new Set(swapped));
  const unknown = await page.request.get(`/api/designs/${id}/files/tile.svg?colourway=Noon`);
  expect(unknown.status()).toBe(422);
});

test('a proof in greys changes the cloth that is seen, and nothing of the design', async ({ page }) => {
  await openNew(page, 'shades: A=#8c2f25 Red\nwarp: A4\nweave: plain\n');
  await expect.poll(() => clothPixel(page)).toEqual([0x8c, 0x2f, 0x25]);
  await page.getByRole('button', { name: 'View' }).click();
  await page.getByLabel('Colour vision').selectOption('In greys');
  await expect.poll(async () => new Set(await clothPixel(page)).size).toBe(1);
  await expect(page.getByText('Proof: in greys')).toBeVisible();
  await page.getByLabel('Colour vision').selectOption('As it is');
  await expect.poll(() => clothPixel(page)).toEqual([0x8c, 0x2f, 0x25]);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});
