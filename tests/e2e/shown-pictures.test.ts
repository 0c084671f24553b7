import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { designFromStart } from '../../src/core/design/starts.ts';
import { clothPixel, clothShown, openDesign, saved, step } from './helpers.ts';
import { test } from './test.ts';

const RED = [176, 68, 47];

/** One colour, its right half clear. */
function halfClear(): Promise<Buffer> {
  const left = { create: { width: 40, height: 60, channels: 4 as const, background: '#b0442f' } };
  return sharp({
    create: { width: 80, height: 60, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
  })
    .composite([{ input: left, left: 0, top: 0 }])
    .png()
    .toBuffer();
}

/** The design on the bench as a file. */
async function document(page: Page): Promise<{ pictures: Record<string, { type: string }> }> {
  await saved(page);
  const id = page.url().split('/').at(-1)!;
  return (await page.request.get(`/api/designs/${id}/files/design.json`)).json();
}

test('a picture is a piece of a motif: added, fitted, carried by its file, and read again', async ({
  page,
}) => {
  await openDesign(page, designFromStart('motif', 'empty'));
  const own = page.getByRole('region', { name: 'Add a piece' });
  await own.getByLabel('A picture to add').setInputFiles({
    name: 'a letter.png',
    mimeType: 'image/png',
    buffer: Buffer.from('Dear designer'),
  });
  await expect(own.getByRole('alert')).toHaveText(/That is not a picture/);
  await own.getByLabel('A picture to add').setInputFiles({
    name: 'half_clear.png',
    mimeType: 'image/png',
    buffer: await halfClear(),
  });
  const picture = page.getByRole('region', { name: 'Picture', exact: true });
  await expect(picture).toContainText('half clear');
  await expect(picture).toContainText('80 × 60 px');
  // It is half of the box wide, as long as it is in proportion, and its clear half shows the ground.
  await expect(page.getByRole('textbox', { name: 'Width', exact: true })).toHaveValue('4');
  await expect(page.getByRole('textbox', { name: 'Height', exact: true })).toHaveValue('3');
  await page.keyboard.press('Escape');
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Motif' })).toContainText('Picture');
  const carried = await document(page);
  expect(Object.values(carried.pictures)).toMatchObject([{ type: 'image/png' }]);
  const stored = await page.request.get(`/api/designs/${page.url().split('/').at(-1)}`);
  expect(((await stored.json()) as { document: object }).document).toMatchObject({ pictures: {} });
  await page.goto('/');
  await page.getByLabel('Files to import').setInputFiles({
    name: 'carried.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...carried, name: 'Carried here' })),
  });
  await clothShown(page);
  await expect(page.getByLabel('Name of the design')).toHaveValue('Carried here');
  const tile = await page.request.get(`/api/designs/${page.url().split('/').at(-1)}/files/tile.png?dpi=100`);
  const { data, info } = await sharp(await tile.body())
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const at = (x: number) =>
    [...data.subarray((Math.floor(info.height / 2) * info.width + x) * 3)].slice(0, 3);
  expect(at(Math.round(info.width * 0.4))).toEqual(RED);
  expect(at(Math.round(info.width * 0.6))).toEqual(at(2));
});

test('faces of a tiling show a picture, on the cloth as in the file', async ({ page }) => {
  await openDesign(page, designFromStart('tiling', '4.4.4.4'));
  await page.getByText('Picture in faces').click();
  const picture = page.getByRole('region', { name: 'Picture', exact: true });
  await picture.getByLabel('A picture to paint with').setInputFiles({
    name: 'red.png',
    mimeType: 'image/png',
    buffer: await sharp({ create: { width: 30, height: 30, channels: 3, background: '#b0442f' } })
      .png()
      .toBuffer(),
  });
  await expect(picture).toContainText('30 × 30 px');
  await expect.poll(() => clothPixel(page, 3, 3)).toEqual(RED);
  await page.getByRole('radio', { name: 'Turned with each face' }).click();
  expect(Object.keys((await document(page)).pictures)).toHaveLength(1);
  const id = page.url().split('/').at(-1);
  const drawing = await (await page.request.get(`/api/designs/${id}/files/tile.svg`)).text();
  expect(drawing.match(/data:image\/png;base64/g)).toHaveLength(1);
  await picture.getByRole('button', { name: 'Remove the picture' }).click();
  await expect.poll(() => clothPixel(page, 3, 3)).not.toEqual(RED);
});
