import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { LOOM_PORT } from '../../playwright.config.ts';
import { startStandIn } from '../../src/server/loom/stand-in.ts';
import { openNew, saved, step, take } from './helpers.ts';
import { test } from './test.ts';

const TEXT = 'shades: A=#24402f Green, C=#efe6cf Cream\nwarp: A8\nweft: C8\nweave: 2/2Z\n';

function draft(page: Page) {
  return page.getByRole('img', { name: /^Draft,/ });
}

function weave(page: Page) {
  return page.getByLabel('Any other weave');
}

/** Pixels above the parts, where their names stand. */
const NAMES = 18;

/** Presses in the middle of a cell, counted from the canvas's upper left. */
async function press(page: Page, column: number, row: number): Promise<void> {
  const box = (await draft(page).boundingBox())!;
  // 4 ends, a gap, 5 treadles and a strip of 1.5 lie side by side.
  const cell = box.width / (4 + 1 + 5 + 1.5);
  await page.mouse.click(box.x + (column + 0.5) * cell, box.y + NAMES + (row + 1.5 + 0.5) * cell);
}

test('a draft is worked in each of its parts, and the others follow', async ({ page }) => {
  await openNew(page, TEXT);
  await page.getByLabel('Show the draft').check();
  await expect(draft(page)).toHaveAttribute('aria-label', /4 ends and 4 picks/);
  // The drawdown lies below five rows of the threading and a gap: its upper left cell is up in 2/2 Z.
  await press(page, 0, 6);
  await expect(weave(page)).toHaveValue('rows ...# ..## .##. ##..');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(weave(page)).toHaveValue('2/2Z');
  // The first end on the second shaft; rows of the threading count from below.
  await press(page, 0, 3);
  await expect(weave(page)).toHaveValue(/^draft 2 2 3 4;/);
  // A tie more on the first treadle: the fourth shaft.
  await press(page, 5, 1);
  await expect(weave(page)).toHaveValue(/^draft 2 2 3 4; 1 2 4,/);
  // The last pick, the uppermost row, takes the first treadle.
  await press(page, 5, 6);
  await expect(weave(page)).toHaveValue(/; 1 2 3 1$/);
  await saved(page);
  await draft(page).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press(' ');
  await expect(weave(page)).toHaveValue(/^rows /);
});

test('yarn is counted for a piece, in any system, and listed', async ({ page }) => {
  await openNew(page, TEXT);
  await step(page, 'Check');
  const yarn = page.getByRole('region', { name: 'Yarn' });
  await yarn.getByLabel('Width in the reed').fill('25 in');
  await yarn.getByLabel('Warp yarn', { exact: true }).fill('20');
  await yarn.getByLabel('Take-up of the warp').fill('0');
  await yarn.getByLabel('Waste of each end').fill('0');
  await yarn.getByLabel('Selvedge ends, both edges').fill('0');
  await expect(yarn.getByRole('row', { name: /Green, warp/ })).toContainText('600');
  await yarn.getByLabel('System of the warp yarn').selectOption('Nm');
  await expect(yarn.getByLabel('Warp yarn', { exact: true })).toHaveValue('50');
  await yarn.getByLabel('Length of cloth').fill('far');
  await expect(yarn.getByText(/is not a number|cannot be read/i).first()).toBeVisible();
  const list = await take(page, () => yarn.getByRole('button', { name: 'Warping order' }).click());
  expect(list.name).toBe('Made for a test warping.csv');
  expect(list.bytes.toString()).toBe('from,ends,shade,colour\r\n1,600,Green,#24402f\r\n');
  await page.keyboard.press('Escape');
  await page.locator('canvas[data-painted]').focus();
  await page.keyboard.press('b');
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('From behind');
});

