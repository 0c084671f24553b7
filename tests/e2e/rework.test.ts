import { expect, type Page } from '@playwright/test';
import { openNew, saved, warpField } from './helpers.ts';
import { test } from './test.ts';

const TEXT =
  'shades: A=#24402f Green, B=#8c2f25 Red, C=#efe6cf Cream\nwarp: A20 B10 C12\nweave: plain\ndensity: 24/in\n';

async function rework(
  page: Page,
  what: string,
  fields: Readonly<Record<string, string>> = {},
): Promise<void> {
  await page.getByRole('button', { name: 'Rework…' }).click();
  await page.getByRole('radio', { name: what, exact: true }).click();
  for (const [label, value] of Object.entries(fields)) {
    const field = page.getByRole('dialog').getByLabel(label, { exact: true });
    if (/^(Shade|In turn|This|with)/.test(label)) await field.selectOption(value);
    else await field.fill(value);
  }
}

async function take(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Apply' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

test('a sequence is reworked by each rule, shown before it is taken, undone in one step', async ({
  page,
}) => {
  await openNew(page, TEXT);
  await rework(page, 'An overcheck line', {
    'Shade of the line': 'C',
    'Width of the line, threads': '2',
    'Begins after, threads': '9',
  });
  await expect(page.getByRole('dialog')).toContainText('A9 C2 A9 B10 C12');
  await take(page);
  await expect(warpField(page)).toHaveValue('A9 C2 A9 B10 C12');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(warpField(page)).toHaveValue('A20 B10 C12');

  for (const [what, fields, counts] of [
    ['Scale', { Times: '1/2' }, 'A10 B5 C6'],
    ['Reverse', {}, 'C6 B5 A10'],
    ['Start at a later band', { 'Bands later': '2' }, 'A10 C6 B5'],
    ['Repeat', { Times: '2' }, 'A10 C6 B5 A10 C6 B5'],
    ['Swap two shades', { 'This shade': 'A', 'with this one': 'C' }, 'C10 A6 B5 C10 A6 B5'],
    [
      'A spacer between bands',
      { 'Shade of the spacer': 'B', 'Width of the spacer, threads': '1' },
      'C10 B1 A6 B1 B5 B1 C10 B1 A6 B1 B5 B1',
    ],
  ] as const) {
    await rework(page, what, fields);
    await take(page);
    await expect(warpField(page)).toHaveValue(counts);
  }
  await saved(page);
});

test('graduated runs grow by a step, a ratio or Fibonacci, and say when a band would vanish', async ({
  page,
}) => {
  await openNew(page, TEXT);
  await rework(page, 'Graduated bands', {
    'First width, threads': '1',
    'Step, ratio or second width': '2',
    Bands: '5',
    Shade: 'A',
    'In turn with': 'C',
  });
  await expect(page.getByRole('dialog')).toContainText('A1 C3 A5 C7 A9');
  await page.getByRole('radio', { name: 'By a ratio' }).click();
  await expect(page.getByRole('dialog')).toContainText('A1 C2 A4 C8 A16');
  await page.getByRole('radio', { name: 'Fibonacci' }).click();
  await expect(page.getByRole('dialog')).toContainText('A1 C2 A3 C5 A8');
  await page.getByRole('radio', { name: 'By a step' }).click();
  await page.getByLabel('Step, ratio or second width').fill('-1');
  await expect(page.getByText('Band 2 would have no thread.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Apply' })).toBeDisabled();
});

test('eleven repeats are fitted into sixty inches', async ({ page }) => {
  await openNew(page, TEXT);
  await rework(page, 'Fit repeats to a width', { Repeats: '11', 'In a width of': '60 in' });
  await expect(page.getByText('11 repeats of 130 leave 10 over.')).toBeVisible();
  await page.getByLabel('Round up by a thread').check();
  await expect(page.getByText('11 repeats of 131 are 1 too many.')).toBeVisible();
  await take(page);
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('262 ends');
});

test('stripes are printed one over the other, and a weft that follows is turned', async ({ page }) => {
  await openNew(page, 'shades: A=#c9766a Coral, W=#ffffff White\nwarp: A12 W12\nweave: plain\n');
  await page.getByRole('radio', { name: 'Printing one over the other' }).click();
  await page.getByLabel('Blend').selectOption('Multiply');
  await page.getByLabel('Strength').fill('2');
  await expect(page.getByText('A strength must be from 0 to 1')).toBeVisible();
  await page.getByLabel('Strength').fill('1');
  await expect(page.getByRole('complementary', { name: 'Ticket' })).toContainText('multiply, warp on top');
  const colours = () =>
    page.getByRole('img', { name: /^Cloth of/ }).evaluate((canvas) => {
      const { data } = (canvas as HTMLCanvasElement).getContext('2d')!.getImageData(0, 300, 300, 300);
      return [...new Set(new Uint32Array(data.buffer))]
        .map((pixel) => (pixel & 0xffffff).toString(16))
        .sort();
    });
  await page.keyboard.press('Escape');
  await page.getByRole('img', { name: /^Cloth of/ }).click();
  await page.keyboard.press('r');
  await expect.poll(colours).toEqual(['2c379e', '6a76c9', 'ffffff']);
  await page.getByLabel('Shift the weft by, threads').fill('6');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Shift the weft by, threads')).toHaveValue('6');
});
