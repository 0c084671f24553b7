import { expect } from '@playwright/test';
import { newTiling } from '../../src/core/design/new-design.ts';
import { clothShown, keepDesign, openNew, saved, step, take, WRITER, warpField } from './helpers.ts';
import { test } from './test.ts';

/** Every kind of file that a woven design is sent as, by its button. */
const FILES = ['PNG', 'SVG', 'Counts', 'CSV', 'WIF', 'Design', 'Draft', 'Point paper', 'Squares', 'Texture'];

test('what is edited and sent again is never the earlier file, whatever kind it is', async ({ page }) => {
  await openNew(page, 'warp: A20 B10\nweave: 2/2Z\n');
  const send = async (file: string) => {
    await page.getByRole('radio', { name: file, exact: true }).click();
    return take(page, () => page.getByRole('button', { name: `Send the ${file}` }).click());
  };
  await step(page, 'Send');
  const before = new Map<string, Buffer>();
  for (const file of FILES) before.set(file, (await send(file)).bytes);
  await step(page, 'Build');
  await warpField(page).fill('A12 B10');
  await page.getByLabel('Any other weave').fill('3/1Z');
  await page.keyboard.press('Enter');
  await saved(page);
  await step(page, 'Send');
  const names = new Set<string>();
  for (const file of FILES) {
    const { bytes, name } = await send(file);
    expect(bytes.equals(before.get(file)!), `${file} is the earlier one`).toBe(false);
    names.add(name);
  }
  // No two kinds share a name.
  expect(names.size).toBe(FILES.length);
  await page.reload();
  await clothShown(page);
  await step(page, 'Send');
  const again = await take(page, () => page.getByRole('button', { name: 'Send the PNG' }).click());
  expect(again.bytes.equals(before.get('PNG')!)).toBe(false);
});

test('faces of a tiling and its swatch follow an edit too', async ({ page }) => {
  const design = newTiling({
    name: 'Squares again',
    shades: [{ key: 'A', name: 'Slate water', hex: '#2e4c63' }],
    faces: ['A'],
    form: { kind: 'regular', name: '4.4.4.4' },
    size: '20mm',
  });
  const id = await keepDesign(page, design);
  const file = (name: string, v: number) => `/api/designs/${id}/files/${name}?v=${v}`;
  const [faces, swatch] = [
    await page.request.get(file('faces.csv', 1)),
    await page.request.get(file('swatch.png', 1)),
  ];
  expect(swatch.headers()['cache-control']).toContain('immutable');
  const wider = { ...design, construction: { ...design.construction, size: '30mm' } };
  await page.request.put(`/api/designs/${id}`, { data: { version: 1, document: wider }, headers: WRITER });
  const later = await page.request.get(file('faces.csv', 2));
  expect(await later.text()).not.toBe(await faces.text());
  // An address that names a version which is not stored may not be kept, and a download of it is refused.
  expect((await page.request.get(file('swatch.png', 1))).headers()['cache-control']).toBe('no-store');
  expect((await page.request.get(`${file('faces.csv', 1)}&save=`)).status()).toBe(409);
});

test('a sheet says whether it repeats, and one click makes it', async ({ page }) => {
  await openNew(page, 'warp: A20 B10\nweave: plain\ndensity: 30/in\n');
  await step(page, 'Send');
  await page.getByRole('radio', { name: 'A size' }).click();
  await page.getByLabel('Size of the sheet').fill('90 x 120 mm');
  await expect(page.getByText(/cuts through a repeat/)).toBeVisible();
  await page.getByRole('button', { name: '3 × 4: 76.2 × 101.6 mm' }).click();
  await expect(page.getByText(/3 × 4 whole repeats: laid edge to edge, the sheet repeats/)).toBeVisible();
  await expect(page.getByLabel('Repeats across')).toHaveValue('3');
});
