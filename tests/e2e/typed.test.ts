import { expect, type Page } from '@playwright/test';
import { newStripe } from '../../src/core/design/new-design.ts';
import { designFromStart } from '../../src/core/design/starts.ts';
import { STRIPE_STARTS } from '../../src/core/design/stripe/stripe-starts.ts';
import { TWO_SHADES } from '../sample-design.ts';
import { band, keepDesign, openDesign, openNew, saved, step, take, warpField } from './helpers.ts';
import { test } from './test.ts';

const SUM = '2+3*4';

/** Types a sum into each number field that is shown, key by key, and puts back what stood there. @returns how many there were */
async function typeIntoAll(page: Page): Promise<number> {
  const fields = page.locator('main input.field.numbers:visible:enabled');
  const count = await fields.count();
  for (let at = 0; at < count; at += 1) {
    const field = fields.nth(at);
    const before = await field.inputValue();
    const label = await field.evaluate((input: HTMLInputElement) => input.labels?.[0]?.textContent ?? '');
    await field.fill('');
    await field.pressSequentially(SUM);
    // What is typed stays as typed, whether it can be read or not.
    expect(await field.inputValue(), `${label}: “${before}”`).toBe(SUM);
    await field.fill(before);
  }
  return count;
}

test('number fields take a sum key by key', async ({ page }) => {
  let typed = 0;
  for (const design of [
    designFromStart('plaid', 'twill'),
    designFromStart('stripe', 'graduated'),
    designFromStart('tiling', 'eight-pointed-stars'),
    designFromStart('motif', 'dots'),
    designFromStart('plies', 'diamonds-in-gaps'),
  ]) {
    await openDesign(page, design);
    for (const name of ['Build', 'Lay', 'Check', 'Send'] as const) {
      await step(page, name);
      typed += await typeIntoAll(page);
    }
  }
  expect(typed).toBeGreaterThan(40);
});

test('the threads of a band come to what the whole sum says', async ({ page }) => {
  await openNew(page, 'warp: A20 B10\nweave: plain\n');
  await band(page, 'Warp', 1).click();
  const threads = page.getByRole('textbox', { name: /of this band/i }).first();
  for (const [sum, comesTo] of [
    [SUM, 14],
    ['10-2*3', 4],
  ] as const) {
    await threads.fill('');
    await threads.pressSequentially(sum);
    await expect(warpField(page)).toHaveValue(new RegExp(`\\b[AB]/?${comesTo}\\b`));
    await expect(threads).toHaveValue(sum);
  }
});

test('what is refused is never acted on: Send goes to the field, and tells of those of other steps', async ({
  page,
}) => {
  await openNew(page, 'warp: A20 B10\nweave: plain\ndensity: 30/in\n');
  await step(page, 'Send');
  const shrinkage = page.getByLabel(/shrink/i);
  await shrinkage.fill('4% wide');
  await expect(page.getByText('“4% wide” is not what cloth shrinks by')).toBeVisible();
  const sendIt = page.getByRole('button', { name: 'Send the PNG' });
  let downloads = 0;
  page.on('download', () => {
    downloads += 1;
  });
  await sendIt.click();
  await expect(shrinkage).toBeFocused();
  await shrinkage.fill('4% 2.5%');
  const shrunk = await take(page, () => sendIt.click());
  expect(shrunk.name).toContain('for shrinkage 4% 2.5%');
  // A field of another step keeps what could not be read, and sending asks.
  await step(page, 'Build');
  await warpField(page).fill('12 furlongs');
  // From here, too, by the search of commands.
  await page.keyboard.press('ControlOrMeta+k');
  await page.getByRole('combobox').fill('Send as PNG');
  await page.keyboard.press('Enter');
  await expect(
    page.getByText('Nothing was sent: what stands in this field cannot be read.').last(),
  ).toBeVisible();
  await expect(warpField(page)).toBeFocused();
  await step(page, 'Send');
  await sendIt.click();
  await expect(page.getByRole('alert').filter({ hasText: '12 furlongs' })).toBeVisible();
  expect(downloads).toBe(1);
  await page.getByRole('button', { name: 'Go to Build' }).click();
  await expect(warpField(page)).toHaveValue('12 furlongs');
  await expect(warpField(page)).toHaveAttribute('aria-invalid', 'true');
  await step(page, 'Send');
  await sendIt.click();
  // A question that is left is not found again.
  await step(page, 'Build');
  await step(page, 'Send');
  await expect(page.getByText('Not sent yet')).toHaveCount(0);
  await sendIt.click();
  const plain = await take(page, () => page.getByRole('button', { name: 'Send as it stands' }).click());
  expect(plain.bytes.equals(shrunk.bytes)).toBe(true);
  await expect(page.getByText('Not sent yet')).toHaveCount(0);
});

test('every stripe turns into a plaid', async ({ page }) => {
  const odd = newStripe({
    name: 'No whole millimetres',
    shades: TWO_SHADES,
    bands: [
      { shade: 'A', width: '10.5' },
      { shade: 'B', width: '10' },
    ],
  });
  const stripes = [odd, ...STRIPE_STARTS.map(({ key }) => designFromStart('stripe', key))];
  let turned = 0;
  for (const design of stripes) {
    const id = await keepDesign(page, design);
    await page.goto(`/bench/${id}`);
    await page.getByRole('button', { name: 'Turn this stripe into a plaid' }).click();
    const dialog = page.getByRole('dialog');
    const apply = dialog.getByRole('button', { name: 'Apply' });
    if (await apply.isDisabled()) {
      // What cannot be turned is told, and stays what it is.
      await expect(dialog.getByRole('alert')).not.toBeEmpty();
      await dialog.getByRole('button', { name: 'Cancel' }).click();
      continue;
    }
    await apply.click();
    turned += 1;
    await expect(page.getByRole('region', { name: 'Measures' })).toContainText('ends');
    await saved(page);
    await expect(page.getByText('This could not be shown')).toHaveCount(0);
  }
  expect(turned).toBeGreaterThan(3);
});
