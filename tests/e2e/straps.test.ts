import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { designFromStart } from '../../src/core/design/starts.ts';
import { openDesign, openMotif, saved, step } from './helpers.ts';
import { test } from './test.ts';

/** The sent tile, as far as its shades: how many of its pixels are of each. */
async function sentShades(page: Page): Promise<ReadonlyMap<string, number>> {
  await saved(page);
  const id = page.url().split('/').at(-1)!;
  const answer = await page.request.get(`/api/designs/${id}/files/tile.png`);
  expect(answer.ok()).toBe(true);
  const { data, info } = await sharp(await answer.body())
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const shades = new Map<string, number>();
  for (let at = 0; at < data.length; at += info.channels) {
    const hex = data.subarray(at, at + 3).toString('hex');
    shades.set(hex, (shades.get(hex) ?? 0) + 1 / (info.width * info.height));
  }
  return shades;
}

const over = (page: Page) => page.getByRole('region', { name: 'Over and under' });

test('a lattice of straps with shading lines is made from numbers', async ({ page }) => {
  await openMotif(
    page,
    `motif box.width=8 box.height=8 ground=C
1: line points="0,4; 8,4" run=onward width=2 x=0 y=0 shade=B
2: line points="4,0; 4,8" run=onward width=2 x=0 y=0 shade=R
`,
  );
  for (const piece of ['Line 1', 'Line 2']) {
    await page.getByRole('button', { name: new RegExp(`^${piece}`) }).click();
    await page.getByLabel('A strap: goes over and under others').check();
    await page.getByLabel('Gap beside a strap that goes over it').fill('1/4');
    await page.getByRole('radio', { name: 'Lines', exact: true }).click();
    await page.getByLabel('So far along').fill('1');
  }
  // One crossing a box: over and under in turn need two.
  await expect(over(page)).toContainText(
    'two boxes, each row moved by one make it so, a repeat of 80 × 80 mm',
  );
  await over(page)
    .getByRole('button', { name: /^Repeat two boxes/ })
    .click();
  await expect(over(page)).toContainText('Every crossing follows over and under in turn.');
  await expect(over(page)).toContainText('The straps hang together.');
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('80 × 80 mm');
  const shades = await sentShades(page);
  const [blue, red] = [shades.get('2c5f8a') ?? 0, shades.get('b0442f') ?? 0];
  // Both go over as often, and in the gaps the ground shows.
  expect(Math.abs(blue - red)).toBeLessThan(0.02);
  expect(shades.get('efe6cf')).toBeGreaterThan(0.5);
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Straps' })).toContainText('Straps: 2, which cross 2 times');
});

test('squares woven into each other are turned crossing by crossing', async ({ page }) => {
  await openMotif(
    page,
    `motif box.width=16 box.height=16 ground=C
1: line points="5,5; -5,5; -5,-5; 5,-5" run=closed width=1 strap.gap=1/4 x=8 y=8 shade=R
2: line points="7,0; 0,7; -7,0; 0,-7" run=closed width=1 strap.gap=1/4 x=8 y=8 shade=B
`,
  );
  await expect(over(page)).toContainText('Straps: 2, which cross 8 times in one box.');
  await over(page).getByLabel('Crossings on the cloth, to be turned by hand').check();
  const first = page.getByRole('button', { name: /^Crossing 1: / });
  const before = await first.getAttribute('aria-label');
  await first.click();
  await expect(over(page)).toContainText('All but 1 crossing turned by hand follow');
  await expect(first).not.toHaveAttribute('aria-label', before!);
  await page.keyboard.press('Control+z');
  await expect(over(page)).toContainText('Every crossing follows over and under in turn.');
  // By the keyboard as well.
  await first.focus();
  await page.keyboard.press('Enter');
  await expect(first).toHaveAttribute('aria-pressed', 'true');
  await over(page).getByRole('button', { name: 'Turn them back' }).click();
  const shades = await sentShades(page);
  expect(shades.get('b0442f')).toBeGreaterThan(0.1);
  expect(shades.get('2c5f8a')).toBeGreaterThan(0.1);
});

