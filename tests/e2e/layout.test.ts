import { expect } from '@playwright/test';
import { clothShown, openFromShelf, step } from './helpers.ts';
import { expectLaidOut } from './looks/layout.ts';
import { test, testAlone } from './test.ts';

test('nothing is clipped or too small to tap, at four sizes of window', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Third-class moquette' })).toBeVisible();
  await expectLaidOut(page, 'shelf');
  await page.getByRole('button', { name: 'New design' }).click();
  for (const kind of ['Plaid or weave', 'Stripe', 'Tiling', 'Motif']) {
    await page.getByRole('radio', { name: kind }).click();
    await expectLaidOut(page, `new ${kind}`);
  }
  await page.keyboard.press('Escape');
  await openFromShelf(page, 'Slipway roof scales');
  await page.getByRole('button', { name: /^Disc 2/ }).click();
  await page.getByText('Soft shadow').click();
  await page.getByText('Copies lighter or darker').click();
  await page.getByLabel('Make further').selectOption('Bands along the edge');
  await expectLaidOut(page, 'a piece');
  await step(page, 'Check');
  await expect(page.getByText('Smallest width')).toBeVisible();
  await expectLaidOut(page, 'a motif’s check');
  await openFromShelf(page, 'Third-class moquette');
  await page.getByLabel('Show the draft').check();
  await expectLaidOut(page, 'draft');
  await page.getByLabel('Show the draft').uncheck();
  await page.getByRole('button', { name: /^Rework/ }).click();
  await expectLaidOut(page, 'rework');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'View' }).click();
  await expectLaidOut(page, 'view');
});

testAlone.describe('by finger', () => {
  testAlone.use({ hasTouch: true });

  testAlone('two fingers zoom the cloth, one pans it, and a rail is worked', async ({ page, context }) => {
    await openFromShelf(page, 'Third-class moquette');
    const zoomed = page.getByRole('region', { name: 'Measures' }).getByText(/px a thread/);
    const before = await zoomed.textContent();
    const client = await context.newCDPSession(page);
    const box = (await page.locator('canvas[data-painted]').boundingBox())!;
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    const touch = (type: string, apart: readonly number[]) =>
      client.send('Input.dispatchTouchEvent', {
        type: type as 'touchStart',
        touchPoints: apart.map((by, id) => ({ x: at.x + by, y: at.y, id })),
      });
    await touch('touchStart', [-40, 40]);
    for (const by of [60, 90, 120, 160]) await touch('touchMove', [-by, by]);
    await touch('touchEnd', []);
    await expect(zoomed).not.toHaveText(before!);
    await page.getByRole('button', { name: 'Zoom out (−)' }).tap();
    const rail = page.getByRole('listbox', { name: /^Warp rail/ });
    await rail.locator('[data-band="1"]').tap();
    await expect(page.getByLabel('Threads of this band')).toBeVisible();
    // The note of a band is for a pointer that stays there.
    await expect(page.getByText(/^\d+ threads?, pivot$/)).toHaveCount(0);
  });
});

test('the cloth zooms and pans by keys and buttons', async ({ page }) => {
  await openFromShelf(page, 'Third-class moquette');
  await clothShown(page);
  const zoomed = page.getByRole('region', { name: 'Measures' }).getByText(/px a thread/);
  const cloth = page.getByRole('img', { name: /^Cloth of/ });
  await cloth.focus();
  const first = await zoomed.textContent();
  await page.keyboard.press('+');
  const nearer = await zoomed.textContent();
  expect(nearer).not.toBe(first);
  await page.keyboard.press('-');
  await expect(zoomed).toHaveText(first!);
  await page.getByRole('button', { name: 'Zoom in (+)' }).click();
  await expect(zoomed).toHaveText(nearer!);
  await cloth.focus();
  const left = () => page.locator('canvas[data-painted]').getAttribute('data-painted');
  const drawn = await left();
  await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(left).not.toBe(drawn);
});
