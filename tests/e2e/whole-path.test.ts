import { expect } from '@playwright/test';
import { Resvg } from '@resvg/resvg-js';
import { PNG } from 'pngjs';
import { clothShown, saved, step, take } from './helpers.ts';
import { test } from './test.ts';

/** The woven cloth by its definition: A/12 B6 C/4 turning on its pivots, 2/2 twill Z, on both axes. */
const SETT = ['A'.repeat(12), 'B'.repeat(6), 'C'.repeat(4), 'B'.repeat(6)].join('');
/** What these letters mean where no colours are said. */
const COLOURS: Readonly<Record<string, readonly number[]>> = {
  A: [0xd0, 0x8c, 0x2c],
  B: [0x2c, 0x5f, 0x8a],
  C: [0xef, 0xe6, 0xcf],
};

function cloth(end: number, pick: number): readonly number[] {
  const over = (((end - pick) % 4) + 4) % 4 < 2;
  return COLOURS[SETT[(over ? end : pick) % 28]!]!;
}

/** Expects one repeat at `perThread` pixels a thread, the first pick at the bottom. */
function expectCloth(data: Uint8Array, perThread: number): void {
  const side = 28 * perThread;
  expect(data).toHaveLength(side * side * 4);
  for (let y = 0; y < side; y += 1) {
    for (let x = 0; x < side; x += 1) {
      const [red, green, blue] = cloth(Math.floor(x / perThread), Math.floor((side - 1 - y) / perThread));
      const at = (y * side + x) * 4;
      if (data[at] !== red || data[at + 1] !== green || data[at + 2] !== blue) {
        throw new Error(`pixel ${x}, ${y} is not what the counts say`);
      }
    }
  }
}

test('a plaid typed from counts, saved, found again, and sent as tiles that repeat', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Larkmere Light Railway' })).toBeVisible();

  await page.getByRole('button', { name: 'New design' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Ferry blanket');
  await page.getByLabel(/^Warp/).fill('A/12 B6 C/4');
  await page.getByRole('button', { name: 'Create' }).click();
  await clothShown(page);
  await expect(page.getByRole('textbox', { name: /^Warp/ })).toHaveValue('A/12 B6 C/4');
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('28 ends × 28 picks');
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('Exact');

  await page.getByRole('textbox', { name: /^Warp/ }).fill('A/12 B6 C/6');
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('60 ends × 60 picks');
  await expect(page.getByText('The weave’s 4 do not fit into 30')).toBeVisible();
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('textbox', { name: /^Warp/ })).toHaveValue('A/12 B6 C/4');
  await saved(page);

  await page.goto('/');
  await page.getByRole('searchbox').fill('ferry');
  await expect(page.getByRole('listitem').getByRole('link')).toHaveCount(1);
  await page.getByRole('link', { name: 'Ferry blanket' }).click();
  await clothShown(page);
  await expect(page.getByRole('textbox', { name: /^Warp/ })).toHaveValue('A/12 B6 C/4');

  await step(page, 'Send');
  await page.getByRole('radio', { name: 'Pixels a thread' }).click();
  const send = (name: string) =>
    take(page, () => page.getByRole('button', { name: `Send the ${name}` }).click());
  const png = await send('PNG');
  expect(png.name).toMatch(/^Ferry blanket V \d{3}\.png$/);
  const picture = PNG.sync.read(png.bytes);
  expect([picture.width, picture.height]).toEqual([112, 112]);
  expectCloth(picture.data, 4);

  await page.getByRole('radio', { name: 'SVG' }).click();
  const svg = await send('SVG');
  const text = svg.bytes.toString('utf8');
  expect(text).toMatch(/width="29\.63\d+mm"/);
  const sized = text.replace(/width="[^"]+mm" height="[^"]+mm"/, 'width="56" height="56"');
  expectCloth(new Resvg(sized).render().pixels, 2);
});

test('a sheet holds the repeat as often as it fits, with its resolution written in it', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Platform gingham', exact: true }).click();
  await clothShown(page);
  await step(page, 'Send');
  await page.getByRole('radio', { name: 'A size' }).click();
  await page.getByLabel('Size of the sheet').fill('6in x 4in');
  await page.getByLabel('Resolution, pixels per inch').fill('96');
  await expect(page.getByText('576 px · 152.4 mm')).toBeVisible();
  const { bytes } = await take(page, () => page.getByRole('button', { name: 'Send the PNG' }).click());
  const sheet = PNG.sync.read(bytes);
  expect([sheet.width, sheet.height]).toEqual([576, 384]);
  expect(bytes.readUInt32BE(bytes.indexOf('pHYs') + 4)).toBe(3780);
  const misses = Array.from({ length: 384 * 576 }, (_, at) => {
    const [x, y] = [at % 576, Math.floor(at / 576)];
    return sheet.data.readUInt32LE(at * 4) === sheet.data.readUInt32LE(((y % 48) * 576 + (x % 48)) * 4)
      ? 0
      : 1;
  });
  expect(misses.reduce((sum: number, miss) => sum + miss, 0)).toBe(0);
});
