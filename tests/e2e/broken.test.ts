import { expect } from '@playwright/test';
import { newTiling } from '../../src/core/design/new-design.ts';
import { clothShown, openDesign, openFromShelf, openNew, saved, step, warpField } from './helpers.ts';
import { test } from './test.ts';

const SHADES = [
  { key: 'A', name: 'Slate water', hex: '#2e4c63' },
  { key: 'B', name: 'Ticket cream', hex: '#f4efe2' },
];

test('numbers that make no cloth, undone and redone on Send, leave the bench whole and saving', async ({
  page,
}) => {
  const design = newTiling({
    name: 'Gaps too wide',
    shades: SHADES,
    faces: ['A'],
    form: { kind: 'regular', name: '4.4.4.4' },
    size: '20mm',
  });
  await openDesign(page, design);
  await page.getByText('Gaps between faces').click();
  const gaps = page.getByRole('region', { name: 'Gaps between faces' });
  await gaps.getByLabel('Inset every face').check();
  await gaps.getByLabel('Inset', { exact: true }).fill('50mm');
  await expect(page.getByText(/no face is left/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await step(page, 'Send');
  const send = page.getByRole('button', { name: /^Send the PNG/ });
  await expect(send).toBeEnabled();
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await expect(page.getByText(/no face is left/).first()).toBeVisible();
  await expect(send).toBeDisabled();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(send).toBeEnabled();
  await expect(page.getByText(/no face is left/)).toHaveCount(0);
  await page.getByLabel('Name of the design').fill('Still saving');
  await saved(page);
});

test('a part of the bench that breaks says so, keeps the work, and offers to undo', async ({ page }) => {
  await openNew(page, 'warp: A20 B10\n');
  await warpField(page).fill('A20 B12');
  await saved(page);
  // The panel is made to break over the next change, as a fault of ours would.
  await page.evaluate(() => {
    const honest = Intl.NumberFormat;
    void honest;
    const join = Array.prototype.flatMap;
    (window as unknown as { mend: () => void }).mend = () => {
      Array.prototype.flatMap = join;
    };
    Array.prototype.flatMap = () => {
      throw new Error('broken for a test');
    };
  });
  await step(page, 'Check');
  const alert = page.getByRole('alert').filter({ hasText: 'This could not be shown' });
  await expect(alert).toBeVisible();
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await alert.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(alert).toHaveCount(0);
  await saved(page);
  await step(page, 'Build');
  await expect(warpField(page)).toHaveValue('A20 B10');
});

test('going to and fro between the steps leaves no worker behind', async ({ page }) => {
  await openFromShelf(page, 'Scullery glass cloth');
  for (let visit = 0; visit < 8; visit += 1) {
    await step(page, 'Send');
    await expect(page.getByLabel('What will be sent')).toBeVisible();
    await step(page, 'Build');
    await clothShown(page);
  }
  // One paints, one checks.
  await expect.poll(() => page.workers().length).toBeLessThanOrEqual(2);
});

test('a worker that dies is brought back', async ({ page }) => {
  await openNew(page, 'warp: A20 B10\n');
  for (const worker of page.workers()) {
    await worker
      .evaluate(() => {
        setTimeout(() => {
          throw new Error('dies for a test');
        });
      })
      .catch(() => {});
  }
  await warpField(page).fill('A20 B12');
  await expect(page.getByText('32 × 32', { exact: false }).first()).toBeVisible();
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
});