test('a rule, its draft edited, the facts, and a weave file sent and brought in again, the same', async ({
  page,
}) => {
  await openNew(page, TEXT.replace('2/2Z', 'satin 5/2'));
  await page.getByLabel('By rule').selectOption('Hopsack');
  await expect(weave(page)).toHaveValue('hopsack 2');
  await page.getByLabel('Show the draft').check();
  await draft(page).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press(' ');
  await expect(weave(page)).toHaveValue(/^rows /);
  await page.getByLabel('Show the draft').uncheck();
  await expect(page.getByRole('img', { name: /^Cloth of/ })).toBeVisible();
  await step(page, 'Check');
  await expect(page.getByText('No loose threads.')).toBeVisible();
  await expect(page.getByText('7/16 = 0.438')).toBeVisible();
  await step(page, 'Send');
  await page.getByRole('radio', { name: 'WIF', exact: true }).click();
  await expect(page.getByText('[THREADING]')).toBeVisible();
  const { bytes } = await take(page, () => page.getByRole('button', { name: 'Send the WIF' }).click());
  await page.goto('/');
  await page
    .getByLabel('Files to import')
    .setInputFiles({ name: 'again.wif', mimeType: 'text/plain', buffer: bytes });
  await expect(page.getByLabel('Any other weave')).toHaveValue(/^draft /);
  await step(page, 'Check');
  await expect(page.getByText('Longest float, warp and weft')).toBeVisible();
  await step(page, 'Send');
  await page.getByRole('radio', { name: 'WIF', exact: true }).click();
  const again = await take(page, () => page.getByRole('button', { name: 'Send the WIF' }).click());
  expect(again.bytes.toString()).toBe(bytes.toString());
});

