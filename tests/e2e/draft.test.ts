import { expect, type Page, test } from '@playwright/test';
import { openNew, saved, step } from './helpers.ts';

const TEXT = 'shades: A=#24402f Green, C=#efe6cf Cream\nwarp: A8\nweft: C8\nweave: 2/2Z\n';

function draft(page: Page) {
  return page.getByRole('img', { name: /^Draft,/ });
}

function weave(page: Page) {
  return page.getByLabel('Any other weave');
}

/** Presses in the middle of a cell, counted from the canvas's upper left. */
async function press(page: Page, column: number, row: number): Promise<void> {
  const box = (await draft(page).boundingBox())!;
  // 4 ends, a gap, 5 treadles and a strip of 1.5 lie side by side.
  const cell = box.width / (4 + 1 + 5 + 1.5);
  await page.mouse.click(box.x + (column + 0.5) * cell, box.y + (row + 1.5 + 0.5) * cell);
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

test('a structure is turned, resized and marked; the facts tell when it falls apart', async ({ page }) => {
  await openNew(page, TEXT);
  await page.getByLabel('Show the draft').check();
  await page.getByRole('button', { name: 'Trade faces' }).click();
  await expect(weave(page)).toHaveValue('rows .##. ##.. #..# ..##');
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
  await expect(page.getByText('It hangs together.')).toBeVisible();
});
