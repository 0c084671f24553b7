import { expect } from '@playwright/test';
import { changeElsewhere, openNew, saved, WRITER, warpField } from './helpers.ts';
import { test } from './test.ts';

const TEXT = 'warp: A20 B10\nweave: 2/2Z\n';

test('two windows on one design: the later stale write is told, and both are kept', async ({ page }) => {
  const id = await openNew(page, TEXT);
  const other = await changeElsewhere(page, id, 'A20 B12');
  await warpField(page).fill('A20 B14');
  const dialog = page.getByRole('dialog', { name: 'Changed somewhere else' });
  await expect(dialog).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Not saved: changed elsewhere/ }).click();
  await dialog.getByRole('button', { name: /^Keep both/ }).click();
  await expect(page.getByLabel('Name of the design')).toHaveValue('Made for a test (mine)');
  await expect(warpField(page)).toHaveValue('A20 B14');
  await other.reload();
  await expect(warpField(other)).toHaveValue('A20 B12');
});

test('two windows on one design: the other one’s is taken', async ({ page }) => {
  const id = await openNew(page, TEXT);
  await changeElsewhere(page, id, 'A20 B12');
  await warpField(page).fill('A20 B14');
  await page.getByRole('button', { name: /^Take theirs/ }).click();
  await expect(warpField(page)).toHaveValue('A20 B12');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('without a connection nothing is lost: it is kept here, offered, and saved', async ({ page }) => {
  const id = await openNew(page, TEXT);
  await page.route('**/api/designs/**', (route) => route.abort());
  await warpField(page).fill('A20 B16');
  await expect(page.getByText('Not saved: no connection — kept here')).toBeVisible();
  await page.goto(`/bench/${id}`);
  const dialog = page.getByRole('dialog', { name: 'There is work that was not saved' });
  await expect(dialog).toBeVisible();
  await page.unroute('**/api/designs/**');
  await dialog.getByRole('button', { name: 'Go on with it' }).click();
  await expect(warpField(page)).toHaveValue('A20 B16');
  await saved(page);
  await page.reload();
  await expect(warpField(page)).toHaveValue('A20 B16');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('a change made just before leaving is there on return', async ({ page }) => {
  const id = await openNew(page, TEXT);
  await warpField(page).fill('A20 B18');
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Larkmere Light Railway' })).toBeVisible();
  await page.goto(`/bench/${id}`);
  await expect(warpField(page)).toHaveValue('A20 B18');
});

test('addresses of nothing say so, and what is wrong is refused in words', async ({ page }) => {
  expect((await page.goto('/bench/no-such-design'))!.status()).toBe(404);
  await expect(page.getByText('This design is not on the shelf.')).toBeVisible();
  expect((await page.goto('/no/such/page'))!.status()).toBe(404);
  const id = await openNew(page, TEXT);
  const put = (data: unknown) => page.request.put(`/api/designs/${id}`, { data, headers: WRITER });
  const { document } = (await (await page.request.get(`/api/designs/${id}`)).json()) as {
    document: Record<string, unknown>;
  };
  for (const [data, status, code] of [
    [{ version: 1, document: { ...document, version: 99 } }, 422, 'design/newer'],
    [{ version: 1, document: { ...document, shades: [] } }, 422, 'design/field'],
    [{ version: 7, document }, 409, 'design/stale'],
    [{ document }, 400, 'request/field'],
    [{ version: 1, document: 'x'.repeat(4_500_000) }, 413, 'request/too-large'],
  ] as const) {
    const answer = await put(data);
    expect(answer.status()).toBe(status);
    expect(await answer.json()).toMatchObject({ code });
  }
  expect((await page.request.patch(`/api/designs/${id}`, { headers: WRITER })).status()).toBe(405);
  expect((await page.request.get(`/api/designs/${id}/files/tile.gif`)).status()).toBe(404);
  await page.reload();
  await expect(warpField(page)).toHaveValue('A20 B10');
});
