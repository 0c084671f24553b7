import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import type { Design } from '../../src/core/design/design-schema.ts';
import { disc, line } from '../../src/core/design/motif/start-parts.ts';
import { usualPiece } from '../../src/core/design/motif/usual-piece.ts';
import { newMotif, newPlaid, newStripe } from '../../src/core/design/new-design.ts';
import { asPlies, layOver as withOver } from '../../src/core/design/plies/lay-over.ts';
import type { PliesSpec, PlySpec } from '../../src/core/design/plies/plies-schema.ts';
import { clothShown, keepDesign, openFromShelf, saved, step, WRITER } from './helpers.ts';
import { test } from './test.ts';

const GREEN = { key: 'G', name: 'Boiler green', hex: '#24402f' };
const CREAM = { key: 'C', name: 'Ticket cream', hex: '#efe6cf' };
const RED = { key: 'R', name: 'Brake red', hex: '#8c2f25' };

async function openBench(page: Page, id: string): Promise<void> {
  await page.goto(`/bench/${id}`);
  await clothShown(page);
  await step(page, 'Build');
}

/** Opens what is asked when something is laid over a design, and says which kind of thing it is. */
async function layOver(page: Page, what: string): Promise<void> {
  await page.getByRole('button', { name: 'Lay something over…' }).click();
  await page.getByRole('radio', { name: what, exact: true }).click();
}

/** Lays what was chosen over a design that is not of plies: that is a new design on a bench of its own. */
async function intoNewDesign(page: Page): Promise<void> {
  const before = page.url();
  await page.getByRole('button', { name: 'Lay over', exact: true }).click();
  await expect.poll(() => page.url()).not.toBe(before);
  await clothShown(page);
  await step(page, 'Build');
}

const inDialog = (page: Page) => page.getByRole('dialog');

function ply(page: Page, name: string | RegExp) {
  return page
    .getByRole('region', { name: 'Plies', exact: true })
    .getByRole('button', { name, pressed: false });
}

async function pliesOf(page: Page): Promise<readonly PlySpec[]> {
  await saved(page);
  const answer = await page.request.get(`/api/designs/${page.url().split('/').at(-1)}`);
  return ((await answer.json()) as { document: { construction: PliesSpec } }).document.construction.plies;
}

async function expectRepeats(page: Page): Promise<void> {
  await step(page, 'Check');
  await expect(page.getByText('Numbers: the repeat closes exactly.')).toBeVisible();
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
}

/** A tile of the design on the bench, four bytes a pixel. */
async function tileOf(page: Page, dpi: number, id = page.url().split('/').at(-1)!): Promise<Buffer> {
  const answer = await page.request.get(`/api/designs/${id}/files/tile.png?dpi=${dpi}`);
  expect(answer.ok()).toBe(true);
  return sharp(await answer.body())
    .ensureAlpha()
    .raw()
    .toBuffer();
}

function diamonds(): Design {
  return newMotif({
    name: 'Fading diamonds',
    shades: [GREEN, CREAM],
    box: { width: '4', height: '4' },
    pieces: [
      usualPiece(1, line('0,2 2,0 0,-2 -2,0', { run: 'closed', width: null }), '2', '2', {
        fade: { kind: 'along', shades: ['G', 'C'], over: 'piece', angle: '90' },
      }),
    ],
  });
}

function stripes(name: string, rise: 0 | 1): Design {
  return newStripe({
    name,
    shades: [GREEN, CREAM, RED],
    bands: [
      { shade: 'G', width: '8' },
      { shade: 'C', width: '4' },
      { shade: 'R', width: '2' },
      { shade: 'C', width: '4' },
    ],
    slope: { rise, run: 1 - rise },
  });
}

