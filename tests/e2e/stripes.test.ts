import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { band, clothPixel, clothShown, openNew, rail, saved, step, take } from './helpers.ts';
import { test } from './test.ts';

const STRIPE = `shades: A=#24402f Green, C=#efe6cf Cream, R=#8c2f25 Red
stripe: A14 C6 R2 C6
`;

function measures(page: Page) {
  return page.getByRole('region', { name: 'Measures' });
}

function bandsField(page: Page) {
  return page.getByRole('textbox', { name: /^Bands/ });
}

test('a stripe is begun from widths, or from an example', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New design' }).click();
  await page.getByRole('radio', { name: 'Stripe', exact: true }).click();
  const dialog = page.getByRole('dialog');
  for (const name of [
    'Pencil lines',
    'Awning',
    'Across the cloth',
    'Diagonal',
    'Three shades at 3/4',
    'Even stripe',
  ]) {
    await dialog.getByRole('button', { name, exact: true }).click();
    await expect(dialog.getByRole('img', { name: /^Cloth of/ })).toBeVisible();
  }
  await dialog.getByLabel(/^Bands/).fill('A12 W');
  await expect(dialog.getByText('“W” has no width')).toBeVisible();
  await dialog.getByLabel(/^Bands/).fill('A12.5 W1/2');
  await dialog.getByLabel('Name', { exact: true }).fill('Bunting');
  await dialog.getByRole('button', { name: 'Create' }).click();
  await clothShown(page);
  await expect(bandsField(page)).toHaveValue('A12.5 W1/2');
  await expect(measures(page)).toContainText('13 × 13 mm');
});

test('an angle is typed, offered with what it costs, chosen and dragged; the repeat follows', async ({
  page,
}) => {
  await openNew(page, STRIPE);
  await page.getByRole('radio', { name: 'At an angle' }).click();
  await page.getByLabel('Angle, degrees').fill('35');
  await expect(page.getByText('You asked for 35°. Slope 7/10 is 34.992°: −0.008°.')).toBeVisible();
  await expect(measures(page)).toContainText('≈ 48.826 × 34.178 mm');
  await page.getByRole('button', { name: 'Use slope 2/3' }).click();
  await expect(page.getByLabel('Slope, rise / run')).toHaveValue('2/3');
  await expect(page.getByText(/You asked for 35°. Slope 2\/3 is 33.69°/)).toBeVisible();
  await page.getByLabel('Slope, rise / run').fill('3/4');
  await expect(measures(page)).toContainText('46.667 × 35 mm');
  await page.getByLabel('Slope, rise / run').fill('0/0');
  await expect(page.getByText('A slope of 0/0 goes nowhere')).toBeVisible();
  await page.getByLabel('Slope, rise / run').fill('1/1000000');
  await expect(page.getByRole('alert')).toContainText('repeats only after 28000 ×');
  await page.getByLabel('Slope, rise / run').fill('1/1');
  await page.getByRole('radio', { name: 'Along the upper edge' }).click();
  await expect(measures(page)).toContainText('28 × 28 mm');
  const handle = page.getByRole('slider', { name: 'Angle of the lines' });
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Angle, degrees')).toHaveValue('46');
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 20, box.y - 30, { steps: 6 });
  await page.mouse.up();
  const dragged = Number(await page.getByLabel('Angle, degrees').inputValue());
  expect(dragged).toBeGreaterThan(50);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Angle, degrees')).toHaveValue('46');
  await saved(page);
});

test('45° closes in a square of a side in one click, exactly', async ({ page }) => {
  await openNew(page, `${STRIPE}slope: 1/1\n`);
  await page.getByLabel(/^Side of the square/).fill('127');
  await page.getByLabel('Repeats of the bands along each edge').fill('5');
  await page.getByRole('button', { name: 'Scale the bands into it' }).click();
  await expect(measures(page)).toContainText('25.4 × 25.4 mm');
  await expect(measures(page)).toContainText('Exact');
  await expect(bandsField(page)).toHaveValue('A12.7 C381/70 R127/70 C381/70');
  await step(page, 'Check');
  await expect(page.getByText(/4 faces cover the repeat once/)).toBeAttached();
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  await expect(page.getByRole('row', { name: /Green/ }).first()).toContainText('50.0 %');
});