test('the structure is sent as a draft, on point paper and as a texture', async ({ page }) => {
  await openNew(page, TEXT);
  await step(page, 'Send');
  await page.getByRole('radio', { name: 'Draft', exact: true }).click();
  await expect(page.getByRole('img', { name: 'What will be sent' })).toBeVisible();
  const draft = await take(page, () => page.getByRole('button', { name: 'Send the Draft' }).click());
  expect(draft.name).toMatch(/\.svg$/);
  expect(draft.bytes.toString().match(/<path fill="#20292b"/g)).toHaveLength(3);
  await page.getByRole('radio', { name: 'Squares', exact: true }).click();
  const squares = await take(page, () => page.getByRole('button', { name: 'Send the Squares' }).click());
  expect(squares.bytes.toString().match(/<path fill="#20292b"/g)).toHaveLength(1);
  await page.getByRole('radio', { name: 'Texture', exact: true }).click();
  await page.getByLabel('Pixels a thread').fill('5');
  const texture = await take(page, () => page.getByRole('button', { name: 'Send the Texture' }).click());
  const { data, info } = await sharp(texture.bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  expect(info).toMatchObject({ width: 20, height: 20, channels: 4 });
  expect(data.filter((_, at) => at % 4 === 3).filter((alpha) => alpha === 255)).toHaveLength(200);
  await page.getByRole('radio', { name: 'Point paper', exact: true }).click();
  const paper = await take(page, () => page.getByRole('button', { name: 'Send the Point paper' }).click());
  expect(await sharp(paper.bytes).metadata()).toMatchObject({ format: 'png', width: 20, height: 20 });
});

test('a sett that the weave does not fit is told, and offered counts that close sooner', async ({ page }) => {
  await openNew(page, TEXT.replace('warp: A8', 'warp: A20 C10').replace('2/2Z', 'satin 8/3'));
  await expect(page.getByText('the cloth repeats only after 120 ends')).toBeVisible();
  await page.getByRole('button', { name: 'Scale it to 32' }).click();
  await expect(page.getByRole('textbox', { name: /^Warp/ })).toHaveValue('A21 C11');
  await expect(page.getByText('the cloth repeats only after')).toHaveCount(0);
  await page.getByLabel('Show the draft').check();
  await page.getByLabel('Thread its shafts').selectOption('Rosepath');
  await expect(weave(page)).toHaveValue(/^draft 1 2 3 4 5 6 7 8 1 8 7 6 5 4 3 2;/);
});

test('a design is woven pick by pick, and goes on after an interruption where it stopped', async ({
  page,
}) => {
  const loom = await startStandIn({ port: LOOM_PORT, shafts: 8, delay: 5 });
  await openNew(page, TEXT);
  await step(page, 'Send');
  await page.getByRole('button', { name: 'Weave it on a loom…' }).click();
  const dialog = page.getByRole('dialog');
  const toThrow = dialog.getByRole('button', { name: 'Throw this pick' });
  await toThrow.click();
  await expect(dialog.getByText('The loom raised 1, 2.')).toBeVisible();
  await toThrow.click();
  await expect(dialog.getByText('The loom raised 2, 3.')).toBeVisible();
  await expect(dialog.getByText('Pick 3 of 4')).toBeVisible();
  await loom.close();
  await toThrow.click();
  await expect(dialog.getByRole('alert')).toContainText(`No loom answers at port ${loom.port}`);
  await expect(dialog.getByText('Pick 3 of 4')).toBeVisible();
  const again = await startStandIn({ port: loom.port, shafts: 8, delay: 5 });
  await page.reload();
  await step(page, 'Send');
  await page.getByRole('button', { name: 'Weave it on a loom…' }).click();
  await expect(dialog.getByText('Pick 3 of 4')).toBeVisible();
  await toThrow.click();
  await expect(dialog.getByText('The loom raised 3, 4.')).toBeVisible();
  await dialog.getByRole('button', { name: 'One pick back' }).click();
  await expect(dialog.getByText('Pick 3 of 4')).toBeVisible();
  await again.close();
});

test('a structure is turned, resized and marked; the facts tell when it falls apart', async ({ page }) => {
  await openNew(page, TEXT);
  await page.getByLabel('Show the draft').check();
  await page.getByRole('button', { name: 'Swap faces' }).click();
  await expect(weave(page)).toHaveValue('rows .##. ##.. #..# ..##');
  await page.getByLabel(/^As rows/).fill('110\n011\n101');
  await expect(weave(page)).toHaveValue('rows ##. .## #.#');
  await page.getByLabel(/^As rows/).fill('110\n01');
  await expect(page.getByText('Row 2 of the structure is not right')).toBeVisible();
  await weave(page).fill('rows .##. ##.. #..# ..##');
  await page.getByRole('button', { name: 'Double the ends' }).click();
  await expect(draft(page)).toHaveAttribute('aria-label', /8 ends and 4 picks/);
  await page.getByLabel('Picks of the structure').fill('6');
  await expect(draft(page)).toHaveAttribute('aria-label', /8 ends and 6 picks/);
  await page.getByLabel('Picks of the structure').fill('10000');
  await expect(page.getByText('must be from 1 to 512')).toBeVisible();
  await page.getByLabel('Mark floats longer than, 0 for none').fill('2');
  for (const text of [
    '3/1/1/2 S step 2',
    'steps 2/2: 1 1 2',
    'warp rib 2/2',
    'weft rib 3/1',
    'hopsack 3/2',
    'herringbone 2/2 8',
    'pointed 2/2 8',
    'satin 8/3',
    'sateen 5/2',
    'honeycomb 6',
    'crepe 12 seed 3 floats 3',
    'shaded 8/3 in 5',
  ]) {
    await weave(page).fill(text);
    await expect(page.getByRole('alert')).toHaveCount(0);
    await expect(weave(page)).toHaveAttribute('aria-invalid', 'false');
  }
  await weave(page).fill('satin 6/5');
  await expect(page.getByText('There is no satin of 6 ends')).toBeVisible();
  await weave(page).fill('double');
  await step(page, 'Check');
  await expect(
    page.getByText('It falls into 2 pieces: of each repeat, 2 ends and 2 picks come away on top.'),
  ).toBeVisible();
  await step(page, 'Build');
  await weave(page).fill('double stitched');
  await step(page, 'Check');
  await expect(page.getByText('No loose threads.')).toBeVisible();
});
