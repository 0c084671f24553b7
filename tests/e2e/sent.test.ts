import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { newTiling } from '../../src/core/design/new-design.ts';
import { clothShown, step, take, WRITER } from './helpers.ts';
import { type OwnServer, ownDatabase, startOwn } from './own-server.ts';
import { test } from './test.ts';

let server: OwnServer;
const data = ownDatabase();

test.beforeAll(async () => {
  server = await startOwn(data);
});
test.afterAll(() => server.kill());

const FLOOR = {
  ...newTiling({
    name: 'Booking-hall octagons',
    shades: [
      { key: 'A', name: 'Slate water', hex: '#2e4c63' },
      { key: 'B', name: 'Brake red', hex: '#8c2f25' },
    ],
    faces: ['A', 'B'],
    form: { kind: 'regular', name: '4.8.8' },
    size: '30mm',
  }),
  number: 'LLR 90',
};

/** A floor on the bench, at the Send step. */
async function openSend(page: Page, name: string): Promise<string> {
  const answer = await page.request.post(`${server.address}/api/designs`, {
    data: { document: { ...FLOOR, name } },
    headers: WRITER,
  });
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`${server.address}/bench/${id}`);
  await clothShown(page);
  await step(page, 'Send');
  return id;
}

async function choose(page: Page, file: string, size: string): Promise<void> {
  await page.getByRole('radio', { name: file, exact: true }).click();
  await page.getByRole('radio', { name: 'A size' }).click();
  await page.getByLabel('Size of the sheet').fill(size);
}

function saved(bytes: Buffer, name: string): string {
  const path = join(mkdtempSync(join(tmpdir(), 'vetro-e2e-')), name);
  writeFileSync(path, bytes);
  return path;
}

test('a 12 in sheet as JPEG, its profile embedded and its quality chosen', async ({ page }) => {
  await openSend(page, 'Octagons for mail');
  await choose(page, 'JPEG', '12in x 12in');
  await page.getByLabel('Quality').fill('101');
  await expect(page.getByText(/from 1 to 100, got “101”/).first()).toBeVisible();
  await page.getByLabel('Quality').fill('80');
  const { name, bytes } = await take(page, () => page.getByRole('button', { name: 'Send the JPEG' }).click());
  expect(name).toBe('Octagons for mail LLR 90 12in x 12in.jpg');
  expect(await sharp(bytes).metadata()).toMatchObject({
    format: 'jpeg',
    width: 3600,
    height: 3600,
    density: 300,
    hasProfile: true,
    chromaSubsampling: '4:4:4',
  });
});

test('an A3 PDF with bleed and marks', async ({ page }) => {
  await openSend(page, 'Octagons to print');
  await page.getByRole('radio', { name: 'PDF', exact: true }).click();
  await page.getByLabel('Paper').selectOption('A3');
  await page.getByLabel('Bleed').fill('3 mm');
  await page.getByRole('radio', { name: 'At the corners' }).click();
  const { bytes } = await take(page, () => page.getByRole('button', { name: 'Send the PDF' }).click());
  const path = saved(bytes, 'sent.pdf');
  expect(execFileSync('qpdf', ['--check', path], { encoding: 'utf8' })).toContain('No syntax');
  const info = execFileSync('pdfinfo', ['-box', path], { encoding: 'utf8' });
  expect(info).toMatch(/Title: +Octagons to print/);
  expect(info).toMatch(/Pages: +2/);
  expect(info).toMatch(/TrimBox: +31.18 +31.18 +873.07 +1221.73/);
});

