import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { expect, type Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import { designFromText } from '../../src/core/design/exchange/counts-text.ts';
import { clothShown, take, WRITER, warpField } from './helpers.ts';
import { expectAccessible } from './looks/axe.ts';
import { type OwnServer, ownDatabase, startOwn } from './own-server.ts';
import { test } from './test.ts';

const DAY = 24 * 60 * 60 * 1000;

/** A server whose clock goes so many milliseconds ahead; behind where that is less than none. */
function startAt(data: string, ahead: number): Promise<OwnServer> {
  const preload = `--import ${JSON.stringify(`file://${resolve('tests/e2e/clock.mjs')}`)}`;
  return startOwn(data, { VETRO_TEST_CLOCK: String(ahead), NODE_OPTIONS: preload });
}

async function keep(page: Page, address: string, text: string, name: string): Promise<string> {
  const document = designFromText(text, name);
  const answer = await page.request.post(`${address}/api/designs`, { data: { document }, headers: WRITER });
  expect(answer.ok()).toBe(true);
  return ((await answer.json()) as { id: string }).id;
}

const opened = (page: Page) => page.getByRole('region', { name: /^The shelf/ });

test('a design is brought back from yesterday’s backup, beside what is here and in its place', async ({
  page,
}) => {
  const data = ownDatabase();
  const yesterday = await startAt(data, -DAY);
  const id = await keep(page, yesterday.address, 'warp: A20 B12\nweave: plain', 'Scullery cloth');
  await keep(page, yesterday.address, 'warp: A8 B8\nweave: plain', 'Pantry check');
  await page.request.post(`${yesterday.address}/api/backups`, { headers: WRITER });
  await yesterday.end('SIGTERM');

  const server = await startAt(data, 0);
  await page.goto(`${server.address}/bench/${id}`);
  await clothShown(page);
  await warpField(page).fill('A2 B2');
  await expect(page.getByRole('status').filter({ hasText: /^Saved \d\d:\d\d$/ })).toBeVisible();
  const gone = await page.request.get(`${server.address}/api/shelf?search=Pantry`);
  const [{ designs }] = ((await gone.json()) as { ranges: [{ designs: { id: string }[] }] }).ranges;
  for (const address of [`/api/designs/${designs[0]!.id}`, `/api/bin/${designs[0]!.id}`]) {
    await page.request.delete(server.address + address, { headers: WRITER });
  }

  await page.goto(`${server.address}/`);
  await page.getByRole('link', { name: 'Backups in one place' }).click();
  await expect(page.getByText('Backups lie in one place only.')).toBeVisible();
  await expectAccessible(page, 'backups');
  // One of today was made at the start; the one of yesterday says its day.
  const list = page.getByRole('region', { name: 'Backups' }).getByRole('listitem');
  await list
    .filter({ hasText: /\d+ \w+, \d\d:\d\d|yesterday/i })
    .first()
    .getByRole('button')
    .click();
  await expect(opened(page).getByText('2 designs, 2 not the same here')).toBeVisible();
  await expect(opened(page).getByText('missing now')).toBeVisible();
  await expect(opened(page).getByText('changed since')).toBeVisible();
  await expectAccessible(page, 'a backup that is looked into');
  // Beside what is here: it hangs there, and is not offered again by itself.
  await opened(page).getByLabel('What becomes of Scullery cloth').selectOption('Beside it');
  await opened(page).getByRole('button', { name: 'Bring back 1 design' }).click();
  await expect(page.getByText('1 design added.')).toBeVisible();
  await expect(opened(page).getByRole('button', { name: 'Bring back' })).toBeDisabled();
  await opened(page).getByRole('button', { name: 'Choose what is missing (1)' }).click();
  await opened(page).getByRole('button', { name: 'Bring back 1 design' }).click();
  await expect(page.getByText('1 design added.')).toHaveCount(2);
  await expect(opened(page).getByText('2 designs, 1 not the same here')).toBeVisible();
  // One after the other: each is told, and the list follows.
  await opened(page).getByLabel('What becomes of Scullery cloth').selectOption('In its place');
  await opened(page).getByRole('button', { name: 'Bring back 1 design' }).click();
  await expect(page.getByText('1 replaced.')).toBeVisible();
  await expect(opened(page).getByText('all the same here')).toBeVisible();

  await page.goto(`${server.address}/bench/${id}`);
  await clothShown(page);
  await expect(warpField(page)).toHaveValue('A20 B12');
  // What was replaced is an earlier state, and was backed up before.
  const states = await page.request.get(`${server.address}/api/designs/${id}/revisions`);
  expect(((await states.json()) as unknown[]).length).toBeGreaterThanOrEqual(2);
  expect(
    readdirSync(join(dirname(data), 'backups')).filter((name) => name.endsWith('.db')).length,
  ).toBeGreaterThanOrEqual(4);
  await server.end('SIGTERM');
});

test('a second place is asked for, told when it is away, and holds what the first one loses', async ({
  page,
}) => {
  const data = ownDatabase();
  const server = await startAt(data, 0);
  await keep(page, server.address, 'warp: A20 B12\nweave: plain', 'Scullery cloth');
  await page.goto(`${server.address}/backups`);
  const field = page.getByLabel('A folder on another disk, or a shared one');
  const disk = join(dirname(data), 'disk');
  await field.fill(disk);
  await page.getByRole('button', { name: 'Copy there', exact: true }).click();
  await expect(page.getByText(`“${disk}” cannot hold backups: it is not there.`)).toBeVisible();
  mkdirSync(disk);
  await field.fill(disk);
  await page.getByRole('button', { name: 'Copy there', exact: true }).click();
  await expect(page.getByText('This is on the same disk as the first place')).toBeVisible();
  await expect(page.getByText('2 places').first()).toBeVisible();
  expect(readdirSync(join(disk, 'vetro-backups')).filter((name) => name.endsWith('.db'))).toHaveLength(1);

  // The disk is away: that is told here and on the shelf, until a backup reaches it again.
  renameSync(disk, `${disk}-away`);
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByRole('alert')).toContainText('it is not there');
  await page.goto(`${server.address}/`);
  await expect(page.getByRole('link', { name: 'Backups failed' })).toBeVisible();
  renameSync(`${disk}-away`, disk);
  await page.goto(`${server.address}/backups`);
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);

  // The first place loses what it holds.
  const first = join(dirname(data), 'backups');
  for (const name of readdirSync(first)) if (name.endsWith('.db')) rmSync(join(first, name));
  await page.reload();
  await page
    .getByRole('region', { name: 'Backups' })
    .getByRole('listitem')
    .last()
    .getByRole('button')
    .click();
  await expect(opened(page).getByText('1 design, all the same here')).toBeVisible();
  await server.end('SIGTERM');
});

