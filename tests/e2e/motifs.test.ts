import { expect, type Locator, type Page } from '@playwright/test';
import { designFromStart } from '../../src/core/design/starts.ts';
import { clothShown, openDesign, openFromShelf, saved, step } from './helpers.ts';
import { test } from './test.ts';

/** A motif of an empty box of 8 × 8 steps of 5 mm. */
async function openEmpty(page: Page): Promise<void> {
  await openDesign(page, designFromStart('motif', 'empty'));
  await expect(page.getByText('The box is empty.')).toBeVisible();
}

/** The same, as somebody begins it. */
async function beginEmpty(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New design' }).click();
  await page.getByRole('radio', { name: 'Motif' }).click();
  await page.getByRole('button', { name: 'Empty box', exact: true }).dblclick();
  await clothShown(page);
  await expect(page.getByText('The box is empty.')).toBeVisible();
}

function pieces(page: Page): Locator {
  return page.getByRole('region', { name: 'Pieces', exact: true }).getByRole('listitem');
}

async function fill(page: Page, fields: Readonly<Record<string, string>>): Promise<void> {
  for (const [label, text] of Object.entries(fields)) {
    await page.getByRole('textbox', { name: label, exact: true }).fill(text);
  }
}

async function box(page: Page, across: string, up: string): Promise<void> {
  await fill(page, { 'Box, across': across, 'Box, up': up });
}

/** The design on the bench, as the server has it. */
async function documentOf(page: Page): Promise<Record<'construction' | 'lay', Record<string, unknown>>> {
  await saved(page);
  const id = page.url().split('/').at(-1)!;
  const answer = await page.request.get(`/api/designs/${id}`);
  return ((await answer.json()) as { document: Awaited<ReturnType<typeof documentOf>> }).document;
}

async function construction(page: Page): Promise<Record<string, unknown>> {
  return (await documentOf(page)).construction;
}

async function expectRepeats(page: Page): Promise<void> {
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
}

test('a fish scale is built from an empty box by its numbers', async ({ page }) => {
  await beginEmpty(page);
  await box(page, '8', '4');
  for (const [across, shade] of [
    ['8', 'B'],
    ['16/3', 'C'],
    ['8/3', 'O'],
  ] as const) {
    await page.getByRole('button', { name: 'Disc', exact: true }).click();
    await fill(page, { Across: across, 'Place, across': '4', 'Place, up': '2' });
    await page.getByLabel('Shade', { exact: true }).selectOption(shade);
  }
  await expect(pieces(page)).toHaveCount(3);
  await step(page, 'Lay');
  await page.getByRole('button', { name: /^Brick 1\/2 / }).click();
  await page.getByLabel('On top where they overlap').selectOption('Lower rows');
  await expect(page.getByRole('navigation', { name: 'Steps' })).toContainText('Brick 1/2');
  await expectRepeats(page);
  const motif = page.getByRole('region', { name: 'Motif' });
  await expect(motif).toContainText('top, bottom');
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('40 × 40 mm');
  expect(await documentOf(page)).toMatchObject({
    lay: { arrangement: { kind: 'brick', by: '1/2' } },
    construction: { overlap: 'down' },
  });
});

test('bars lock into each other: a bar down and a foot to the right, turned by half', async ({ page }) => {
  await openEmpty(page);
  await box(page, '2', '4');
  await page.getByRole('button', { name: 'Rectangle', exact: true }).click();
  await fill(page, { Width: '9/5', Height: '4/5', 'Place, across': '1', 'Place, up': '1/2' });
  await page.getByRole('button', { name: 'Rectangle', exact: true }).click();
  await fill(page, { Width: '4/5', Height: '14/5', 'Place, across': '1/2', 'Place, up': '3/2' });
  const further = page.getByLabel('Make further');
  await further.selectOption('Joined with');
  await further.selectOption('Corners rounded');
  await further.selectOption('Copies round a middle');
  const round = page.getByRole('region', { name: '3: Copies round a middle' });
  await round.getByLabel('How many in all').fill('2');
  await expect(round.getByLabel('Middle, across')).toHaveValue('1');
  await expect(pieces(page).first()).toContainText('another is made with it');
  await step(page, 'Lay');
  await page.getByRole('button', { name: /^Half-drop 1\/2 / }).click();
  await expectRepeats(page);
  // Two bars of 4 squares less their gaps, in a box of 8: most of it.
  await expect(page.getByRole('region', { name: 'Motif' })).toContainText(/7\d\.\d %/);
});

