import { expect, type Page } from '@playwright/test';
import { changeElsewhere, clothShown, cutOff, openNew, saved, take, WRITER, warpField } from './helpers.ts';
import { test, testAlone } from './test.ts';

const TEXT = 'warp: A20 B10\nweave: 2/2Z\n';

const STALE = { name: 'Changed somewhere else' } as const;

function keptList(page: Page) {
  return page.getByRole('region', { name: 'Kept in this browser' });
}

/** Waits until the header says that this browser keeps what the server does not have. */
async function keptHere(page: Page): Promise<void> {
  await expect(page.getByText(/Not saved: .* — kept here/)).toBeVisible();
}

test('work that is stale in one window is still kept when the other saves again and the first is closed', async ({
  page,
}) => {
  const id = await openNew(page, TEXT);
  const other = await changeElsewhere(page, id, 'A20 B12');
  await warpField(page).fill('A20 B14');
  await expect(page.getByRole('dialog', STALE)).toBeVisible();
  await page.keyboard.press('Escape');
  // What is done after the question was put aside is kept too.
  await warpField(page).fill('A20 B16');
  await keptHere(page);
  await warpField(other).fill('A20 B18');
  await saved(other);
  await page.close();
  await other.goto('/');
  await expect(keptList(other).getByText('Made for a test')).toHaveCount(1);
  await keptList(other).getByRole('button', { name: 'Save as a new design' }).click();
  await expect(keptList(other)).toHaveCount(0);
  await other.getByRole('link', { name: 'Made for a test', exact: true }).last().click();
  await expect(warpField(other)).toHaveValue('A20 B16');
});

/** Changes a design without a connection and closes the window: the work is in this browser alone. */
async function leaveDraft(page: Page, id: string, warp: string): Promise<void> {
  const window = await page.context().newPage();
  await window.goto(`/bench/${id}`);
  await clothShown(window);
  await cutOff(window);
  await warpField(window).fill(warp);
  await keptHere(window);
  await window.close();
}

test('a draft that is put off is offered again after the next save, and goes only when it is deleted', async ({
  page,
}) => {
  const id = await openNew(page, TEXT);
  await leaveDraft(page, id, 'A20 B16');
  await page.reload();
  const dialog = page.getByRole('dialog', { name: 'There is work that was not saved' });
  await expect(dialog).toBeVisible();
  await page.keyboard.press('Escape');
  await warpField(page).fill('A20 B18');
  await saved(page);
  await page.reload();
  await expect(dialog).toContainText('The design has been saved somewhere else since.');
  await dialog.getByRole('button', { name: /^Delete it/ }).click();
  await page.reload();
  await clothShown(page);
  await expect(warpField(page)).toHaveValue('A20 B18');
  await expect(dialog).toHaveCount(0);
});

test('two windows without a server keep a draft each, and both are offered', async ({ page }) => {
  const id = await openNew(page, TEXT);
  await leaveDraft(page, id, 'A20 B14');
  // The second window puts the first one's draft off.
  const context = page.context();
  const second = await context.newPage();
  await second.goto(`/bench/${id}`);
  const dialog = (window: Page) => window.getByRole('dialog', { name: 'There is work that was not saved' });
  await expect(dialog(second)).toBeVisible();
  await second.keyboard.press('Escape');
  await cutOff(second);
  await warpField(second).fill('A20 B22');
  await keptHere(second);
  await second.close();
  await page.goto('/');
  await expect(keptList(page).getByText('Made for a test')).toHaveCount(2);
  await keptList(page).getByRole('link', { name: 'Open' }).first().click();
  await dialog(page).getByRole('button', { name: 'Go on with it' }).click();
  // The older one is offered too.
  await expect(dialog(page)).toBeVisible();
  await page.keyboard.press('Escape');
  await saved(page);
  await expect(warpField(page)).toHaveValue('A20 B22');
  await page.goto('/');
  await expect(keptList(page).getByText('Made for a test')).toHaveCount(1);
  await keptList(page).getByRole('button', { name: 'Delete' }).click();
  await expect(keptList(page)).toHaveCount(0);
});

test('drafts of a newer Vetro and of an older one stay until somebody deletes them', async ({ page }) => {
  const id = await openNew(page, TEXT);
  const { document } = (await (await page.request.get(`/api/designs/${id}`)).json()) as { document: object };
  await page.evaluate(
    ([design, own]) => {
      const newer = {
        key: `vetro-draft:${own}:x`,
        id: own,
        version: 1,
        name: 'From tomorrow',
        at: '2026-01-01T10:00:00.000Z',
      };
      localStorage.setItem(newer.key, JSON.stringify({ ...newer, document: { ...design, version: 99 } }));
      localStorage.setItem(
        `vetro-draft-${own}`,
        JSON.stringify({ version: 1, design: { ...design, name: 'From yesterday' } }),
      );
    },
    [document, id] as const,
  );
  await page.reload();
  const dialog = page.getByRole('dialog', { name: 'There is work that was not saved' });
  await expect(dialog).toContainText('some time ago');
  await page.keyboard.press('Escape');
  await warpField(page).fill('A20 B18');
  await saved(page);
  await page.goto('/');
  const newer = keptList(page).getByRole('listitem').filter({ hasText: 'From tomorrow' });
  await expect(newer).toContainText('kept by a newer Vetro');
  const file = await take(page, () => newer.getByRole('button', { name: 'Download' }).click());
  expect(JSON.parse(file.bytes.toString('utf8'))).toMatchObject({ version: 99 });
  for (const name of ['From tomorrow', 'From yesterday']) {
    const row = keptList(page).getByRole('listitem').filter({ hasText: name });
    await row.getByRole('button', { name: 'Delete' }).click();
    await expect(row).toHaveCount(0);
  }
});