test('a plait of four strands is a border', async ({ page }) => {
  await openMotif(
    page,
    `motif box.width=6 box.height=8 ground=C
1: line points="0,1,corner,1; 3,4,corner,1; 6,1,corner,1" run=onward width=3/4 ends=round strap.gap=1/8 x=0 y=3/2 shade=P | copies count=4 x=3/2
`,
  );
  await expect(over(page)).toContainText('Straps: 4, which cross 12 times in one box.');
  await expect(over(page)).toContainText('The straps hang together.');
  await over(page).getByLabel('Straps go').selectOption('family');
  await expect(page.getByText(/of one family, so none of them lies over the other/).first()).toBeVisible();
  await over(page).getByLabel('Straps go').selectOption('turns');
  await expect(page.getByText(/of one family/)).toHaveCount(0);
  expect((await sentShades(page)).get('d99aa0')).toBeGreaterThan(0.2);
});

test('a knot panel of any grid takes the place of the pieces', async ({ page }) => {
  await openMotif(
    page,
    'motif box.width=8 box.height=8 ground=C\n1: disc across=2 x=4 y=4 shade=B\n2: disc across=1 x=4 y=4 shade=R\n',
  );
  await page.getByText('Knot panel', { exact: true }).click();
  const panel = page.getByRole('region', { name: 'Knot panel' });
  await panel.getByLabel('Columns').fill('6');
  await panel.getByLabel('Rows').fill('4');
  await expect(panel.getByRole('button', { name: 'Make 2 strands' })).toBeVisible();
  const walls = panel.getByLabel('Walls at crossings, in half cells');
  await walls.fill('2,3| 3,2- 4,3| 3,4-');
  await expect(panel.getByRole('alert')).toContainText('column 2, row 2 all round');
  await walls.fill('4,3|');
  await panel.getByRole('button', { name: /^Make / }).click();
  await expect(over(page)).toContainText('Every crossing follows over and under in turn.');
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('70 × 50 mm');
});

test('stars on 3.12.12 are made by number, by hand and by keys', async ({ page }) => {
  await openDesign(page, designFromStart('tiling', '3.12.12'));
  const stars = page.getByRole('region', { name: 'Stars' });
  await stars.getByLabel('Lines from the middles of sides').check();
  await stars.getByLabel('Angle to the sides').fill('70');
  await stars.getByRole('button', { name: '{12/5} 75°' }).click();
  await expect(stars.getByLabel('Angle to the sides')).toHaveValue('75');
  await stars.getByRole('radio', { name: 'Straps' }).click();
  await expect(stars).toContainText('Every crossing follows over and under in turn.');
  await stars.getByLabel('Stars in dodecagons').selectOption({ index: 2 });
  const handle = page.getByRole('button', { name: /^Angle of the star lines: 75°/ });
  await handle.focus();
  await page.keyboard.press('ArrowDown');
  await expect(stars.getByLabel('Angle to the sides')).toHaveValue('74.5');
  const box = (await page.getByRole('button', { name: /^Angle of the star lines/ }).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 8, box.y + box.height / 2 + 6, { steps: 4 });
  await page.mouse.up();
  await expect(stars.getByLabel('Angle to the sides')).not.toHaveValue('74.5');
  await stars.getByLabel('Angle to the sides').fill('95');
  await expect(page.getByText(/more than 0° and less than 90°/).first()).toBeVisible();
  await stars.getByLabel('Angle to the sides').fill('75');
  await expect(page.getByText(/more than 0° and less than 90°/)).toHaveCount(0);
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Straps' })).toContainText('cross 9 times');
  expect((await sentShades(page)).size).toBeGreaterThan(3);
});
