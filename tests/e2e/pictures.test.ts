import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { openNew, saved, step } from './helpers.ts';
import { test } from './test.ts';

const STRIPE = 'shades: A=#24402f Green, C=#efe6cf Cream\nstripe: A14 C6\n';
const PLAID = 'shades: A=#24402f Green, C=#efe6cf Cream\nwarp: A20 C28\nweave: plain\n';

/** Three upright bands of 100, 200 and 100 pixels. */
async function threeBands(): Promise<Buffer> {
  const band = (background: string, left: number, width: number) => ({
    input: { create: { width, height: 120, channels: 3 as const, background } },
    left,
    top: 0,
  });
  return sharp({ create: { width: 400, height: 120, channels: 3, background: '#000000' } })
    .composite([band('#aa3322', 0, 100), band('#eeeecc', 100, 200), band('#224466', 300, 100)])
    .removeAlpha()
    .png()
    .toBuffer();
}

async function openPicture(page: Page, buffer: Buffer, name = 'photo.png'): Promise<void> {
  await page.getByLabel('A picture to open').setInputFiles({ name, mimeType: 'image/png', buffer });
}

function outcome(page: Page) {
  return page.getByRole('region', { name: 'What comes of it' });
}

test('a picture becomes the bands of a stripe, live until they are taken, undone in one step', async ({
  page,
}) => {
  await openNew(page, STRIPE);
  await page.getByRole('button', { name: 'From a picture…' }).click();
  await openPicture(page, await threeBands());
  await expect(outcome(page)).toContainText('3 bands, 3 shades, 20 mm');
  await page.getByLabel('All bands together, mm').fill('40');
  await expect(outcome(page)).toContainText('#eeeecc 50 %');
  await page.getByRole('radio', { name: 'All equal' }).click();
  await expect(outcome(page)).toContainText(/#eeeecc 33 %/);
  await page.getByRole('radio', { name: 'As in the picture' }).click();
  await page.getByRole('button', { name: 'Down the middle' }).click();
  await expect(outcome(page)).toContainText('1 band, 1 shade');
  const picture = (await page.getByRole('img', { name: 'The picture in blocks' }).boundingBox())!;
  await page.mouse.move(picture.x + picture.width * 0.1, picture.y + 20);
  await page.mouse.down();
  await page.mouse.move(picture.x + picture.width * 0.6, picture.y + 90, { steps: 5 });
  await page.mouse.up();
  await expect(outcome(page)).toContainText('2 bands, 2 shades');
  await page.getByRole('button', { name: 'End of the line' }).focus();
  for (let press = 0; press < 3; press += 1) await page.keyboard.press('Shift+ArrowRight');
  await expect(outcome(page)).toContainText('3 bands, 3 shades');
  await page.getByRole('button', { name: 'Across the middle' }).click();
  await expect(outcome(page)).toContainText('3 bands, 3 shades, 40 mm');
  await page.getByRole('button', { name: 'Use these bands' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: /^Bands/ })).toHaveValue('B10 D20 E10');
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('textbox', { name: /^Bands/ })).toHaveValue('A14 C6');
});

test('shipped pictures, merging and the limit of shades; a warp takes whole threads', async ({ page }) => {
  await openNew(page, PLAID);
  await page.getByRole('button', { name: 'From a picture…' }).click();
  for (const name of ['Lake at dusk', 'Heather bank', 'Boiler and brass']) {
    await page.getByRole('button', { name }).click();
    await expect(page.getByRole('img', { name: 'The picture in blocks' })).toBeVisible();
    await expect(outcome(page)).toContainText(/48 threads/);
    if (name !== 'Boiler and brass') await page.getByRole('button', { name: 'Another picture' }).click();
  }
  const slide = async (label: string, value: number) => page.getByLabel(label).fill(String(value));
  await slide('Shades, at most', 3);
  await expect(outcome(page)).toContainText(/, 3 shades, 48 threads/);
  await slide('Shades, at most', 40);
  await slide('Merge similar colours', 0);
  await slide('Block size', 1);
  await expect(page.getByRole('alert')).toContainText('at most 48 fit');
  await expect(page.getByRole('button', { name: 'Use these bands' })).toBeDisabled();
  await page.getByLabel('All bands together, threads').fill('960');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await slide('Merge similar colours', 12);
  await page.getByRole('button', { name: 'Use these bands' }).click();
  await expect(page.getByText('960 threads')).toBeVisible();
});

test('shades are added to the card from a picture', async ({ page }) => {
  await openNew(page, PLAID);
  await step(page, 'Colours');
  await page.getByRole('button', { name: 'From a picture…' }).click();
  await openPicture(page, await threeBands());
  await page.getByRole('button', { name: 'Add these shades' }).click();
  await expect(page.getByRole('navigation', { name: 'Steps' })).toContainText('5 shades');
});

test('what is no picture is refused in words, and another can be taken', async ({ page }) => {
  await openNew(page, STRIPE);
  await page.getByRole('button', { name: 'From a picture…' }).click();
  await openPicture(page, Buffer.from('not at all a picture'));
  await expect(page.getByRole('alert')).toContainText('That is not a picture.');
  const huge = await sharp({ create: { width: 16_000, height: 8000, channels: 3, background: '#345' } })
    .png()
    .toBuffer();
  await openPicture(page, huge);
  await expect(page.getByRole('alert')).toContainText('at most 120 million are read');
  const one = await sharp({ create: { width: 1, height: 1, channels: 3, background: '#345678' } })
    .png()
    .toBuffer();
  await openPicture(page, one);
  await expect(outcome(page)).toContainText('1 band, 1 shade');
  await expect(outcome(page)).toContainText('#345678 100 %');
});
