import { expect, type Page, test } from '@playwright/test';
import { PNG } from 'pngjs';
import { clothShown, saved, step, take, timesDrawn } from './helpers.ts';

async function newTiling(page: Page, start: string, side: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New design' }).click();
  await page.getByRole('radio', { name: 'Faces: a tiling of polygons' }).click();
  await page.getByRole('button', { name: start, exact: true }).click();
  await page.getByLabel('A side of 1 is').fill(side);
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await clothShown(page);
}

test('a three-colour floor of hexagons goes from a typed size to a PNG that rolls back', async ({ page }) => {
  await newTiling(page, 'Hexagons', '25.4 mm');
  await expect(page.getByLabel('Tiling', { exact: true })).toHaveValue('6.6.6');
  await expect(page.getByLabel('Faces are told apart by')).toHaveValue('neighbours');
  for (const faces of ['Faces 1', 'Faces 2', 'Faces 3']) await expect(page.getByLabel(faces)).toBeVisible();
  await step(page, 'Check');
  await expect(page.getByText(/6 faces cover the repeat once/)).toBeVisible();
  await expect(page.getByText(/rolled back: 0 of/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Tiling' })).toContainText('6.6.6');
  await expect(page.getByRole('region', { name: 'Tiling' })).toContainText('p6mm, p3m1');
  // Hexagons repeat in 1 : √3: the best whole pixels are known, and taken with a click.
  await page.getByRole('button', { name: 'Use 780 × 1351' }).click();
  await expect(page.getByText('Painted twice at 780 × 1351 px')).toBeVisible();
  await expect(page.getByText(/rolled back: 0 of/)).toBeVisible();
  await step(page, 'Send');
  await page.getByRole('textbox', { name: 'Resolution, pixels per inch' }).fill('60');
  const { bytes } = await take(page, () => page.getByRole('button', { name: 'Send the PNG' }).click());
  const tile = PNG.sync.read(bytes);
  const colours = new Map<string, number>();
  for (let at = 0; at < tile.data.length; at += 4) {
    const name = [...tile.data.subarray(at, at + 3)].join();
    colours.set(name, (colours.get(name) ?? 0) + 1);
  }
  // Three shades share the floor in equal parts; what lies on edges is little.
  const [a, b, c] = [...colours.values()].sort((one, other) => other - one);
  expect(c! / a!).toBeGreaterThan(0.97);
  expect(b! / a!).toBeGreaterThan(0.97);
  // Moved on by half, its columns are its own: the seam in the middle is no seam.
  const column = (x: number) =>
    Array.from({ length: tile.height }, (_, y) =>
      [...tile.data.subarray((y * tile.width + x) * 4, (y * tile.width + x) * 4 + 3)].join(),
    );
  const differing = (one: string[], other: string[]) => one.filter((pixel, y) => pixel !== other[y]).length;
  const atSeam = differing(column(tile.width - 1), column(0));
  const inside = Math.max(
    ...Array.from({ length: tile.width - 1 }, (_, x) => differing(column(x), column(x + 1))),
  );
  expect(atSeam).toBeLessThanOrEqual(inside);
});

test('a tiling is worked by its numbers, its dual, its turn and its shades', async ({ page }) => {
  await newTiling(page, 'Octagons and squares', '20 mm');
  const tiling = page.getByLabel('Tiling', { exact: true });
  await tiling.selectOption('octagons');
  await page.getByLabel('Slanting side, beside 1').fill('1/2');
  await saved(page);
  await expect(page.getByLabel('Steps').getByText('octagons and squares, 1 : 1/2')).toBeVisible();
  await page.getByLabel('Slanting side, beside 1').fill('0');
  await expect(page.getByText('A proportion must be above 0')).toBeVisible();
  await tiling.selectOption('bricks');
  await page.getByLabel('Step of a row').fill('1/3');
  await page.getByLabel('Faces are told apart by').selectOption('neighbours');
  await step(page, 'Check');
  await expect(page.getByText(/rolled back: 0 of/)).toBeVisible();
  await step(page, 'Build');
  await tiling.selectOption('3.6.3.6');
  await page.getByLabel('Its dual: middles of faces become corners').check();
  await page.getByLabel('Faces are told apart by').selectOption('directions');
  const before = await timesDrawn(page);
  await page.getByLabel('Faces 2').selectOption('D');
  await expect.poll(() => timesDrawn(page)).toBeGreaterThan(before);
  await page.getByRole('button', { name: 'Add a ring' }).click();
  await page.getByLabel('Ring 1 from').fill('3/4');
  await page.getByLabel('Shade of ring 1').selectOption('E');
  await page.getByRole('button', { name: 'Add a ring' }).click();
  await page.getByLabel('Ring 2 from').fill('7/8');
  await expect(page.getByText('A ring lies between its neighbours, from 0 to 3/4')).toBeVisible();
  await page.getByRole('button', { name: 'Remove ring 2' }).click();
  await page.getByLabel('Turned by').selectOption('90°');
  await step(page, 'Check');
  await expect(page.getByRole('region', { name: 'Tiling' })).toContainText('4.4.4, 4.4.4.4.4.4');
  // Three quarters of a face's size are 9/16 of its area.
  await expect(page.getByRole('region', { name: 'Tiling' })).toContainText('9/16');
  await step(page, 'Lay');
  await page.getByRole('radio', { name: 'in', exact: true }).click();
  await step(page, 'Send');
  await page.getByRole('radio', { name: 'SVG', exact: true }).click();
  const { bytes } = await take(page, () => page.getByRole('button', { name: 'Send the SVG' }).click());
  expect(bytes.toString().match(/<path fill="#/g)).toHaveLength(4);
  await expect(page.getByRole('radio', { name: 'WIF' })).toHaveCount(0);
});