test('a wave through points, every second row flipped', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Line', exact: true }).click();
  for (let more = 3; more < 5; more += 1) await page.getByRole('button', { name: 'Add a point' }).click();
  for (const [at, [x, y]] of [
    ['0', '0'],
    ['2', '1'],
    ['4', '0'],
    ['6', '-1'],
    ['8', '0'],
  ].entries()) {
    await fill(page, { [`Point ${at + 1}, across`]: x!, [`Point ${at + 1}, up`]: y! });
  }
  await page.getByRole('radio', { name: 'Goes on' }).click();
  await fill(page, { 'Place, across': '0', 'Place, up': '2' });
  await page.getByRole('button', { name: 'Duplicate Line 1' }).click();
  await fill(page, { 'Place, up': '6', 'Turn, degrees': '180' });
  await page.getByLabel('Mirrored left to right').check();
  await expectRepeats(page);
  await expect(page.getByRole('region', { name: 'Motif' })).toContainText('left, right');
});

test('nested squares: a square on its corner, cut by bands inside each other', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Rectangle', exact: true }).click();
  await fill(page, { Width: '5', Height: '5', 'Turn, degrees': '45' });
  await page.getByLabel('Make further').selectOption('Bands along the edge');
  await page.getByRole('radio', { name: 'Inward' }).click();
  await page.getByRole('button', { name: 'One more band' }).click();
  await page.getByLabel('Band 2', { exact: true }).fill('3/4');
  await page.getByLabel('Shade of band 2').selectOption('Left open');
  await page.getByLabel('Shade of band 1').selectOption('O');
  await expectRepeats(page);
  // Of 25 of 64 squares: a band of 1/4 (19/4), an open one, and what is left, 3 × 3.
  const shares = page.getByRole('region', { name: 'Motif' });
  await expect(shares).toContainText('7.4 %');
  await expect(shares).toContainText('14.1 %');
});

test('the chosen piece is worked on the cloth: its numbers, the hand, keys, undo', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Disc', exact: true }).click();
  const across = page.getByLabel('Across, on the cloth', { exact: true });
  await expect(across).toHaveValue('4');
  await across.fill('3');
  await expect(page.getByLabel('Across', { exact: true })).toHaveValue('3');
  await across.fill('nothing');
  await expect(across).toHaveAttribute('aria-invalid', 'true');
  await across.press('Tab');
  await expect(page.getByLabel('Place, across, on the cloth')).toBeFocused();

  const handle = page.getByRole('button', { name: 'Move Disc 1 on the cloth' });
  await handle.press('ArrowRight');
  await handle.press('Shift+ArrowUp');
  await handle.press('Alt+ArrowLeft');
  await expect(page.getByLabel('Place, across', { exact: true })).toHaveValue('49/10');
  await expect(page.getByLabel('Place, up', { exact: true })).toHaveValue('14');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Place, up', { exact: true })).toHaveValue('4');

  const at = (await handle.boundingBox())!;
  const middle = { x: at.x + at.width / 2, y: at.y + at.height / 2 };
  await page.mouse.move(middle.x, middle.y);
  await page.mouse.down();
  await page.mouse.move(middle.x + 40, middle.y + 3, { steps: 4 });
  await expect(page.getByText('in the middle of the box')).toBeVisible();
  await page.mouse.up();
  await expect(page.getByLabel('Place, up', { exact: true })).toHaveValue('4');
  await expect(page.getByLabel('Place, across', { exact: true })).not.toHaveValue('4');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Place, across', { exact: true })).toHaveValue('4');
});