test('a shelf is moved into an empty Vetro, and equal by its export', async ({ page }) => {
  const data = ownDatabase();
  expect(spawnSync('node', ['scripts/hung-shelves.mjs', data]).status).toBe(0);
  const exported = async (server: OwnServer) => {
    await page.goto(`${server.address}/backups`);
    await page.getByLabel('with the bin').check();
    return take(page, () => page.getByRole('link', { name: 'Export the shelf' }).click());
  };
  const old = await startOwn(data);
  const before = await exported(old);
  expect(before.name).toMatch(/^Vetro shelf \d{4}-\d\d-\d\d\.zip$/);
  await old.end('SIGTERM');

  const fresh = await startOwn(ownDatabase());
  await page.goto(`${fresh.address}/`);
  const zip = { name: before.name, mimeType: 'application/zip', buffer: before.bytes };
  await page.getByLabel('Files to import').setInputFiles({ ...zip, buffer: before.bytes.subarray(0, 5000) });
  await expect(page.getByText('That is no archive of a shelf')).toBeVisible();
  await page.getByLabel('Files to import').setInputFiles(zip);
  const brought = page.getByRole('region', { name: /Larkmere/ });
  await expect(brought.getByText(/51 designs, 51 not the same here/)).toBeVisible();
  await brought.getByRole('button', { name: 'Bring in 51 designs' }).click();
  await expect(page.getByText('51 designs added.')).toBeVisible();
  const after = await exported(fresh);
  // What is here and there is the same, so that nothing is left to bring.
  await page.goto(`${fresh.address}/`);
  await page.getByLabel('Files to import').setInputFiles(zip);
  await expect(brought.getByText(/51 designs, all the same here/)).toBeVisible();
  await expect(brought.getByRole('button', { name: 'Bring in' })).toBeDisabled();
  const [one, other] = [unzipSync(before.bytes), unzipSync(after.bytes)];
  expect(Object.keys(other)).toEqual(Object.keys(one));
  const differing = Object.keys(one).filter((name) => !Buffer.from(one[name]!).equals(other[name]!));
  expect(differing).toEqual(['shelf.json']);
  const contents = (bytes: Uint8Array) => JSON.parse(Buffer.from(bytes).toString()) as { date: string };
  expect({ ...contents(other['shelf.json']!), date: '' }).toEqual({
    ...contents(one['shelf.json']!),
    date: '',
  });
  await page.goto(`${fresh.address}/`);
  await expect(page.getByRole('link', { name: 'Third-class moquette' })).toBeVisible();
  await fresh.end('SIGTERM');
});
