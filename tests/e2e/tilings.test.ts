import { expect, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { designFromStart } from '../../src/core/design/starts.ts';
import { clothShown, openDesign, saved, step, take, timesDrawn } from './helpers.ts';
import { test } from './test.ts';

/** Begins a tiling as somebody does who is new. */
async function beginTiling(page: Page, start: string, side: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New design' }).click();
  await page.getByRole('radio', { name: 'Tiling' }).click();
  await page.getByRole('button', { name: start, exact: true }).click();
  await page.getByLabel('Side length').fill(side);
  await page.getByRole('button', { name: 'Create' }).click();
  await clothShown(page);
}

async function openTiling(page: Page, start: string, size: string): Promise<void> {
  const design = designFromStart('tiling', start);
  await openDesign(page, { ...design, construction: { ...design.construction, size } });
}

/** Chooses another tiling by its picture. */
async function chooseTiling(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: /Choose another/ }).click();
  await page.getByRole('dialog').getByRole('button', { name, exact: true }).click();
}

test('a three-colour floor of hexagons goes from a typed size to a PNG that rolls back', async ({ page }) => {
  await beginTiling(page, 'Hexagons', '25.4 mm');
  await expect(page.getByRole('button', { name: /^Tiling 6\.6\.6/ })).toBeVisible();
  await expect(page.getByLabel('Colour faces by')).toHaveValue('neighbours');
  for (const faces of ['Faces 1', 'Faces 2', 'Faces 3']) await expect(page.getByLabel(faces)).toBeVisible();
  await step(page, 'Check');
  await page.getByText('Numbers: the repeat closes exactly').click();
  await expect(page.getByText(/6 faces cover the repeat once/)).toBeVisible();
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  await expect(page.getByText('Hairline test: nothing shows between faces')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Tiling' })).toContainText('6.6.6');
  await expect(page.getByRole('region', { name: 'Tiling' })).toContainText('p6mm, p3m1');
  await expect(page.getByText('The shades keep one symmetry of 6: turns of 120°')).toBeVisible();
  // Hexagons repeat in 1 : √3: the best whole pixels are known, and taken with a click.
  await page.getByRole('button', { name: 'Use 780 × 1351' }).click();
  await expect(page.getByText('Painted twice at 780 × 1351 px')).toBeAttached();
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
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
  await openTiling(page, '4.8.8', '20 mm');
  await chooseTiling(page, 'Octagons and squares by number');
  await page.getByLabel('Slanting side, beside 1').fill('1/2');
  await saved(page);
  await expect(page.getByLabel('Steps').getByText('octagons and squares, 1 : 1/2')).toBeVisible();
  await page.getByLabel('Slanting side, beside 1').fill('0');
  await expect(page.getByText('A proportion must be above 0')).toBeVisible();
  await chooseTiling(page, 'Bricks');
  await page.getByLabel('Step of a row').fill('1/3');
  await page.getByLabel('Colour faces by').selectOption('neighbours');
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  await step(page, 'Build');
  await chooseTiling(page, 'Hexagons and triangles');
  await page.getByLabel('Dual tiling: middles of faces become corners').check();
  await page.getByLabel('Colour faces by').selectOption('directions');
  const before = await timesDrawn(page);
  await page.getByLabel('Faces 2').selectOption('U');
  await expect.poll(() => timesDrawn(page)).toBeGreaterThan(before);
  await page.getByRole('button', { name: 'Add a ring' }).click();
  await page.getByLabel('Ring 1 from').fill('3/4');
  await page.getByLabel('Shade of ring 1').selectOption('M');
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

/** Chooses a free side of the patch and grows a face on it. */
async function grow(page: Page, side: number, face: number, shape: string): Promise<void> {
  const before = await page.getByLabel('Patch').locator('polygon').count();
  await page.getByRole('button', { name: `Side ${side} of face ${face}`, exact: true }).press('Enter');
  await page.getByRole('region', { name: 'Grow' }).getByRole('button', { name: shape, exact: true }).click();
  await expect(page.getByLabel('Patch').locator('polygon:not([stroke-dasharray])')).toHaveCount(before + 1);
}

test('a patch is grown by hand until it closes: 3.4.6.4', async ({ page }) => {
  await openTiling(page, '4.4.4.4', '20 mm');
  await page.getByRole('button', { name: /Choose another/ }).click();
  await page.getByRole('button', { name: 'Grow one by hand' }).click();
  const status = page.getByRole('region', { name: 'Grow' }).getByRole('status');
  await expect(status).toContainText('no face lies like another one');
  // What was found of the squares before is not said of a patch that is not closed.
  const measures = page.getByRole('region', { name: 'Measures' });
  await expect(measures).toContainText('Open');
  await expect(measures).not.toContainText('Fitted');
  await expect(page.getByLabel('Steps').getByText('Cannot be made')).toBeVisible();
  await expect(page.getByLabel('Patch').getByText('240°')).toHaveCount(6);
  for (const side of [1, 2, 3, 4, 5, 6]) await grow(page, side, 1, 'Square');
  await expect(page.getByLabel('Patch').getByText('60°')).toHaveCount(6);
  // A hexagon has no room between two squares: it is refused and said, and nothing is lost.
  await page.getByRole('button', { name: 'Side 2 of face 2', exact: true }).press('Enter');
  await page.getByRole('region', { name: 'Grow' }).getByRole('button', { name: 'Hexagon' }).click();
  await expect(status).toContainText('would lie over another one');
  await expect(page.getByLabel('Patch').locator('polygon')).toHaveCount(7);
  await page.getByRole('region', { name: 'Grow' }).getByRole('button', { name: 'Triangle' }).click();
  await expect(status).toContainText('Not closed yet');
  // Opposite squares lie alike, so a hexagon, three squares and two triangles are enough.
  await grow(page, 2, 3, 'Triangle');
  await expect(status).toContainText('It closes: 6 faces to a cell, 3.4.6.4 round its corners');
  await page.getByRole('button', { name: 'Remove the last face' }).click();
  await expect(status).toContainText('Not closed yet');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(status).toContainText('It closes');
  await page.getByRole('radio', { name: 'The cloth' }).click();
  await clothShown(page);
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  await expect(measures).toContainText('Fitted');
  await expect(page.getByRole('region', { name: 'Tiling' })).toContainText('6 − 12 + 6 = 0');
  await expect(page.getByRole('region', { name: 'Tiling' })).toContainText('p6mm');
});

/** Clicks the cloth at a place in millimetres from the lower left corner of the middle repeat. */
async function clickCloth(page: Page, x: number, y: number): Promise<void> {
  const box = (await page.getByLabel('Choose what is here').boundingBox())!;
  await page.mouse.click(box.x + box.width / 2 + x, box.y + box.height / 2 + y);
}

test('faces are chosen on the cloth and coloured by hand', async ({ page }) => {
  await openTiling(page, '6.6.6', '25 mm');
  const chosen = page.getByRole('region', { name: 'Chosen on the cloth' });
  // Somewhere near the middle lies a face: not a side, not a corner.
  for (let dx = 0; dx < 60; dx += 9) {
    await clickCloth(page, dx, dx / 3);
    if (await chosen.getByText('Hexagons', { exact: true }).isVisible()) break;
  }
  await expect(chosen).toContainText('6 × 25 mm');
  // 3√3/2 × 25² mm².
  await expect(chosen).toContainText('16.238 cm²');
  const before = await timesDrawn(page);
  await chosen.getByLabel('Its shade').selectOption('U');
  await expect(page.getByLabel('Colour faces by')).toHaveValue('hand');
  await expect.poll(() => timesDrawn(page)).toBeGreaterThan(before);
  await page.getByLabel('Cells across').fill('2');
  await saved(page);
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
});

test('gaps and dashed lines lie over the faces, and are sent as a drawing and a table', async ({ page }) => {
  await openTiling(page, '6.6.6', '25 mm');
  await page.getByText('Gaps between faces').click();
  await page.getByLabel('Inset every face').check();
  await page.getByLabel('Corners rounded by').fill('3 mm');
  await page.getByLabel('Inset', { exact: true }).fill('40 mm');
  await expect(page.getByText('With an inset of 40 mm, no face is left')).toBeVisible();
  await page.getByLabel('Inset', { exact: true }).fill('1 mm');
  await page.getByRole('button', { name: 'Along the sides' }).click();
  await page.getByLabel('Dashed, whole dashes to each').check();
  await page.getByLabel('Width', { exact: true }).fill('1/2 mm');
  await page.getByText('Letters in faces').click();
  await page.getByLabel('Letters in the middle of faces').check();
  await page.getByLabel('Letters', { exact: true }).fill('Ж');
  await expect(page.getByText('The font has no “Ж”.')).toBeVisible();
  await page.getByLabel('Letters', { exact: true }).fill('LLR');
  await page.getByRole('radio', { name: 'Turned with each face' }).check();
  await saved(page);
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  await expect(page.getByText('what lies over them is not counted')).toBeVisible();
  await step(page, 'Send');
  await page.getByRole('radio', { name: 'SVG', exact: true }).click();
  await page.getByLabel('Faces run under their neighbours by').fill('0.2 mm');
  const { bytes } = await take(page, () => page.getByRole('button', { name: 'Send the SVG' }).click());
  const svg = bytes.toString();
  expect(svg).toContain('fill-rule="evenodd"');
  expect(svg).toContain('stroke-width="0.5" stroke-linejoin="round"');
  expect(svg).toContain('stroke-width="0.4" d="');
  await page.getByRole('radio', { name: 'Faces', exact: true }).click();
  const table = await take(page, () => page.getByRole('button', { name: 'Send the Faces' }).click());
  expect(table.bytes.toString().split('\r\n')[0]).toBe('face,sides,shade,corner,x_mm,y_mm,x_exact,y_exact');
});

test('a corner of a family is dragged, and its numbers follow; a lean and a stretch close', async ({
  page,
}) => {
  await openTiling(page, 'bricks', '40 mm');
  const handle = page.getByRole('button', { name: 'Corner of the next row' });
  await expect(page.getByLabel('Step of a row')).toHaveValue('1/2');
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 30, { steps: 4 });
  await page.mouse.move(x, y - 60, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByLabel('Height of a brick')).not.toHaveValue('1/2');
  await expect(page.getByLabel('Step of a row')).toHaveValue('1/2');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Height of a brick')).toHaveValue('1/2');
  await handle.press('ArrowRight');
  await expect(page.getByLabel('Step of a row')).toHaveValue('11/20');
  await chooseTiling(page, 'Squares');
  await page.getByLabel('Stretch').fill('3/4');
  await page.getByLabel('Slant').fill('1/3');
  await saved(page);
  await page.getByLabel('Its size is its').selectOption('repeat');
  await page.getByLabel('Width of the repeats').fill('600 mm');
  await page.getByLabel('Repeats', { exact: true }).fill('5');
  await expect(page.getByText('120 × 135 mm').first()).toBeVisible();
});