test('a page that comes back from the page cache goes on from its own last word', async ({ page }) => {
  await openNew(page, TEXT);
  await warpField(page).fill('A20 B14');
  // The page is left at once, and comes back as it was.
  await page.evaluate(() => {
    window.dispatchEvent(new PageTransitionEvent('pagehide', { persisted: true }));
    window.dispatchEvent(new PageTransitionEvent('pageshow', { persisted: true }));
  });
  await saved(page);
  await warpField(page).fill('A20 B16');
  await saved(page);
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('Back shows what is stored, and the next change is no conflict', async ({ page }) => {
  await openNew(page, TEXT);
  await warpField(page).fill('A20 B14');
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(page.getByRole('button', { name: 'New design' })).toBeVisible();
  await page.goBack();
  await clothShown(page);
  await expect(warpField(page)).toHaveValue('A20 B14');
  await warpField(page).fill('A20 B16');
  await saved(page);
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('a write whose answer is lost is no conflict', async ({ page }) => {
  await openNew(page, TEXT);
  await page.route('**/api/designs/*', async (route) => {
    if (route.request().method() !== 'PUT') return route.continue();
    await route.fetch();
    await route.abort();
  });
  await warpField(page).fill('A20 B14');
  await keptHere(page);
  await page.unroute('**/api/designs/*');
  await warpField(page).fill('A20 B16');
  await saved(page);
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('whoever asks for a save while one goes on waits for it, and nobody is told of a conflict', async ({
  page,
}) => {
  await openNew(page, TEXT);
  let goOn = () => {};
  const held = new Promise<void>((resolve) => {
    goOn = resolve;
  });
  await page.route('**/api/designs/*', async (route) => {
    await held;
    await route.continue();
  });
  await page.getByRole('button', { name: 'Send' }).first().click();
  const name = page.getByLabel('Name of the design');
  const begun = page.waitForRequest((request) => request.method() === 'PUT');
  await name.fill('Once');
  await begun;
  await name.fill('Twice');
  // The first write is under way; the pause after the second change and the file both ask for another.
  const file = await take(page, async () => {
    await page.getByRole('button', { name: /^Send the PNG/ }).click();
    goOn();
  });
  expect(file.name).toMatch(/^Twice V \d+\.png$/);
  await saved(page);
  await expect(page.getByRole('dialog', STALE)).toHaveCount(0);
});

test('what was kept of a deleted design is saved when it was restored elsewhere, without a further change', async ({
  page,
}) => {
  const id = await openNew(page, TEXT);
  await page.request.delete(`/api/designs/${id}`, { headers: WRITER });
  await warpField(page).fill('A20 B14');
  await expect(page.getByText(/^Not saved: .* — kept here/)).toBeVisible();
  await page.request.post(`/api/designs/${id}/restore`, { headers: WRITER });
  // Whoever restored it in another window comes back to this one.
  await page.evaluate(() => window.dispatchEvent(new Event('focus')));
  await saved(page);
  const stored = (await (await page.request.get(`/api/designs/${id}`)).json()) as { document: object };
  expect(JSON.stringify(stored.document)).toContain('"count":14');
});

test('undone to what is saved, it is saved', async ({ page }) => {
  await openNew(page, TEXT);
  await page.route('**/api/designs/*', (route) => route.abort());
  await warpField(page).fill('A20 B14');
  await keptHere(page);
  await page.unroute('**/api/designs/*');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await saved(page);
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'New design' })).toBeVisible();
  await expect(keptList(page)).toHaveCount(0);
});

testAlone(
  'where the browser may keep nothing the bench works, and does not say that it keeps anything',
  async ({ page }) => {
    await page.addInitScript(() => {
      for (const name of ['localStorage', 'indexedDB']) {
        Object.defineProperty(window, name, {
          get: () => {
            throw new DOMException('forbidden', 'SecurityError');
          },
        });
      }
    });
    await openNew(page, TEXT);
    await page.route('**/api/designs/*', (route) => route.abort());
    await warpField(page).fill('A20 B14');
    await expect(page.getByText('Not saved: no connection — do not close this page')).toBeVisible();
    const asked = page.waitForEvent('dialog');
    void page.goto('/').catch(() => {});
    const question = await asked;
    expect(question.type()).toBe('beforeunload');
    await question.dismiss();
    await page.unroute('**/api/designs/*');
    await saved(page);
  },
);