test('pieces are chosen on the cloth, one below the other, hidden, locked, ordered and taken away', async ({
  page,
}) => {
  await openFromShelf(page, 'Slipway roof scales');
  const original = page.url();
  await page.getByRole('button', { name: 'Duplicate', exact: true }).click();
  await expect.poll(() => page.url()).not.toBe(original);
  await clothShown(page);
  const canvas = page.locator('canvas[data-painted]');
  const area = (await canvas.boundingBox())!;
  await page
    .getByRole('region', { name: 'Pieces' })
    .getByRole('button', { name: /^Disc 3/ })
    .click();
  const handle = (await page.getByRole('button', { name: 'Move Disc 3 on the cloth' }).boundingBox())!;
  expect(handle.x).toBeGreaterThan(area.x);
  const pick = () => page.mouse.click(handle.x + handle.width / 2 - 22, handle.y + handle.height / 2);
  await pick();
  await expect(page.getByRole('region', { name: 'Piece: Disc 2' })).toBeVisible();
  await pick();
  await expect(page.getByRole('region', { name: 'Piece: Disc 1' })).toBeVisible();
  await page.getByRole('button', { name: 'Lock Disc 1' }).click();
  await expect(page.getByLabel('Across', { exact: true })).toBeDisabled();
  await page.getByRole('button', { name: 'Unlock Disc 1' }).click();
  await page.getByRole('button', { name: 'Hide Disc 1' }).click();
  await expect(page.getByRole('button', { name: 'Show Disc 1' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Disc 1' }).click();
  await expect(pieces(page)).toHaveCount(2);
  await page.getByRole('button', { name: 'Move Disc 3', exact: true }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Disc 3 is over place 2.')).toBeAttached();
  await expect(async () => {
    await page.keyboard.press('ArrowUp');
    await expect(page.getByText('Disc 3 is over place 1.')).toBeAttached({ timeout: 2000 });
  }).toPass();
  await page.keyboard.press('Space');
  await expect(pieces(page).first()).toContainText('Disc 3');
});

test('sizes and points are dragged, and other boxes hold the same piece', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Rectangle', exact: true }).click();
  // What is typed next is the first number of the piece that was added.
  await expect(page.getByLabel('Width', { exact: true })).toBeFocused();
  await page.keyboard.type('6');
  await expect(page.getByLabel('Width, on the cloth')).toHaveValue('6');
  const width = page.getByRole('button', { name: 'Width of Rectangle 1 on the cloth' });
  await width.press('ArrowLeft');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('5');
  const knob = (await width.boundingBox())!;
  const box = (await page.getByRole('button', { name: 'Move Rectangle 1 on the cloth' }).boundingBox())!;
  const half = (knob.x - box.x) / 5;
  await page.mouse.move(knob.x + 12, knob.y + 12);
  await page.mouse.down();
  // To the right edge of the box, which holds it: 4 steps from the middle.
  await page.mouse.move(knob.x + 12 + 3 * half, knob.y + 12, { steps: 4 });
  await expect(page.getByText('on the edge')).toBeVisible();
  await page.mouse.up();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('8');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('5');

  // One step is two fifths of half the width; the next box lies eight steps to the right.
  const step = (2 * half * 5) / 5 / 2;
  const there = { x: box.x + 12 + 8 * 2 * step, y: box.y + 12 };
  await page.mouse.move(there.x, there.y + 4);
  await page.mouse.down();
  await page.mouse.move(there.x + 2 * step, there.y + 4, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByLabel('Place, across', { exact: true })).toHaveValue('5');

  await page.getByRole('button', { name: 'Line', exact: true }).click();
  await page.getByRole('button', { name: 'Point 2 of Line 2 on the cloth' }).press('Shift+ArrowUp');
  await expect(page.getByLabel('Point 2, up')).toHaveValue('11');
});

test('a box is mirrored and turned by a plane group, chosen by its picture', async ({ page }) => {
  await openEmpty(page);
  await box(page, '6', '4');
  await page.getByRole('button', { name: 'Sector', exact: true }).click();
  await fill(page, { 'From, degrees': '0', 'To, degrees': '70', 'Place, across': '1', 'Place, up': '1' });
  await step(page, 'Lay');
  await page.getByRole('radio', { name: 'Mirrored' }).click();
  const both = page.getByRole('button', { name: /^Mirrored both ways p2mm/ });
  await both.click();
  await expect(both).toHaveAttribute('aria-pressed', 'true');
  // The trade's rule: mirrored both ways, twice the box each way.
  await expect(both).toContainText('60 × 40 mm');
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('60 × 40 mm');
  await page.getByRole('radio', { name: 'Turned' }).click();
  await expect(page.getByRole('button', { name: /^Four turned about a corner/ })).toBeDisabled();
  await page.getByRole('radio', { name: 'Mirrored' }).click();
  await page.getByRole('button', { name: /^Every second row flipped/ }).click();
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('30 × 40 mm');
  await page.getByRole('button', { name: /^Every second column flipped/ }).click();
  await expect(page.getByRole('region', { name: 'Measures' })).toContainText('60 × 20 mm');
  await expectRepeats(page);
  await expect(page.getByRole('region', { name: 'Motif' })).toContainText('Mirrored and slid, one way (pg)');
  expect(await documentOf(page)).toMatchObject({
    lay: { arrangement: { kind: 'group', group: 'pg', way: 'up' } },
  });
});

test('a piece is dragged in a mirrored box, where it goes the other way', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Disc', exact: true }).click();
  await fill(page, { Across: '2', 'Place, across': '2', 'Place, up': '2' });
  await step(page, 'Lay');
  await page.getByRole('radio', { name: 'Mirrored' }).click();
  await page.getByRole('button', { name: /^Mirrored both ways p2mm/ }).click();
  await step(page, 'Build');
  const knob = (await page.getByRole('button', { name: 'Move Disc 1 on the cloth' }).boundingBox())!;
  const edge = (await page.getByRole('button', { name: 'Across of Disc 1 on the cloth' }).boundingBox())!;
  // The disc reaches a step from its middle; its image in the box to the right lies 14 steps from the edge.
  const one = edge.x - knob.x;
  const image = { x: knob.x + 12 + 12 * one, y: knob.y + 16 };
  await page.mouse.move(image.x, image.y);
  await page.mouse.down();
  await page.mouse.move(image.x + one, image.y - one, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByLabel('Place, across', { exact: true })).toHaveValue('1');
  await expect(page.getByLabel('Place, up', { exact: true })).toHaveValue('3');
});

test('a turned piece is sized along its own way, and a rectangle drawn with Shift chooses', async ({
  page,
}) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Rectangle', exact: true }).click();
  await fill(page, { 'Turn, degrees': '90' });
  const knob = page.getByRole('button', { name: 'Width of Rectangle 1 on the cloth' });
  const middle = (await page.getByRole('button', { name: 'Move Rectangle 1 on the cloth' }).boundingBox())!;
  const end = (await knob.boundingBox())!;
  // Its width stands upright now: the knob lies above, two steps away.
  expect(Math.abs(end.x - middle.x)).toBeLessThan(1);
  const step = (middle.y - end.y) / 2;
  expect(step).toBeGreaterThan(10);
  await page.mouse.move(end.x + 12, end.y + 12);
  await page.mouse.down();
  await page.mouse.move(end.x + 12, end.y + 12 - step, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('6');
  await page.getByLabel('Height, on the cloth').fill('3');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('3');
  await page.getByRole('button', { name: 'Disc', exact: true }).click();
  await fill(page, { Across: '1', 'Place, across': '1', 'Place, up': '1' });
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).focus();
  const chosen = page.getByRole('region', { name: 'Several pieces' });
  await expect(chosen).toHaveCount(0);
  await page.keyboard.down('Shift');
  await page.mouse.move(middle.x + 12 - 3.9 * step, middle.y + 12 + 3.9 * step);
  await page.mouse.down();
  await page.mouse.move(middle.x + 12 + 3.9 * step, middle.y + 12 - 3.9 * step, { steps: 5 });
  await page.mouse.up();
  await page.keyboard.up('Shift');
  await expect(chosen).toContainText('2');
});

test('several pieces are brought in line, grouped, copied as text and pasted', async ({ page }) => {
  await openEmpty(page);
  for (const name of ['Disc', 'Ring', 'Star']) {
    await page.getByRole('button', { name, exact: true }).click();
  }
  const list = page.getByRole('region', { name: 'Pieces', exact: true });
  await list.getByRole('button', { name: /^Disc 1/ }).click();
  await fill(page, { 'Place, across': '1', 'Place, up': '2' });
  await list.getByRole('button', { name: /^Ring 2/ }).click({ modifiers: ['Shift'] });
  const several = page.getByRole('region', { name: 'Several pieces' });
  await expect(several.getByText('2 pieces chosen')).toBeVisible();
  await several.getByRole('button', { name: 'Left sides in line' }).click();
  await list.getByRole('button', { name: /^Star 3/ }).click({ modifiers: ['Control'] });
  await several.getByRole('button', { name: 'Spread evenly up' }).click();
  await several.getByLabel('Name of the group').fill('Corner');
  await several.getByRole('button', { name: 'Group', exact: true }).click();
  await expect(list.getByText('Corner ·')).toHaveCount(3);
  await list.getByRole('button', { name: /^Star 3/ }).click();
  await expect(several).toHaveCount(0);
  await list.getByRole('button', { name: /^Star 3/ }).click();
  await expect(several.getByText('3 pieces chosen')).toBeVisible();
  const { pieces: before } = (await construction(page)) as { pieces: { x: string; group: string }[] };
  expect(before.map(({ x }) => x)).toEqual(['4', '4', '4']);
  expect(before.map(({ group }) => group)).toEqual(['Corner', 'Corner', 'Corner']);

  // As the clipboard does it; a test may not read the one of the machine.
  const text = await list.evaluate((region) => {
    const data = new DataTransfer();
    region.dispatchEvent(
      new ClipboardEvent('copy', { clipboardData: data, bubbles: true, cancelable: true }),
    );
    return data.getData('text/plain');
  });
  expect(text).toContain('3: star x=4');
  const paste = (what: string) =>
    list.evaluate((region, pasted) => {
      const data = new DataTransfer();
      data.setData('text/plain', pasted);
      region.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, what);
  await paste(text);
  await expect(pieces(page)).toHaveCount(6);
  await paste('no pieces at all');
  await expect(page.getByText('That is no text of pieces.')).toBeVisible();
  await several.getByRole('button', { name: 'Remove them' }).click();
  await expect(pieces(page)).toHaveCount(3);
});

test('the whole is read and written as text, and what is wrong is marked', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'As text…' }).click();
  const text = page.getByLabel(/^One piece a line/);
  await expect(text).toHaveValue('motif ground=C\n');
  await text.fill(
    'motif box.width=8 box.height=4 ground=C | brick by=1/2\ndisc across=eight x=4 y=2 shade=N\n',
  );
  await expect(page.getByText('Line 2, character 6:')).toBeVisible();
  await page.getByRole('button', { name: 'Show what is wrong' }).click();
  expect(
    await text.evaluate((field: HTMLTextAreaElement) =>
      field.value.slice(field.selectionStart, field.selectionEnd),
    ),
  ).toBe('across=eight');
  await text.fill('motif box.width=8 box.height=4 ground=C | brick by=1/2\ndisc across=3 x=4 y=2 shade=N\n');
  await page.getByRole('button', { name: 'Apply' }).click();
  await expect(pieces(page)).toHaveCount(1);
  await expect(page.getByRole('navigation', { name: 'Steps' })).toContainText('Brick 1/2');
  // The letter that the card lacked came with its colour.
  await expect(page.getByRole('navigation', { name: 'Steps' })).toContainText('4 shades');
  await expectRepeats(page);
});

