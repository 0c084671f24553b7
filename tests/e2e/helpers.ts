import { readFileSync } from 'node:fs';
import { expect, type Locator, type Page } from '@playwright/test';

/** What a program sends that writes and is no page. */
export const WRITER = { 'x-vetro': 'test' } as const;

/** Opens a design from the shelf and waits for its cloth. */
export async function openFromShelf(page: Page, name: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('link', { name, exact: true }).click();
  await clothShown(page);
}

export async function clothShown(page: Page): Promise<void> {
  await expect(page.locator('canvas[data-painted]')).toBeVisible();
}

/** Makes a design of the server's own, for tests that change it; returns its id. */
export async function makeDesign(page: Page, text: string): Promise<string> {
  const { designFromText } = await import('../../src/core/design/exchange/counts-text.ts');
  const document = designFromText(text, 'Made for a test');
  const answer = await page.request.post('/api/designs', { data: { document }, headers: WRITER });
  expect(answer.ok()).toBe(true);
  return ((await answer.json()) as { id: string }).id;
}

export async function openNew(page: Page, text: string): Promise<string> {
  const id = await makeDesign(page, text);
  await page.goto(`/bench/${id}`);
  await clothShown(page);
  return id;
}

type RailName = 'Warp' | 'Weft' | 'Bands';

export function rail(page: Page, direction: RailName): Locator {
  return page.getByRole('listbox', { name: new RegExp(`^${direction} rail`) });
}

/** The typed bands of a rail, in order of their places. */
export function band(page: Page, direction: RailName, index: number): Locator {
  return rail(page, direction).locator(`[data-band="${index}"]`);
}

/** A motif that is told as text, on the bench. */
export async function openMotif(page: Page, text: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New design' }).click();
  await page.getByRole('radio', { name: 'Motif' }).click();
  await page.getByRole('button', { name: 'Empty box', exact: true }).dblclick();
  await clothShown(page);
  await page.getByRole('button', { name: 'As text…' }).click();
  await page.getByLabel(/^One piece a line/).fill(text);
  await page.getByRole('button', { name: 'Apply' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

export function warpField(page: Page): Locator {
  return page.getByRole('textbox', { name: /^Warp/ });
}

/** Saves another warp to a design in a second window, which is given. */
export async function changeElsewhere(page: Page, id: string, warp: string): Promise<Page> {
  const other = await page.context().newPage();
  await other.goto(`/bench/${id}`);
  await clothShown(other);
  await warpField(other).fill(warp);
  await saved(other);
  return other;
}

export async function step(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Steps' })
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .click();
}

export async function saved(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: /^Saved \d\d:\d\d$/ })).toBeVisible();
}

/** Clicks and takes the file that comes of it. */
export async function take(page: Page, click: () => Promise<void>): Promise<{ name: string; bytes: Buffer }> {
  const coming = page.waitForEvent('download');
  await click();
  const download = await coming;
  return { name: download.suggestedFilename(), bytes: readFileSync((await download.path())!) };
}

/** How often the cloth has been drawn. */
export async function timesDrawn(page: Page): Promise<number> {
  return Number(await page.locator('canvas[data-painted]').getAttribute('data-painted'));
}

/** Colour of one pixel of the cloth, from the middle of the view, as three bytes. */
export function clothPixel(page: Page, dx = 0, dy = 0): Promise<number[]> {
  return page.locator('canvas[data-painted]').evaluate(
    (canvas, [x, y]) => {
      const element = canvas as HTMLCanvasElement;
      const context = element.getContext('2d')!;
      const data = context.getImageData(element.width / 2 + x!, element.height / 2 + y!, 1, 1).data;
      return [...data.subarray(0, 3)];
    },
    [dx, dy],
  );
}