test('ten metres as a job with progress, stopped, and sent again from what was sent', async ({ page }) => {
  await openSend(page, 'Octagons by the metre');
  // A JPEG of that length is past what the format holds, and says what to do.
  await choose(page, 'JPEG', '1.4 m x 10 m');
  await expect(
    page.getByRole('alert').filter({ hasText: /at most 65.?500 pixels a side.*Choose PNG/ }),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Send the JPEG' })).toBeDisabled();
  await choose(page, 'TIFF', '1.4 m x 10 m');
  await page.getByRole('button', { name: 'Send the TIFF' }).click();
  const bar = page.getByRole('progressbar');
  await expect(bar).toHaveAttribute('aria-valuenow', /\d/, { timeout: 60_000 });
  await expect(page.getByText(/\d+ %, about .* left/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Send the TIFF' })).toBeEnabled();
  await choose(page, 'PNG', '1.4 m x 10 m');
  const { name, bytes } = await take(page, () => page.getByRole('button', { name: 'Send the PNG' }).click());
  expect(name).toBe('Octagons by the metre LLR 90 1.4 m x 10 m.png');
  // Width and height of the header. Source: W3C PNG, 11.2.1.
  expect([bytes.readUInt32BE(16), bytes.readUInt32BE(20)]).toEqual([16_535, 118_110]);
  await page.getByRole('link', { name: 'What was sent before' }).click();
  const rows = page.getByRole('listitem').filter({ hasText: 'Octagons by the metre' });
  await expect(rows.filter({ hasText: 'Stopped' })).toHaveCount(1);
  const made = rows.filter({ hasText: /Made, [\d.]+ MB/ });
  await expect(made).toHaveCount(1);
  const again = await take(page, () => made.getByRole('button', { name: /^Save/ }).click());
  expect(again.bytes.equals(bytes)).toBe(true);
  await made.getByRole('button', { name: /again$/ }).click();
  await expect(rows.filter({ hasText: /Made, [\d.]+ MB/ })).toHaveCount(2);
  await rows
    .filter({ hasText: 'Stopped' })
    .getByRole('button', { name: /^Remove/ })
    .click();
  await expect(rows.filter({ hasText: 'Stopped' })).toHaveCount(0);
});

test('a job that the server’s end broke off is made when it is back', async ({ page }) => {
  const id = await openSend(page, 'Octagons after all');
  const order = { designId: id, version: 1, file: 'tile.jpg', query: 'size=1.2 m x 2 m' };
  const answer = await page.request.post(`${server.address}/api/jobs`, { data: order, headers: WRITER });
  const job = (await answer.json()) as { id: string };
  await expect
    .poll(
      async () => {
        const found = await page.request.get(`${server.address}/api/jobs/${job.id}`);
        return ((await found.json()) as { made: number }).made;
      },
      { timeout: 60_000 },
    )
    .toBeGreaterThan(0);
  await server.kill();
  server = await startOwn(data);
  await page.goto(`${server.address}/sent`);
  const row = page.getByRole('listitem').filter({ hasText: 'Octagons after all' });
  await expect(row.getByText(/Made, [\d.]+ MB/)).toBeVisible({ timeout: 90_000 });
});

test('a pack and a collection sheet are opened by other tools', async ({ page }) => {
  await openSend(page, 'Octagons in a pack');
  await page.getByRole('radio', { name: 'Pack', exact: true }).click();
  await page.getByLabel('Words for whoever opens it').fill('For the booking hall.');
  const pack = await take(page, () => page.getByRole('button', { name: 'Send the Pack' }).click());
  const path = saved(pack.bytes, 'pack.zip');
  expect(execFileSync('unzip', ['-t', path], { encoding: 'utf8' })).toContain('No errors detected');
  expect(execFileSync('unzip', ['-p', path, 'Read me.txt'], { encoding: 'utf8' })).toContain(
    'For the booking hall.',
  );
  const shelf = (await (await page.request.get(`${server.address}/api/shelf`)).json()) as {
    ranges: { designs: { id: string }[] }[];
  };
  const { id } = shelf.ranges[0]!.designs[0]!;
  await page.request.post(`${server.address}/api/designs/${id}/move`, {
    data: { range: 'Halls' },
    headers: WRITER,
  });
  await page.goto(server.address);
  await page
    .getByRole('region', { name: 'Halls' })
    .getByRole('button', { name: 'Collection sheet…' })
    .click();
  const dialog = page.getByRole('dialog', { name: /^Collection sheet of “Halls”/ });
  await expect(dialog).toContainText('1 design on 1 page of A4');
  // Without a design there is no sheet.
  const chosen = dialog.getByRole('group', { name: 'Designs on the sheet' }).getByRole('button');
  await chosen.first().click();
  await expect(dialog.getByRole('button', { name: 'Make the sheet' })).toBeDisabled();
  await chosen.first().click();
  await dialog.getByRole('textbox', { name: 'Scale of all cloth' }).fill('25%');
  const sheet = await take(page, () => dialog.getByRole('button', { name: 'Make the sheet' }).click());
  expect(sheet.name).toBe('Halls.pdf');
  const pdf = saved(sheet.bytes, 'halls.pdf');
  const words = execFileSync('pdftotext', [pdf, '-'], { encoding: 'utf8' });
  expect(words).toMatch(/Octagons/);
  expect(words).toContain('25 % of true size');
});

test('a strike-off beside the design tells what becomes of each shade', async ({ page }) => {
  await openSend(page, 'Octagons in print');
  await page.getByRole('radio', { name: 'Strike-off', exact: true }).click();
  await page.getByLabel('Printed on').selectOption({ label: 'Linen' });
  const [design, printed] = [
    page.getByRole('img', { name: 'As it is designed' }),
    page.getByRole('img', { name: 'In print on linen' }),
  ];
  const wide = (image: typeof design) => image.evaluate((element: HTMLImageElement) => element.naturalWidth);
  await expect.poll(() => wide(design)).toBeGreaterThan(300);
  await expect.poll(async () => (await wide(printed)) - (await wide(design))).toBe(0);
  await expect(page.getByRole('row', { name: /Brake red ΔE \d+\.\d/ })).toBeVisible();
  await page.getByRole('radio', { name: 'One repeat' }).click();
  const { name, bytes } = await take(page, () =>
    page.getByRole('button', { name: 'Send the Strike-off' }).click(),
  );
  expect(name).toBe('Octagons in print LLR 90 strike-off.png');
  const { channels } = await sharp(bytes).stats();
  // Linen makes it darker and less red than #8c2f25 and #2e4c63 are.
  expect(channels[0]!.max).toBeLessThan(0x8c);
});