test('a shadow, a fade, letters and copies that vary are painted, measured and sent', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Letters', exact: true }).click();
  await page.getByLabel('Letters', { exact: true }).fill('LЖ');
  await expect(page.getByText('The font has no “Ж”.')).toBeVisible();
  await page.getByLabel('Letters', { exact: true }).fill('LLR');
  await page.getByText('Soft shadow').click();
  await page.getByLabel('Strength', { exact: true }).fill('140%');
  await expect(page.getByText('A share is above 0 and at most all')).toBeVisible();
  await page.getByLabel('Strength', { exact: true }).fill('70%');
  await page.getByText('Fades from shade to shade').click();
  await page.getByRole('button', { name: 'One more shade' }).click();
  await page.getByRole('radio', { name: 'The whole repeat' }).click();
  await page.getByText('Copies lighter or darker').click();
  await page.getByLabel('Boxes a side').fill('2');
  await expect(page.getByText('80 × 80 mm').first()).toBeVisible();
  await expectRepeats(page);
  const facts = page.getByRole('region', { name: 'Motif' });
  await expect(facts.getByText('Smallest width')).toBeVisible();
  await page.getByLabel('Too fine to print or cut below').fill('20 mm');
  await expect(facts.getByText('Too fine: the smallest width')).toBeVisible();
  await page.getByLabel('Too fine to print or cut below').fill('1 px');
  await expect(facts.getByText('Nothing is finer.')).toBeVisible();
  const { pieces: stored } = (await construction(page)) as { pieces: Record<string, unknown>[] };
  expect(stored[0]).toMatchObject({
    shadow: { strength: '70%' },
    fade: { over: 'repeat', shades: expect.arrayContaining(['C']) },
    vary: '20%',
  });
});

