import { expect, type Page } from '@playwright/test';
import { clothShown, openFromShelf, openNew, step } from './helpers.ts';
import { expectAccessible } from './looks/axe.ts';
import { test } from './test.ts';

test('axe finds nothing on the shelf, its menu and its dialogs', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Third-class moquette' })).toBeVisible();
  await expectAccessible(page, 'shelf');
  await page.getByRole('button', { name: 'What to do with First-class rug' }).click();
  await expectAccessible(page, 'menu');
  await page.getByRole('menuitem', { name: /Move/ }).click();
  await expectAccessible(page, 'move');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'New design' }).click();
  for (const kind of ['Plaid or weave', 'Stripe', 'Tiling']) {
    await page.getByRole('radio', { name: kind }).click();
    await expectAccessible(page, `new ${kind}`);
  }
  await page
    .getByRole('button', { name: /^Colour of/ })
    .first()
    .click();
  await expectAccessible(page, 'colour of a new design');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await expectAccessible(page, 'search');
});

test('axe finds nothing on draft, growth, dialogs and pop-overs of the bench', async ({ page }) => {
  await openFromShelf(page, 'Third-class moquette');
  await page.getByRole('button', { name: 'View' }).click();
  await expectAccessible(page, 'view');
  await page.keyboard.press('Escape');
  for (const [open, where] of [
    [/^Rework/, 'rework'],
    ['Versions', 'versions'],
    ['Keyboard shortcuts', 'keys'],
  ] as const) {
    await page.getByRole('button', { name: open }).first().click();
    await expectAccessible(page, where);
    await page.keyboard.press('Escape');
  }
  await page.getByRole('button', { name: 'From a picture…' }).first().click();
  await expectAccessible(page, 'picture');
  await page.getByRole('button', { name: 'Lake at dusk' }).click();
  await expect(page.getByRole('img', { name: 'The picture in blocks' })).toBeVisible();
  await expectAccessible(page, 'bands of a picture');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Lay something over…' }).click();
  await expect(page.getByRole('button', { name: 'Slipway roof scales' })).toBeVisible();
  await expectAccessible(page, 'laying over');
  await page.keyboard.press('Escape');
  await page.getByLabel('Show the draft').check();
  await expectAccessible(page, 'draft');
  await step(page, 'Colours');
  await page
    .getByRole('button', { name: /^Colour of/ })
    .first()
    .click();
  await expectAccessible(page, 'colour');
  await openFromShelf(page, 'Waiting-room diamonds');
  await step(page, 'Build');
  await page.getByRole('button', { name: /^2 Diamonds/ }).click();
  await page.getByLabel('Turned by, degrees').fill('30');
  await expect(page.getByRole('button', { name: 'Turn by 36.87°' })).toBeVisible();
  await expectAccessible(page, 'a ply');
  await page.goto('/');
  await page.getByRole('button', { name: 'New design' }).click();
  await page.getByRole('radio', { name: 'Tiling' }).click();
  await page.getByRole('button', { name: 'Create' }).click();
  await clothShown(page);
  await page.getByRole('button', { name: /Choose another/ }).click();
  await expectAccessible(page, 'tilings');
  await page.getByRole('button', { name: 'Grow one by hand' }).click();
  await expect(page.getByRole('region', { name: 'Grow' })).toBeVisible();
  await expectAccessible(page, 'growth');
});

test('the arrows move the choice, and the focus never falls to the page', async ({ page }) => {
  const hasFocus = () => page.evaluate(() => document.activeElement !== document.body);
  await openNew(page, 'shades: A=#24402f Green, B=#efe6cf Cream, C=#8c2f25 Red\nwarp: A8 B4 C2\n');
  await page.getByRole('radio', { name: 'No', exact: true }).click();
  // As long as a finger presses a key.
  await page.keyboard.press('ArrowRight', { delay: 80 });
  await expect(page.getByRole('radio', { name: 'End bands once' }).first()).toBeChecked();
  await expect(page.getByRole('textbox', { name: /^Warp/ })).toHaveValue('A/8 B4 C/2');

  await page.keyboard.press('?');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect.poll(hasFocus).toBe(true);
  await page.getByRole('button', { name: 'Unpin the ticket' }).press('Enter');
  await expect.poll(hasFocus).toBe(true);

  // A band that is opened or added goes on in its own editor.
  await page
    .getByRole('button', { name: /^Green/ })
    .first()
    .press('Enter');
  await expect(page.getByLabel('Threads of this band')).toBeFocused();
  await page.getByRole('button', { name: 'Add a band' }).press('Enter');
  await expect(page.getByLabel('Threads of this band')).toBeFocused();
  await page.getByRole('button', { name: 'Remove this band' }).press('Enter');
  await expect.poll(hasFocus).toBe(true);

  await step(page, 'Colours');
  await page.getByRole('button', { name: 'Add a shade' }).press('Enter');
  await page
    .getByRole('button', { name: /^Remove / })
    .last()
    .press('Enter');
  await expect.poll(hasFocus).toBe(true);
  await page.getByRole('button', { name: 'Keep these colours' }).press('Enter');
  await page
    .getByRole('region', { name: 'Colourways' })
    .getByRole('button', { name: /^Remove/ })
    .press('Enter');
  await expect.poll(hasFocus).toBe(true);
});

