import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import type { Design } from '../../src/core/design/design-schema.ts';
import { designFromStart } from '../../src/core/design/starts.ts';
import type { TryOn } from '../../src/core/design/try-on/try-on-schema.ts';
import { clothShown, keepDesign, openDesign, openFromShelf, saved, step, WRITER } from './helpers.ts';
import { test, testAlone } from './test.ts';

/** Opens a design from the shelf at its scene. */
async function tryOn(page: Page, name: string): Promise<void> {
  await openFromShelf(page, name);
  await step(page, 'Try on');
  await painted(page);
}

async function painted(page: Page): Promise<void> {
  await expect(page.locator('canvas[data-scene="painted"]')).toBeVisible();
}

/** A design of a test's own, at its scene. */
async function tryOnNew(page: Page, document: Design): Promise<string> {
  const id = await openDesign(page, document);
  await step(page, 'Try on');
  await painted(page);
  return id;
}

async function stored(page: Page, id: string): Promise<Design> {
  await saved(page);
  const answer = await page.request.get(`/api/designs/${id}`);
  return ((await answer.json()) as { document: Design }).document;
}

async function sceneOf(page: Page, id: string): Promise<TryOn> {
  return (await stored(page, id)).tryOn!;
}

function idOf(page: Page): string {
  return page.url().split('/').at(-1)!;
}

async function choose(page: Page, scene: string): Promise<void> {
  await page.getByRole('radio', { name: scene, exact: true }).click();
  await expect(page.getByRole('heading', { name: scene, exact: true, level: 3 }).first()).toBeVisible();
}

/** Takes the file of the drawing that the panel sends. */
async function sent(page: Page, file: 'PNG' | 'SVG' | 'Page', scale = '1:5'): Promise<Buffer> {
  await page.getByRole('radio', { name: file, exact: true }).click();
  if (file !== 'Page') await page.getByLabel('Scale', { exact: true }).fill(scale);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: `Send the ${file}` }).click();
  return readFileSync((await (await waiting).path())!);
}

async function drag(page: Page, handle: string, x: number, y: number): Promise<void> {
  const box = (await page.getByRole('button', { name: handle, exact: true }).boundingBox())!;
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + x, from.y + y, { steps: 6 });
  await page.mouse.up();
}

test('a letter is filled with fish scales, at the size that is typed, and sent', async ({ page }) => {
  const design = designFromStart('motif', 'fish-scale');
  const id = await tryOnNew(page, design);
  await choose(page, 'Letters');
  await page.getByRole('textbox', { name: 'Letters' }).fill('L');
  await page.getByLabel('Height of the capitals', { exact: true }).fill('200 mm');
  await painted(page);
  const { data, info } = await sharp(await sent(page, 'PNG', '1:1'))
    .raw()
    .toBuffer({ resolveWithObject: true });
  // 150 dpi, the letter and the room round it.
  expect(info.height).toBeGreaterThan((200 / 25.4) * 150);
  const shades = design.shades.map(({ hex }) => hex);
  let filled = 0;
  for (let at = 0; at < data.length; at += info.channels) {
    const hex = `#${data.subarray(at, at + 3).toString('hex')}`;
    if (shades.includes(hex)) filled += 1;
  }
  // An L of bars a fifth as wide as it is high fills about a third of the square round it.
  const square = ((200 / 25.4) * 150) ** 2;
  expect(filled / square).toBeGreaterThan(0.15);
  expect(filled / square).toBeLessThan(0.5);
  await page.getByRole('textbox', { name: 'Letters' }).fill('LM');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Letters' })).toHaveValue('L');
  await page.getByRole('textbox', { name: 'Letters' }).fill('漢');
  await expect(page.getByText(/The font has no/)).toBeVisible();
  expect((await sceneOf(page, id)).letters.text).toBe('L');
});

test('a plaid dress is matched at its seams, and its numbers stay what they were', async ({ page }) => {
  const plaid = designFromStart('plaid', 'madras');
  const id = await tryOnNew(page, plaid);
  await choose(page, 'Dress');
  const seams = page.getByRole('region', { name: 'Seams' });
  const front = seams.getByRole('listitem').filter({ hasText: 'Front' });
  await expect(front).toContainText(/off by \d/);
  await front.getByRole('button', { name: 'Match: Front' }).click();
  await expect(front).toContainText('goes on');
  await seams.getByRole('button', { name: 'Match all' }).click();
  for (const name of ['Front', 'Left panel', 'Right panel', 'Waist, left of the middle']) {
    await expect(seams.getByRole('listitem').filter({ hasText: new RegExp(`^${name}✓`) })).toBeVisible();
  }
  // Sleeves hang at an angle, so that they can only come near.
  await expect(seams.getByRole('listitem').filter({ hasText: 'Left armhole' })).toContainText('off by');
  await page.keyboard.press('Control+z');
  await expect(seams.getByRole('listitem').filter({ hasText: /^Right panel/ })).toContainText('off by');
  await page.keyboard.press('Control+Shift+z');
  const after = await stored(page, id);
  expect({ ...after, tryOn: null, number: '' }).toEqual({ ...plaid, number: '' });
  expect(after.tryOn!.scene).toBe('dress');
  const svg = (await sent(page, 'SVG')).toString();
  expect(svg).toContain('patternTransform');
  expect(svg).toContain('<pattern id="cloth-0"');
});