test('boxes are laid by any two ways', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Disc', exact: true }).click();
  await step(page, 'Lay');
  await page.getByRole('button', { name: 'By two ways of your own' }).click();
  await fill(page, {
    'Next box, across': '6',
    'Next box, up': '2',
    'Next row, across': '-2',
    'Next row, up': '6',
  });
  await expect(page.getByText('100 × 100 mm').first()).toBeVisible();
  await page.getByRole('textbox', { name: 'Next row, across' }).fill('18');
  await expect(page.getByRole('alert')).toContainText('The two ways lie along one line');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expectRepeats(page);
});

test('what cannot be is said, and the last good cloth stays', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Disc', exact: true }).click();
  await page.getByLabel('Across', { exact: true }).fill('0');
  await expect(page.getByText('A length must be above zero, got “0”.').first()).toBeVisible();
  await page.getByLabel('Turn, degrees').fill('a bit');
  await expect(page.getByText('“a bit” is not a number.')).toBeVisible();
  await page.getByRole('button', { name: 'Rectangle', exact: true }).click();
  await page.getByLabel('Corner radius').fill('3');
  await expect(page.getByRole('alert')).toContainText('A corner’s radius is at most half of the side');
  await expect(page.getByRole('navigation', { name: 'Steps' })).toContainText('Cannot be made');
  await clothShown(page);
  await page.getByLabel('Corner radius').fill('1');
  await expect(page.getByRole('navigation', { name: 'Steps' })).not.toContainText('Cannot be made');
});