test('the texture of a twill is laid over a print at 20 per cent, and what was chosen is remembered', async ({
  page,
}) => {
  await openFromShelf(page, 'Slipway roof scales');
  const print = page.url().split('/').at(-1)!;
  await step(page, 'Build');
  await layOver(page, 'Texture of a weave');
  await expect(inDialog(page).getByLabel('Blend')).toHaveValue('multiply');
  await expect(inDialog(page).getByLabel('Strength')).toHaveValue('20%');
  await intoNewDesign(page);
  const [below, above] = await pliesOf(page);
  expect(below).toMatchObject({ content: { from: { id: print } } });
  expect(above).toMatchObject({ blend: 'multiply', strength: '20%', scale: { to: 'count' } });
  // What is multiplied is nowhere lighter, and darker somewhere.
  const [plain, woven] = [await tileOf(page, 100, print), await tileOf(page, 100)];
  expect(woven).toHaveLength(plain.length);
  expect(woven.every((level, at) => level <= plain[at]!)).toBe(true);
  expect(woven.some((level, at) => level < plain[at]! - 8)).toBe(true);
  await expectRepeats(page);

  await step(page, 'Build');
  await layOver(page, 'Texture of a weave');
  await inDialog(page).getByLabel('Weave').fill('satin 5/2');
  await inDialog(page).getByLabel('Blend').selectOption('Lighten');
  await inDialog(page).getByLabel('Strength').fill('30%');
  await page.getByRole('button', { name: 'Lay over', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Ply 3' })).toBeVisible();
  await saved(page);
  await page.reload();
  await clothShown(page);
  await step(page, 'Build');
  await layOver(page, 'Texture of a weave');
  await expect(inDialog(page).getByLabel('Blend')).toHaveValue('lighten');
  await expect(inDialog(page).getByLabel('Strength')).toHaveValue('30%');
  await expect(inDialog(page).getByLabel('Weave')).toHaveValue('satin 5/2');
  await inDialog(page).getByLabel('Weave').fill('2/2X');
  await expect(page.getByRole('button', { name: 'Lay over', exact: true })).toBeDisabled();
  await page.keyboard.press('Escape');
  // The same once more is one click.
  await page.getByRole('button', { name: 'Weave texture' }).click();
  await expect(page.getByRole('region', { name: 'Ply 4' })).toBeVisible();
  expect((await pliesOf(page))[3]).toMatchObject({ blend: 'lighten', strength: '30%' });
});

test('one lattice of fading diamonds lies in the gaps of the other, recoloured, and is moved by hand', async ({
  page,
}) => {
  const id = await keepDesign(page, diamonds());
  await openBench(page, id);
  await layOver(page, 'A design');
  await page.getByLabel('Find a design').fill('Fading diamonds');
  await page.getByRole('button', { name: 'Fading diamonds', exact: true }).first().click();
  await intoNewDesign(page);
  await ply(page, /^2 Fading diamonds/).click();
  const clear = (bytes: Buffer) => bytes.filter((level, at) => at % 4 === 3 && level < 255).length;
  expect(clear(await tileOf(page, 127))).toBeGreaterThan(1000);
  await page.getByRole('button', { name: 'Into the gaps' }).click();
  expect((await pliesOf(page))[1]).toMatchObject({ shift: { in: 'repeats', x: '1/2', y: '1/2' } });
  await step(page, 'Colours');
  await page.getByRole('button', { name: 'Add a shade' }).click();
  await step(page, 'Build');
  await page.getByText('Recolour').click();
  await page.getByLabel('Boiler green is shown as').selectOption('A');
  await expectRepeats(page);

  await step(page, 'Build');
  const handle = page.getByRole('button', { name: /^Move ply 2/ });
  const box = (await handle.boundingBox())!;
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x - 30, from.y + 30, { steps: 4 });
  await page.mouse.move(from.x - 52, from.y + 51, { steps: 8 });
  await expect(page.getByText(/at a (quarter|third) of all/)).toBeVisible();
  await page.mouse.up();
  const [, moved] = await pliesOf(page);
  expect(moved!.shift).toMatchObject({ in: 'repeats' });
  expect(moved!.shift.x).toMatch(/^1\/[34]$/);
  await page.keyboard.press('Control+z');
  expect((await pliesOf(page))[1]).toMatchObject({ shift: { x: '1/2', y: '1/2' } });
  await handle.press('ArrowRight');
  expect((await pliesOf(page))[1]).toMatchObject({ shift: { x: '7/12', y: '1/2' } });
});

test('a fade shows only inside scales', async ({ page }) => {
  const id = await keepDesign(
    page,
    newMotif({
      name: 'Apart',
      shades: [GREEN, CREAM],
      box: { width: '4', height: '4' },
      pieces: [usualPiece(1, disc('3'), '2', '2', { shade: 'G' })],
    }),
  );
  await openBench(page, id);
  await layOver(page, 'A fade');
  await inDialog(page).getByLabel('Strength').fill('100%');
  await intoNewDesign(page);
  await ply(page, /^2 Boiler green/).click();
  const alphaAt = (bytes: Buffer, at: number) => bytes[4 * at + 3];
  // 4 steps of 5 mm are 80 pixels at 101.6 dpi; the first one lies in the gap between scales.
  expect(alphaAt(await tileOf(page, 101.6), 0)).toBe(255);
  await page.getByLabel('Seen').selectOption('Only inside ply 1, Apart');
  await saved(page);
  const tile = await tileOf(page, 101.6);
  expect(alphaAt(tile, 0)).toBe(0);
  const greens = [14, 40, 66].map((row) => tile[4 * (row * 80 + 40) + 1]!);
  expect(greens[0]! - greens[1]!).toBeGreaterThan(20);
  expect(greens[1]! - greens[2]!).toBeGreaterThan(20);
  await expectRepeats(page);
  // Another order keeps it inside what it was clipped to.
  await step(page, 'Build');
  await page.getByRole('button', { name: 'Move Ply 2, Boiler green → Ticket cream', exact: true }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Boiler green → Ticket cream is over place 1.')).toBeAttached();
  await expect(async () => {
    await page.keyboard.press('ArrowDown');
    await expect(page.getByText('Boiler green → Ticket cream is over place 2.')).toBeAttached({
      timeout: 2000,
    });
  }).toPass();
  await page.keyboard.press('Space');
  await expect
    .poll(async () => (await pliesOf(page))[0])
    .toMatchObject({ clip: 1, content: { kind: 'fade' } });
});

test('three-shade stripes crossed at half strength are the printed plaid, byte for byte', async ({
  page,
}) => {
  const counts = [8, 4, 2, 4];
  const plaid = await keepDesign(
    page,
    newPlaid({
      name: 'Printed',
      shades: [GREEN, CREAM, RED],
      warp: {
        bands: [...'GCRC'].map((shade, at) => ({ shade, count: counts[at]! })),
        mirror: 'none',
      },
      print: { blend: 'normal', strength: '1/2', top: 'weft', ground: null },
      lay: { ends: '10', picks: '10', per: 'cm' },
    }),
  );
  await keepDesign(page, stripes('Stripe across the cloth', 0));
  await openBench(page, await keepDesign(page, stripes('Stripe down the cloth', 1)));
  await layOver(page, 'A design');
  await page.getByLabel('Find a design').fill('Stripe across the cloth');
  await page.getByRole('button', { name: 'Stripe across the cloth' }).first().click();
  await inDialog(page).getByLabel('Strength').fill('1/2');
  await intoNewDesign(page);
  expect(await tileOf(page, 254)).toEqual(await tileOf(page, 254, plaid));
  await expectRepeats(page);
});

test('a ply is told when the shelf has a newer one, and takes it', async ({ page }) => {
  const source = await keepDesign(page, stripes('Source stripe', 1));
  await openBench(page, source);
  await layOver(page, 'A shade');
  await intoNewDesign(page);
  await ply(page, /^1 Source stripe/).click();
  await expect(page.getByRole('button', { name: 'Open it on its own bench' })).toBeVisible();
  await expect(page.getByText('has changed on the shelf since')).toHaveCount(0);
  const stored = await (await page.request.get(`/api/designs/${source}`)).json();
  const document = { ...stored.document, shades: [{ ...GREEN, hex: '#336699' }, CREAM, RED] };
  const put = await page.request.put(`/api/designs/${source}`, {
    data: { version: stored.version, document },
    headers: WRITER,
  });
  expect(put.ok()).toBe(true);
  await page.reload();
  await clothShown(page);
  await step(page, 'Build');
  await ply(page, /^1 Source stripe/).click();
  await page.getByRole('button', { name: 'Take the change' }).click();
  await expect(page.getByText('has changed on the shelf since')).toHaveCount(0);
  const [taken] = await pliesOf(page);
  expect(taken).toMatchObject({ content: { from: { version: 2 } } });
  await step(page, 'Colours');
  await expect(page.getByRole('button', { name: /#336699/ })).toBeVisible();
});

test('plies that never come together say what closes, and take it', async ({ page }) => {
  await openFromShelf(page, 'Booking-hall floor');
  await step(page, 'Build');
  await layOver(page, 'A design');
  await page.getByLabel('Find a design').fill('Porter’s apron check');
  await page.getByRole('button', { name: 'Porter’s apron check' }).click();
  const before = page.url();
  await page.getByRole('button', { name: 'Lay over', exact: true }).click();
  await expect.poll(() => page.url()).not.toBe(before);
  await step(page, 'Check');
  await expect(page.getByText(/Ply 2 never comes together with the lowest/).first()).toBeVisible();
  await page
    .getByRole('region', { name: 'Numbers that close' })
    .getByRole('button', { name: /to one of the lowest|of the lowest/ })
    .click();
  await clothShown(page);
  await expect(page.getByText('Numbers: the repeat closes exactly.')).toBeVisible();
});

test('an angle that closes is taken as it is typed, and one that does not waits for a choice', async ({
  page,
}) => {
  await openBench(page, await keepDesign(page, withOver(asPlies(diamonds(), null), diamonds(), null)));
  await ply(page, /^2 /).click();
  const turned = page.getByLabel('Turned by, degrees');
  await turned.fill('90');
  await expect(page.getByRole('button', { name: 'Turn by 90°' })).toHaveAttribute('aria-pressed', 'true');
  expect((await pliesOf(page))[1]!.slope).toEqual({ up: 1, across: 0, asked: '90' });
  await turned.fill('70');
  await expect(page.getByText('Near this angle it comes together')).toBeVisible();
  expect((await pliesOf(page))[1]!.slope).toEqual({ up: 1, across: 0, asked: '90' });
  await turned.fill('0');
  await expect.poll(async () => (await pliesOf(page))[1]!.slope).toBeNull();
});

test('a design is no ply of itself', async ({ page }) => {
  await openFromShelf(page, 'Waiting-room diamonds');
  await step(page, 'Build');
  await layOver(page, 'A design');
  await page.getByLabel('Find a design').fill('Waiting-room diamonds');
  await page.getByRole('button', { name: 'Waiting-room diamonds' }).click();
  await page.getByRole('button', { name: 'Lay over', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('A design is no ply of itself');
});

test('a texture that never closes over a floor makes no design of it, and says why', async ({ page }) => {
  await openFromShelf(page, 'Waiting-room floor');
  await step(page, 'Build');
  const before = page.url();
  await page.getByRole('button', { name: 'Weave texture' }).click();
  await expect(page.getByText(/never comes together with the lowest: their heights/)).toBeVisible();
  expect(page.url()).toBe(before);
});

test('a texture that is made stronger is as strong the next time, and a design is not', async ({ page }) => {
  await openFromShelf(page, 'Slipway scales, woven');
  await step(page, 'Build');
  await ply(page, /^2 2\/2 twill/).click();
  const part = page.getByRole('region', { name: 'Ply 2' });
  await part.getByLabel('Strength').fill('35%');
  await layOver(page, 'Texture of a weave');
  await expect(inDialog(page).getByLabel('Strength')).toHaveValue('35%');
  await page.getByRole('radio', { name: 'A design', exact: true }).click();
  await expect(inDialog(page).getByLabel('Blend')).toHaveValue('normal');
  await expect(inDialog(page).getByLabel('Strength')).toHaveValue('100%');
  await page.keyboard.press('Escape');
  await part.getByLabel('Strength').fill('20%');
  await saved(page);
});