test('a floor lies in perspective, and its corners are dragged', async ({ page }) => {
  await tryOn(page, 'Booking-hall floor');
  const id = idOf(page);
  const before = await sceneOf(page, id);
  expect(before.scene).toBe('floor');
  await drag(page, 'Upper left corner', -40, -20);
  await painted(page);
  const { bends } = (await sceneOf(page, id)).parts['floor']!;
  expect(bends![0]!.kind).toBe('perspective');
  await expect(page.getByLabel('Upper left, across')).toHaveValue(/mm$/);
  // Beyond the others it would make no perspective: that is said, and the last that could be is shown.
  await page.getByLabel('Upper left, across').fill('9 m');
  await expect(page.getByRole('alert')).toContainText('Four corners make a perspective');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'As it was' }).click();
  await painted(page);
  expect((await sceneOf(page, id)).parts['floor']).toBeUndefined();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a curtain of a stripe hangs in folds beside a person, and is seen from afar', async ({ page }) => {
  const id = await tryOnNew(page, designFromStart('stripe', 'awning'));
  await choose(page, 'Curtain');
  await painted(page);
  await expect(page.getByText(/repeats, .* across in the bend/)).toBeVisible();
  await page.getByLabel('Folds', { exact: true }).fill('9');
  await page.getByLabel('A person beside it').check();
  await page.getByLabel('Height of the person on the drawing').fill('1800');
  await page.keyboard.press('Enter');
  await page.getByLabel('As seen from a distance').check();
  await expect(page.getByText('Finer than 0.87 mm runs together')).toBeVisible();
  await page.getByLabel('Drop on the drawing').fill('2 m');
  await page.keyboard.press('Enter');
  const scene = await sceneOf(page, id);
  expect(scene.person).toBe('1800');
  expect(scene.seenFrom).toBe('3 m');
  expect(scene.numbers['drop']).toBe('2 m');
  expect(scene.parts['left']!.bends).toEqual([{ kind: 'folds', count: '9', depth: '60 mm' }]);
  const { width, height } = await sharp(await sent(page, 'PNG', '1:10')).metadata();
  expect(height).toBeGreaterThan((200 / 25.4) * 150);
  expect(width).toBeGreaterThan(height! * 0.8);
  const pageFile = (await sent(page, 'Page')).toString();
  expect(pageFile).toContain('drawn at 1 : ');
  expect(pageFile).toMatch(/width="(210|297)mm"/);
});

test('two lattices of fading diamonds are bent into a goblet, and bent back without a trace', async ({
  page,
}) => {
  await openFromShelf(page, 'Waiting-room diamonds');
  const first = page.url();
  await page.getByRole('button', { name: 'Duplicate', exact: true }).click();
  await expect.poll(() => page.url()).not.toBe(first);
  await clothShown(page);
  await step(page, 'Try on');
  await painted(page);
  const id = idOf(page);
  const before = await stored(page, id);
  expect(before.tryOn!.parts['rectangle']!.bends).toHaveLength(2);
  await drag(page, 'Waist', 30, 20);
  await painted(page);
  const share = () => page.getByLabel('Wider by', { exact: true }).inputValue();
  expect(Number.parseFloat(await share())).toBeGreaterThan(-72);
  await page.getByRole('button', { name: 'Waist', exact: true }).focus();
  await page.keyboard.press('ArrowLeft');
  await page.getByLabel('Wider by', { exact: true }).fill('-100%');
  await expect(page.getByRole('alert')).toContainText('would fold over itself');
  await page.getByLabel('Wider by', { exact: true }).fill('-60%');
  await expect(page.getByRole('alert')).toHaveCount(0);
  for (let bend = 0; bend < 2; bend += 1) {
    await page.getByRole('button', { name: 'Remove: Waisted' }).first().click();
  }
  const after = await stored(page, id);
  expect(after.tryOn!.parts['rectangle']!.bends).toEqual([]);
  expect(after.construction).toEqual(before.construction);
  expect(after.lay).toEqual(before.lay);
});

