import { expect, type Page } from '@playwright/test';
import { band, clothPixel, openNew, rail, timesDrawn, warpField } from './helpers.ts';
import { test } from './test.ts';

const TEXT = 'shades: A=#24402f Green, B=#8c2f25 Red, C=#efe6cf Cream\nwarp: A20 B10 C12\nweave: plain\n';

/** The middle of an edge: the end of a band along the warp rail. */
async function edgeOf(page: Page, index: number): Promise<{ x: number; y: number }> {
  const box = (await band(page, 'Warp', index).boundingBox())!;
  return { x: box.x + box.width + 1, y: box.y + box.height / 2 };
}

async function drag(page: Page, from: { x: number; y: number }, dx: number, alt = false): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  if (alt) await page.keyboard.down('Alt');
  await page.mouse.move(from.x + dx / 2, from.y, { steps: 3 });
  await page.mouse.move(from.x + dx, from.y, { steps: 3 });
  await page.mouse.up();
  if (alt) await page.keyboard.up('Alt');
}

test('a rail is worked by keys: go along, type counts, change, split, remove', async ({ page }) => {
  await openNew(page, TEXT);
  await band(page, 'Warp', 0).click();
  await page.keyboard.press('ArrowRight');
  await expect(band(page, 'Warp', 1)).toBeFocused();
  await page.keyboard.type('14');
  await expect(warpField(page)).toHaveValue('A20 B14 C12');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('+');
  await expect(warpField(page)).toHaveValue('A20 B14 C13');
  await page.keyboard.press('Shift+Equal');
  await expect(warpField(page)).toHaveValue('A20 B14 C23');
  await page.keyboard.press('-');
  await page.keyboard.press('Enter');
  await expect(warpField(page)).toHaveValue('A20 B14 C11 C11');
  await page.keyboard.press('Delete');
  await expect(warpField(page)).toHaveValue('A20 B14 C11');
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(warpField(page)).toHaveValue('A20 C11 B14');
  await page.keyboard.press('a');
  await expect(warpField(page)).toHaveValue('A20 A11 B14');
  for (let times = 0; times < 9; times += 1) await page.keyboard.press('Control+z');
  await expect(warpField(page)).toHaveValue('A20 B10 C12');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.keyboard.press('Control+Shift+z');
  await expect(warpField(page)).toHaveValue('A20 B14 C12');
});

test('a rail is worked by hand: trade, grow, move, split', async ({ page }) => {
  await openNew(page, TEXT);
  // Three repeats of 42 picks fit the view at 4 pixels a thread.
  const threads = 4;
  await drag(page, await edgeOf(page, 0), 4 * threads);
  await expect(warpField(page)).toHaveValue('A24 B6 C12');
  await drag(page, await edgeOf(page, 0), -2 * threads, true);
  await expect(warpField(page)).toHaveValue('A22 B6 C12');
  const first = (await band(page, 'Warp', 0).boundingBox())!;
  const last = (await band(page, 'Warp', 2).boundingBox())!;
  await drag(page, { x: first.x + 20, y: first.y + 10 }, last.x + last.width - 10 - first.x - 20);
  await expect(warpField(page)).toHaveValue('B6 C12 A22');
  await band(page, 'Warp', 2).dblclick();
  await expect(warpField(page)).toHaveValue('B6 C12 A11 A11');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(warpField(page)).toHaveValue('A22 B6 C12');
});

test('mirrored halves are drawn hatched, in either convention, and the typed half is kept', async ({
  page,
}) => {
  await openNew(page, TEXT);
  const reflected = rail(page, 'Warp').locator('[data-reflected]');
  await expect(reflected).toHaveCount(0);
  await page.getByRole('radio', { name: 'End bands once' }).first().click();
  await expect(reflected).toHaveCount(1);
  await expect(page.getByText('42 typed, 52 threads laid out')).toBeVisible();
  await page.getByRole('radio', { name: 'End bands twice' }).first().click();
  await expect(reflected).toHaveCount(3);
  await expect(page.getByText('42 typed, 84 threads laid out')).toBeVisible();
  await expect(reflected.first()).toHaveCSS('background-image', /repeating-linear-gradient/);
  await expect(warpField(page)).toHaveValue('A/20 B10 C/12');
  await page.getByRole('radio', { name: 'No', exact: true }).first().click();
  await expect(warpField(page)).toHaveValue('A20 B10 C12');
});

test('the weft goes its own way and comes back', async ({ page }) => {
  await openNew(page, TEXT);
  await page.getByRole('radio', { name: 'Its own' }).click();
  await band(page, 'Weft', 1).click();
  await page.keyboard.type('4');
  await page.keyboard.press('ArrowUp');
  await expect(band(page, 'Weft', 2)).toBeFocused();
  await expect(page.getByRole('textbox', { name: /^Weft/ })).toHaveValue('A20 B4 C12');
  await expect(warpField(page)).toHaveValue('A20 B10 C12');
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('42 ends × 36 picks');
  await page.getByRole('button', { name: 'The weft has its own sequence' }).click();
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('42 ends × 42 picks');
});

test('a count that cannot be read is marked at its character, and nothing is lost', async ({ page }) => {
  await openNew(page, TEXT);
  await warpField(page).fill('A20 B0 C12');
  await expect(page.getByText('“0” is not a thread count: it must be a whole number')).toBeVisible();
  await expect(page.locator('mark')).toHaveText('0');
  await expect(rail(page, 'Warp').locator('[data-band]')).toHaveCount(3);
  await warpField(page).fill('A20 Nothing10');
  await expect(
    page.getByText('No shade is called “Nothing”, and no colour. The card has A, B, C.'),
  ).toBeVisible();
  // A letter or a colour that the card lacks joins it, and goes again when something else is typed.
  const shades = page.getByRole('navigation', { name: 'Steps' });
  await warpField(page).fill('A20 teal 10');
  await expect(shades).toContainText('4 shades');
  await warpField(page).fill('A20 B10 C12');
  await expect(shades).toContainText('3 shades');
  await warpField(page).fill('');
  await expect(page.getByText('Type a thread count, such as')).toBeVisible();
  await warpField(page).fill('A60000 B60000');
  await expect(page.getByText(/threads long when laid out/)).toBeVisible();
  await warpField(page).fill('A8 b4');
  await expect(rail(page, 'Warp').locator('[data-band]')).toHaveCount(2);
  await expect(warpField(page)).toHaveValue('A8 b4');
});

test('the cloth is painted anew for what is typed, and threads show from 8 pixels', async ({ page }) => {
  await openNew(page, 'shades: A=#24402f\nwarp: A4\nweave: plain\n');
  await expect.poll(() => clothPixel(page)).toEqual([0x24, 0x40, 0x2f]);
  const before = await timesDrawn(page);
  const cloth = page.getByRole('img', { name: /^Cloth of/ });
  await cloth.hover();
  for (let turns = 0; turns < 6; turns += 1) await page.mouse.wheel(0, -60);
  await expect(page.getByText('14 px a thread')).toBeVisible();
  await expect.poll(() => timesDrawn(page)).toBeGreaterThan(before);
  const colours = () =>
    cloth.evaluate((canvas) => {
      const element = canvas as HTMLCanvasElement;
      const { data } = element.getContext('2d')!.getImageData(300, 300, 40, 40);
      return new Set(new Uint32Array(data.buffer)).size;
    });
  await expect.poll(colours).toBeGreaterThan(10);
});
