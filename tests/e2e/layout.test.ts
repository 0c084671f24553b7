import { expect, type Page, test } from '@playwright/test';
import { clothShown, openFromShelf, step } from './helpers.ts';

const SIZES = [
  { width: 820, height: 1180 },
  { width: 1024, height: 768 },
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
] as const;

/** Smallest side of what is tapped, in CSS pixels. Source: WCAG 2.2, success criterion 2.5.8. */
const TAP = 24;

/** What is clipped, lies outside the window, scrolls sideways, or is too small to tap. */
function troubles(page: Page): Promise<readonly string[]> {
  return page.evaluate((tap) => {
    const told: string[] = [];
    const nameOf = (element: Element) =>
      `${element.tagName} ${element.getAttribute('aria-label') ?? element.textContent?.trim().slice(0, 30)}`;
    const root = document.scrollingElement!;
    if (root.scrollWidth > root.clientWidth + 1) told.push(`the page scrolls to ${root.scrollWidth}`);
    for (const element of document.querySelectorAll('*')) {
      const { overflowX } = getComputedStyle(element);
      const scrolls = overflowX === 'auto' || overflowX === 'scroll';
      if (!scrolls || element.matches('textarea, input, pre')) continue;
      if (element.scrollWidth > element.clientWidth + 1) told.push(`${nameOf(element)} scrolls sideways`);
    }
    const controls =
      'button, a[href], input:not([type="checkbox"], [type="radio"], [type="file"]), select, textarea, summary, label:has(input[type="checkbox"])';
    for (const element of document.querySelectorAll(controls)) {
      const hidden = element.closest('[aria-hidden="true"], [role="listbox"], .sr-only') !== null;
      if (hidden || (element as HTMLElement).tabIndex === -1) continue;
      const { left, right, width, height } = element.getBoundingClientRect();
      if (width === 0 || height === 0) continue;
      // What stands on the cloth moves with it, out of the window too.
      const isOnCloth = element.getAttribute('aria-label')?.endsWith('on the cloth') === true;
      if (!isOnCloth && (left < -1 || right > innerWidth + 1))
        told.push(`${nameOf(element)} lies at ${left} to ${right}`);
      if (Math.min(width, height) < tap - 0.5) told.push(`${nameOf(element)} is ${width} × ${height}`);
    }
    return told;
  }, TAP);
}

test('nothing is clipped or too small to tap, at four sizes of window', async ({ page }) => {
  const expectNone = async (where: string) => {
    for (const size of SIZES) {
      await page.setViewportSize(size);
      await page.waitForTimeout(150);
      // What is drawn over a cloth follows when that has been measured.
      await expect
        .poll(() => troubles(page), { message: `${where} at ${size.width} × ${size.height}`, timeout: 5000 })
        .toEqual([]);
    }
  };
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Third-class moquette' })).toBeVisible();
  await expectNone('shelf');
  await page.getByRole('button', { name: 'New design' }).click();
  for (const kind of ['Plaid or weave', 'Stripe', 'Tiling', 'Motif']) {
    await page.getByRole('radio', { name: kind }).click();
    await expectNone(`new ${kind}`);
  }
  await page.keyboard.press('Escape');
  for (const name of [
    'Third-class moquette',
    'Timetable wrapping paper',
    'Compartment blind',
    'Booking-hall floor',
  ]) {
    await openFromShelf(page, name);
    for (const each of ['Colours', 'Build', 'Lay', 'Check', 'Try on', 'Send']) {
      await step(page, each);
      await expectNone(`${name}, ${each}`);
    }
  }
  await openFromShelf(page, 'Slipway roof scales');
  await page.getByRole('button', { name: /^Disc 2/ }).click();
  await page.getByText('Soft shadow').click();
  await page.getByText('Copies lighter or darker').click();
  await page.getByLabel('Make further').selectOption('Bands along the edge');
  await expectNone('a piece');
  await step(page, 'Check');
  await expect(page.getByText('Smallest width')).toBeVisible();
  await expectNone('a motif’s check');
  await openFromShelf(page, 'Third-class moquette');
  await page.getByLabel('Show the draft').check();
  await expectNone('draft');
  await page.getByLabel('Show the draft').uncheck();
  await page.getByRole('button', { name: /^Rework/ }).click();
  await expectNone('rework');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'View' }).click();
  await expectNone('view');
});

test.describe('by finger', () => {
  test.use({ hasTouch: true });

  test('two fingers zoom the cloth, one pans it, and a rail is worked', async ({ page, context }) => {
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