test('what is deleted on the shelf can be taken back by keyboard, and from the bin', async ({ page }) => {
  for (const name of ['Bin one', 'Bin two']) await openNew(page, `name: ${name}\nwarp: A4 B4\n`);
  await page.goto('/');
  const remove = async (name: string) => {
    await page.getByRole('button', { name: `What to do with ${name}` }).press('Enter');
    await page.getByRole('menuitem', { name: 'Delete' }).press('Enter');
    await expect(page.getByRole('link', { name, exact: true })).toHaveCount(0);
  };
  await remove('Bin one');
  await expect.poll(() => page.evaluate(() => document.activeElement !== document.body)).toBe(true);
  await page.getByRole('button', { name: 'Undo' }).press('Enter');
  await expect(page.getByRole('link', { name: 'Bin one', exact: true })).toBeVisible();
  await remove('Bin one');
  await remove('Bin two');
  await page.getByRole('button', { name: /^Bin \(/ }).click();
  await expectAccessible(page, 'bin');
  await page.getByRole('button', { name: 'Restore Bin one' }).click();
  await page.getByRole('button', { name: 'Delete for ever: Bin two' }).click();
  await expect(page.getByRole('button', { name: 'Restore Bin two' })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('link', { name: 'Bin one', exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Bin two', exact: true })).toHaveCount(0);
  await remove('Bin one');
});

test('a favourite is found among favourites, and weaves and polygons by their words', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Favourite: First-class rug' }).click();
  await page.getByRole('button', { name: 'Favourites', exact: true }).click();
  await expect(page.getByRole('listitem').getByRole('link')).toHaveCount(1);
  await page.getByRole('button', { name: 'Favourites', exact: true }).click();
  await page.getByRole('button', { name: 'Favourite: First-class rug' }).click();
  for (const [words, name] of [
    ['twill 2/2', 'Third-class moquette'],
    ['herringbone', 'Signal-box herringbone'],
    ['octagon', 'Booking-hall floor'],
  ] as const) {
    await page.getByRole('searchbox').fill(words);
    await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
  }
  await page.getByRole('searchbox').fill('hexagon');
  await expect(page.getByRole('link', { name: 'Third-class moquette' })).toHaveCount(0);
});

/** Steps of undo that this browser keeps of the design on the bench. */
function stepsKept(page: Page): Promise<number> {
  return page.evaluate(
    () =>
      new Promise<number>((told, failed) => {
        const opening = indexedDB.open('vetro-undo');
        opening.onerror = () => failed(opening.error);
        opening.onsuccess = () => {
          const reading = opening.result.transaction('histories').objectStore('histories').getAll();
          reading.onerror = () => failed(reading.error);
          reading.onsuccess = () => {
            opening.result.close();
            told(Math.max(0, ...reading.result.map(({ past }: { past: unknown[] }) => past.length)));
          };
        };
      }),
  );
}

test('earlier states are named, looked at and taken back, and undo goes on over a reload', async ({
  page,
}) => {
  await openNew(page, 'name: Through time\nwarp: A4 B4\n');
  const warp = page.getByRole('textbox', { name: /^Warp/ });
  await page.getByRole('button', { name: 'Versions' }).click();
  await page.getByLabel('Name for the design as it is now').fill('Before the fair');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('img', { name: 'The cloth as it was: Before the fair' })).toBeVisible();
  await page.keyboard.press('Escape');
  await warp.fill('A4 B6');
  await warp.blur();
  await warp.fill('A4 B8');
  await warp.blur();
  await expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible();
  await expect.poll(() => stepsKept(page)).toBe(2);
  await page.reload();
  await clothShown(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(warp).toHaveValue('A4 B6');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(warp).toHaveValue('A4 B8');
  await page.getByRole('button', { name: 'Versions' }).click();
  await page.getByRole('button', { name: 'Restore Before the fair' }).click();
  await expect(warp).toHaveValue('A4 B4');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(warp).toHaveValue('A4 B8');
  await page.getByLabel('Notes').fill('For the saloon.\nTwo metres.');
  await expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible();
  await page.reload();
  await clothShown(page);
  await expect(page.getByLabel('Notes')).toHaveValue('For the saloon.\nTwo metres.');
});
