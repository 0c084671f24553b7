import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { clothPixel, openNew, saved, step, take, timesDrawn } from './helpers.ts';
import { test } from './test.ts';

const TEXT = 'shades: A=#24402f Green, C=#efe6cf Cream\nwarp: A8\nweft: C8\nweave: 2/2Z\n';

function weave(page: Page) {
  return page.getByLabel('Any other weave');
}

test('every rule makes a weave of a few numbers, live, and says what cannot be woven', async ({ page }) => {
  await openNew(page, TEXT);
  const rule = page.getByLabel('By rule');
  await expect(rule).toHaveValue('twill');
  await page.getByLabel('Over and under').fill('3/1/1/2');
  await page.getByRole('radio', { name: 'S, to the left' }).click();
  await expect(weave(page)).toHaveValue('3/1/1/2S');
  await page.getByLabel('Step', { exact: true }).fill('2');
  await expect(weave(page)).toHaveValue('3/1/1/2S step 2');
  await page.getByLabel('Over and under').fill('3/1/1');
  await expect(page.getByText('“3/1/1” is not a twill’s line')).toBeVisible();

  await rule.selectOption('satin');
  await expect(weave(page)).toHaveValue('satin 8/3');
  await page.getByLabel('Ends of the satin').fill('7');
  await expect(page.getByLabel('Step', { exact: true }).locator('option')).toHaveText(['2', '3', '4', '5']);
  await page.getByLabel('Step', { exact: true }).selectOption('4');
  await page.getByRole('radio', { name: 'Weft', exact: true }).click();
  await expect(weave(page)).toHaveValue('sateen 7/4');
  await page.getByLabel('Ends of the satin').fill('6');
  await expect(page.getByText('There is no satin of 6 ends')).toBeVisible();
  await expect(weave(page)).toHaveValue('sateen 7/4');

  for (const [kind, label, value, text] of [
    ['steps', 'Ends that each pick moves on', '1 1 2', 'steps 3/3: 1 1 2'],
    ['turned', 'Ends each way', '12', 'herringbone 2/2 12'],
    ['rib', 'Threads together', '4', 'warp rib 4/2'],
    ['hopsack', 'Ends together', '3', 'hopsack 3/2'],
    ['honeycomb', 'Shafts', '6', 'honeycomb 6'],
    ['crepe', 'Seed', '7', 'crepe 12 seed 7 floats 3'],
    ['shaded', 'Tones', '4', 'shaded 8/3 in 4'],
  ] as const) {
    await rule.selectOption(kind);
    await page.getByLabel(label, { exact: true }).fill(value);
    await expect(weave(page)).toHaveValue(text);
  }
  await rule.selectOption('double');
  await page.getByLabel('The lower cloth is stitched to the upper').uncheck();
  await expect(weave(page)).toHaveValue('double');
  await rule.selectOption('blocks');
  await expect(weave(page)).toHaveValue('blocks AB BA; A = satin 5/2; B = sateen 5/2');
  await rule.selectOption('crepe');
  await page.getByRole('button', { name: 'Another of its kind' }).click();
  await expect(weave(page)).toHaveValue('crepe 12 seed 2 floats 3');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await saved(page);
});

