import { expect, type Page } from '@playwright/test';
import { openCopy, openFromShelf, openMotif, openNew, saved, step } from './helpers.ts';
import { test } from './test.ts';

/** Chooses a lay by its picture, once it says what one repeat would be. */
async function choose(page: Page, kind: string, name: RegExp): Promise<void> {
  await step(page, 'Lay');
  await page.getByRole('radio', { name: kind, exact: true }).click();
  const card = page.getByRole('button', { name });
  await expect(card).toContainText('mm');
  await card.click();
  await expect(card).toHaveAttribute('aria-pressed', 'true');
}

/** The size in the measures, and the verdict. */
async function expectRepeat(page: Page, size: string, verdict: RegExp): Promise<void> {
  const measures = page.getByRole('region', { name: 'Measures' });
  await expect(measures).toContainText(size);
  await expect(measures).toContainText(verdict);
}

/** Everything that is seen of the cloth, when it has been drawn for the size that the measures say. */
async function picture(page: Page): Promise<string> {
  await saved(page);
  const id = page.url().split('/').at(-1)!;
  const answer = await page.request.get(`/api/designs/${id}/files/tile.png`);
  expect(answer.ok()).toBe(true);
  return (await answer.body()).toString('base64');
}

const DIAMONDS = `motif box.width=3 box.height=2 ground=C
1: line points="0,1; 1/2,2; 1,1; 1/2,0" run=closed x=0 y=0 shade=R
2: line points="0,1; 1/2,2; 1,1; 1/2,0" run=closed x=1 y=0 shade=B
3: line points="0,1; 1/2,2; 1,1; 1/2,0" run=closed x=2 y=0 shade=G
`;

test('three diamonds in brick by a third and by two thirds are two patterns', async ({ page }) => {
  await openMotif(page, DIAMONDS);
  await choose(page, 'In steps', /^Brick 1\/3 /);
  await expectRepeat(page, '15 × 30 mm', /Exact|Fitted/);
  const third = await picture(page);
  await choose(page, 'In steps', /^Brick 2\/3 /);
  await expectRepeat(page, '15 × 30 mm', /Exact|Fitted/);
  await expect(page.getByRole('navigation', { name: 'Steps' })).toContainText('Brick 2/3');
  expect(await picture(page)).not.toBe(third);
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
});

test('waves have every second row flipped', async ({ page }) => {
  await openFromShelf(page, 'Lake steamer wave border');
  await step(page, 'Lay');
  const before = await page.getByRole('region', { name: 'Measures' }).textContent();
  await choose(page, 'Mirrored', /^Mirrored down pm/);
  await expect(page.getByRole('region', { name: 'Measures' })).not.toHaveText(before!);
  await step(page, 'Check');
  await expect(page.getByText('Painting: the same wherever the tile begins')).toBeVisible();
  await expect(page.getByText(/^Symmetry: /)).toBeVisible();
});

test('a corner of an argyle is mirrored both ways: the repeat is two by two of it', async ({ page }) => {
  await openMotif(
    page,
    `motif box.width=3 box.height=4 ground=C
1: line points="0,0; 3,0; 0,4" run=closed x=0 y=0 shade=R
2: line points="3,4; 3/2,4; 3,2" run=closed x=0 y=0 shade=B
3: line points="0,4; 3,0" run=open width=1/4 x=0 y=0 shade=G
`,
  );
  await choose(page, 'Mirrored', /^Mirrored both ways p2mm/);
  await expectRepeat(page, '30 × 40 mm', /Exact|Fitted/);
  await step(page, 'Check');
  await expect(page.getByText('Symmetry: Mirrored both ways (p2mm), as it was asked for.')).toBeVisible();
});

test('half of an odd number of picks is open, with the counts that close on one click', async ({ page }) => {
  await openNew(page, 'A4 B3 C4\nweave: plain\nprint: normal 1/2');
  await step(page, 'Lay');
  const card = page.getByRole('button', { name: /^Half-drop 1\/2 / });
  await expect(card).toContainText('Open');
  await card.click();
  const open = page.getByText(
    'Open: A step of 11/2 picks would cut a pick. 10 or 12 picks laid out close. Steps of 5/11 or 6/11 close.',
  );
  await expect(open).toBeVisible();
  await page.getByRole('button', { name: 'Scale it to 12 picks' }).click();
  await expect(open).toHaveCount(0);
  await expectRepeat(page, '24 ends × 12 picks', /Exact|Fitted/);
});

test('a plaid is mirrored on its last threads, and woven so', async ({ page }) => {
  await openFromShelf(page, 'Third-class moquette');
  await choose(page, 'Mirrored', /^Mirrored both ways p2mm/);
  await expectRepeat(page, '70 ends × 70 picks', /Exact/);
  await page.getByRole('radio', { name: 'Meet themselves' }).click();
  await expectRepeat(page, '72 ends × 72 picks', /Exact/);
  await step(page, 'Check');
  await expect(page.getByText('Symmetry: Mirrored both ways (p2mm), as it was asked for.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Structure' })).toContainText(
    'Longest float, warp and weft4, 4',
  );
});

test('a floor is made smaller to 30 % and turned by 35 degrees, from the turns that repeat', async ({
  page,
}) => {
  await openCopy(page, 'Booking-hall floor');
  await step(page, 'Lay');
  const built = page.getByRole('region', { name: 'Measures' });
  await expect(built).toContainText('144.853 × 144.853 mm');
  await page.getByRole('combobox', { name: 'Size' }).selectOption('By a factor');
  await page.getByLabel('Factor').fill('30%');
  await expect(built).toContainText('43.456 × 43.456 mm');
  await page.getByLabel('Turned by, degrees').fill('37');
  const turn = page.getByRole('button', { name: 'Turn by 36.87°' });
  await turn.click();
  await expect(turn).toHaveAttribute('aria-pressed', 'true');
  await expect(built).toContainText('217.279 × 217.279 mm');
  await step(page, 'Check');
  await expect(page.getByText('Hairline test: nothing shows between faces')).toBeVisible();
});