test('cloth is moved on its part by hand and by keys, and turned', async ({ page }) => {
  const id = await tryOnNew(page, designFromStart('plaid', 'gingham'));
  await choose(page, 'Rectangle');
  await painted(page);
  const canvas = page.locator('canvas[data-scene="painted"]');
  const box = (await canvas.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2 - 30, { steps: 4 });
  await page.mouse.up();
  const dragged = (await sceneOf(page, id)).parts['rectangle']!.shift;
  expect(Number.parseFloat(dragged.x)).toBeGreaterThan(20);
  expect(Number.parseFloat(dragged.x) / Number.parseFloat(dragged.y)).toBeCloseTo(2, 0);
  await canvas.focus();
  await page.keyboard.press('Shift+ArrowRight');
  const moved = (await sceneOf(page, id)).parts['rectangle']!.shift;
  expect(Number.parseFloat(moved.x)).toBeCloseTo(Number.parseFloat(dragged.x) + 10, 6);
  await page.getByRole('radio', { name: 'On the bias' }).click();
  await page.getByRole('radio', { name: 'Repeats across' }).click();
  await page.getByLabel('Repeats across', { exact: true }).last().fill('12');
  const part = (await sceneOf(page, id)).parts['rectangle']!;
  expect(part.turn).toBe('45°');
  expect(part.scale).toEqual({ to: 'count', count: '12' });
  await expect(page.getByText('12 × ')).toBeVisible();
});

test('parts take other designs of the shelf, which keep their copy when they are deleted', async ({
  page,
}) => {
  const other = designFromStart('stripe', 'pencil');
  const gone = await keepDesign(page, { ...other, name: 'A pencil stripe to go' });
  const id = await tryOnNew(page, designFromStart('plaid', 'gingham'));
  await choose(page, 'Tote bag');
  await page.getByRole('radio', { name: /^Handle/ }).click();
  await page.getByLabel('Cloth', { exact: true }).selectOption({ label: 'Another of the shelf…' });
  await page.getByLabel('Find a design').fill('pencil stripe to go');
  const found = page.getByRole('group', { name: 'Designs of the shelf' }).getByRole('button');
  await expect(found).toHaveCount(1);
  await found.click();
  await page.getByRole('button', { name: 'Try it on' }).click();
  await painted(page);
  await expect(page.getByRole('radio', { name: /^Handle/ })).toContainText('A pencil stripe to go');
  const held = await sceneOf(page, id);
  expect(held.cloths).toHaveLength(1);
  expect(held.parts['handle']!.cloth).toBe(0);
  await page.getByRole('radio', { name: 'In each design' }).click();
  await expect(page.getByRole('figure')).toHaveCount(2);
  await page.getByRole('radio', { name: 'One', exact: true }).click();
  const removed = await page.request.delete(`/api/designs/${gone}`, { headers: WRITER });
  expect(removed.ok()).toBe(true);
  await page.evaluate(() => window.dispatchEvent(new Event('focus')));
  await expect(page.getByText('It is no longer on the shelf; this copy stays.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it out of the scene' }).click();
  expect((await sceneOf(page, id)).cloths).toEqual([]);
});

test('a path of one’s own is taken, and one that crosses itself is refused in words', async ({ page }) => {
  const id = await tryOnNew(page, designFromStart('motif', 'fish-scale'));
  await choose(page, 'Path');
  const field = page.getByLabel('Path', { exact: true }).last();
  await field.fill('M0 0L10 10L10 0L0 10Z');
  await expect(page.getByRole('alert')).toContainText('The path crosses itself');
  await field.fill('M0 0H40V30H0Z');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect.poll(async () => (await sceneOf(page, id)).path).toBe('M0 0H40V30H0Z');
  await expect(page.getByText('400 × 300 mm')).toBeVisible();
  await page.getByLabel('Or a piece of this motif').selectOption({ index: 1 });
  await expect(field).toHaveValue(/^M[\d. L]+/);
  await expect(page.getByRole('alert')).toHaveCount(0);
});

testAlone.describe('by finger', () => {
  testAlone.use({ hasTouch: true });

  testAlone('two fingers zoom a scene and move no cloth, one moves it', async ({ page, context }) => {
    const id = await tryOnNew(page, designFromStart('plaid', 'gingham'));
    await choose(page, 'Rectangle');
    await painted(page);
    const scale = page.getByRole('region', { name: 'Measures' }).getByText(/drawn at ?\d/);
    const before = await scale.textContent();
    const client = await context.newCDPSession(page);
    const box = (await page.locator('canvas[data-scene="painted"]').boundingBox())!;
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    const touch = (type: string, apart: readonly number[]) =>
      client.send('Input.dispatchTouchEvent', {
        type: type as 'touchStart',
        touchPoints: apart.map((by, finger) => ({ x: at.x + by, y: at.y, id: finger })),
      });
    await touch('touchStart', [-40, 40]);
    for (const by of [60, 90, 120]) await touch('touchMove', [-by, by]);
    await touch('touchEnd', []);
    await expect(scale).not.toHaveText(before!);
    expect((await sceneOf(page, id)).parts['rectangle']?.shift.x ?? '0 mm').toBe('0 mm');
    await touch('touchStart', [0]);
    for (const by of [10, 30, 60]) await touch('touchMove', [by]);
    await touch('touchEnd', []);
    await expect
      .poll(async () => Number.parseFloat((await sceneOf(page, id)).parts['rectangle']?.shift.x ?? '0'))
      .toBeGreaterThan(5);
  });
});