test('long floats are marked on the cloth and bound; so is what comes away', async ({ page }) => {
  await openNew(page, TEXT.replace('2/2Z', '6/2Z'));
  await step(page, 'Check');
  const shown = async () => {
    const pixels = await Promise.all(
      Array.from({ length: 16 }, (_, at) => clothPixel(page, 14 * (at % 4), 14 * Math.floor(at / 4))),
    );
    return { red: pixels.some(([red, , blue]) => red! > 1.6 * blue! && red! < 180), pixels };
  };
  expect((await shown()).red).toBe(false);
  const before = await timesDrawn(page);
  await page.getByLabel('Mark floats longer than, 0 for none').fill('4');
  await expect.poll(() => timesDrawn(page)).toBeGreaterThan(before);
  await expect.poll(async () => (await shown()).red).toBe(true);
  await page.getByRole('button', { name: 'Bind them' }).click();
  await expect(page.getByText(/^Bound at \d+ places/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Bind them' })).toHaveCount(0);
  await expect.poll(async () => (await shown()).red).toBe(false);
  await step(page, 'Build');
  await weave(page).fill('double');
  await step(page, 'Check');
  await page.getByLabel('Mark floats longer than, 0 for none').fill('0');
  await page.getByLabel('Mark on the cloth what comes away').check();
  await expect.poll(async () => (await shown()).red).toBe(true);
});

test('the lift plan takes the place of tie-up and treadling, and is worked', async ({ page }) => {
  await openNew(page, TEXT);
  await page.getByLabel('Show the draft').check();
  await page.getByLabel('Lift plan, not treadles').check();
  const canvas = page.getByRole('img', { name: /^Draft,/ });
  const box = (await canvas.boundingBox())!;
  const cell = box.width / (4 + 1 + 5 + 1.5);
  // Right of four ends and a gap, below the names, the strip, five shafts and a gap: the last pick's first shaft.
  await page.mouse.click(box.x + 5.5 * cell, box.y + 18 + (1.5 + 6 + 0.5) * cell);
  await expect(weave(page)).toHaveValue('draft 1 2 3 4; 1 2, 2 3, 3 4, 4; 1 2 3 4');
  // A whole pick of the drawdown with Shift, a whole end with Alt.
  await page.keyboard.down('Shift');
  await page.mouse.click(box.x + 1.5 * cell, box.y + 18 + (1.5 + 6 + 0.5) * cell);
  await page.keyboard.up('Shift');
  await expect(weave(page)).toHaveValue('rows #### ..## .##. ##..');
  await page.keyboard.down('Alt');
  await page.mouse.click(box.x + 0.5 * cell, box.y + 18 + (1.5 + 6 + 1.5) * cell);
  await page.keyboard.up('Alt');
  await expect(weave(page)).toHaveValue('rows #### #.## ###. ##..');
});

test('a draft of 2000 ends is shown as far as it is in view, scrolled and worked', async ({ page }) => {
  const threading = Array.from({ length: 2000 }, (_, end) => 1 + ((end * 7) % 16)).join(' ');
  const tieup = Array.from({ length: 16 }, (_, treadle) => `${treadle + 1} ${1 + ((treadle + 1) % 16)}`).join(
    ', ',
  );
  const treadling = Array.from({ length: 400 }, (_, pick) => 1 + (pick % 16)).join(' ');
  await openNew(page, TEXT.replace('2/2Z', `draft ${threading}; ${tieup}; ${treadling}`));
  await page.getByLabel('Show the draft').check();
  const canvas = page.getByRole('img', { name: /^Draft, 2000 ends and 400 picks/ });
  const box = (await canvas.boundingBox())!;
  expect(box.width).toBeLessThan(1280);
  await page.mouse.move(box.x + 200, box.y + 200);
  await page.mouse.wheel(3000, 0);
  const scrolled = () =>
    canvas
      .locator('xpath=ancestor::*[contains(@class, "overflow-auto")]')
      .evaluate((host) => host.scrollLeft);
  await expect.poll(scrolled).toBe(3000);
  // 5 pixels a cell: 600 cells to the right; the first shaft is the lowest of 17 rows.
  await page.mouse.click(box.x + 2.5, box.y + 18 + (1.5 + 16 + 0.5) * 5);
  await expect(weave(page)).toHaveValue(/^draft (\d+ ){600}1 /);
});

test('cloth is seen flat, as threads and finished, lit from a side, and sent so', async ({ page }) => {
  await openNew(page, TEXT);
  await page.getByRole('button', { name: 'View' }).click();
  const look = async (change: () => Promise<unknown>) => {
    const before = await timesDrawn(page);
    await change();
    await expect.poll(() => timesDrawn(page)).toBeGreaterThan(before);
    const pixels = await Promise.all(Array.from({ length: 12 }, (_, at) => clothPixel(page, at, 2 * at)));
    return JSON.stringify(pixels);
  };
  const drawn = page.getByLabel('Drawn', { exact: true });
  const threads = await look(() => drawn.selectOption('As threads, also from afar'));
  const finished = await look(() => drawn.selectOption('As finished cloth'));
  const lit = await look(() => page.getByLabel(/^Light from/).fill('315'));
  const thick = await look(() => page.getByLabel('Threads as thick as their yarn').check());
  const flat = await look(() => drawn.selectOption('Flat, for exact work'));
  expect(new Set([flat, threads, finished, lit, thick]).size).toBe(5);
  await page.keyboard.press('Escape');
  await step(page, 'Send');
  await page.getByRole('radio', { name: 'Finished', exact: true }).click();
  await page.getByRole('radio', { name: 'Pixels a thread' }).click();
  await page.getByRole('textbox', { name: 'Pixels a thread' }).fill('16');
  const { bytes } = await take(page, () => page.getByRole('button', { name: 'Send the PNG' }).click());
  const { data, info } = await sharp(bytes).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  expect(info).toMatchObject({ width: 64, height: 64 });
  const tones = new Set(Array.from({ length: 64 * 64 }, (_, at) => data.readUIntBE(at * 3, 3)));
  expect(tones.size).toBeGreaterThan(100);
});