test('the rail shows where lines meet the edge, and is worked by hand and key', async ({ page }) => {
  await openNew(page, STRIPE);
  await expect(rail(page, 'Bands')).toHaveAttribute('aria-label', 'Bands rail, 28 mm');
  await expect(page.getByRole('img', { name: 'Ruler in mm, up' })).toBeVisible();
  await band(page, 'Bands', 0).click();
  await page.keyboard.type('9');
  await expect(bandsField(page)).toHaveValue('A9 C6 R2 C6');
  await page.keyboard.press('+');
  await expect(bandsField(page)).toHaveValue('A10 C6 R2 C6');
  await page.getByLabel('Width of this band').fill('1 in');
  await expect(page.getByText('= 25.4 mm')).toBeVisible();
  await expect(bandsField(page)).toHaveValue('A1in C6 R2 C6');
  await page.getByLabel('Width of this band').fill('25/2');
  const box = (await band(page, 'Bands', 0).boundingBox())!;
  await page.mouse.move(box.x + box.width, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width + 14, box.y + 10, { steps: 4 });
  await page.mouse.up();
  await expect(bandsField(page)).not.toHaveValue('A25/2 C6 R2 C6');
  await expect(rail(page, 'Bands')).toHaveAttribute('aria-label', 'Bands rail, 26.5 mm');
  await page.getByRole('radio', { name: 'Across', exact: true }).click();
  await expect(page.getByRole('img', { name: 'Ruler in mm, across' })).toBeVisible();
  await page.getByRole('radio', { name: 'End bands once' }).click();
  await expect(rail(page, 'Bands').locator('[data-reflected]').first()).toBeVisible();
});

test('a stripe is sent as a picture, a drawing, text and a table; clear bands stay clear', async ({
  page,
}) => {
  await openNew(page, `${STRIPE}slope: 1/1\nmeasured: edge\n`);
  const shows = () =>
    page.locator('canvas[data-painted]').evaluate((canvas) => {
      const { width, height } = canvas as HTMLCanvasElement;
      const { data } = (canvas as HTMLCanvasElement).getContext('2d')!.getImageData(0, 0, width, height);
      return data.some((value, at) => at % 4 === 3 && value === 0);
    });
  expect(await shows()).toBe(false);
  await page.getByLabel('Transparent').selectOption({ label: 'Cream' });
  await expect.poll(shows).toBe(true);
  await step(page, 'Send');
  const picture = await take(page, () => page.getByRole('button', { name: 'Send the PNG' }).click());
  const { data, info } = await sharp(picture.bytes).raw().toBuffer({ resolveWithObject: true });
  expect(info).toMatchObject({ width: 331, height: 331, channels: 4 });
  const clear = [...data].filter((_, at) => at % 4 === 3 && data[at] === 0).length;
  // Cream has 12 of 28 mm; pixels that it shares with others are not counted.
  expect(clear / (331 * 331)).toBeGreaterThan(0.41);
  expect(clear / (331 * 331)).toBeLessThan(12 / 28);
  for (const [file, words] of [
    ['SVG', '<path'],
    ['Counts', 'stripe: A14 C6 R2 C6'],
    ['CSV', 'Green,#24402f,14,mm,'],
  ] as const) {
    await page.getByRole('radio', { name: file, exact: true }).click();
    const { bytes } = await take(page, () => page.getByRole('button', { name: `Send the ${file}` }).click());
    expect(bytes.toString()).toContain(words);
  }
  await expect(page.getByText('Pixels a thread')).toHaveCount(0);
});

test('a thousand bands stay workable', async ({ page }) => {
  const bands = Array.from({ length: 1000 }, (_, at) => `${'ACR'[at % 3]}${1 + (at % 4)}`).join(' ');
  await openNew(page, STRIPE.replace('A14 C6 R2 C6', bands));
  await expect(measures(page)).toContainText('2500 × 2500 mm');
  await page.getByRole('radio', { name: 'At an angle' }).click();
  await expect(measures(page)).toContainText('≈ 3535.534 × 3535.534 mm');
  expect(await clothPixel(page)).toHaveLength(3);
});
