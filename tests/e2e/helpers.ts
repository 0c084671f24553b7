import { readFileSync } from 'node:fs';
import { expect, type Locator, type Page } from '@playwright/test';
import type { Design } from '../../src/core/design/design-schema.ts';
import { designFromText } from '../../src/core/design/exchange/counts-text.ts';
import { cardWith } from '../../src/core/design/motif/text/motif-from-text.ts';
import { readMotifText } from '../../src/core/design/motif/text/read-motif-text.ts';
import { designFromStart } from '../../src/core/design/starts.ts';

/** What a program sends that writes and is no page. */
export const WRITER = { 'x-vetro': 'test' } as const;

/** Opens a design of the shelf on its bench, at once by its address, and waits for its cloth. */
export async function openFromShelf(page: Page, name: string): Promise<void> {
  await page.goto(`/bench/${await idOnShelf(page, name)}`);
  await clothShown(page);
}

/** Opens a copy of a design of the shelf, for a test that changes it. */
export async function openCopy(page: Page, name: string): Promise<void> {
  const answer = await page.request.post(`/api/designs/${await idOnShelf(page, name)}/copy`, {
    headers: WRITER,
  });
  expect(answer.ok()).toBe(true);
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`/bench/${id}`);
  await clothShown(page);
}

/** The id of a design on the shelf. */
export async function idOnShelf(page: Page, name: string): Promise<string> {
  const answer = await page.request.get(`/api/shelf?search=${encodeURIComponent(name)}`);
  const { ranges } = (await answer.json()) as { ranges: { designs: { id: string; name: string }[] }[] };
  const found = ranges.flatMap(({ designs }) => designs).find((design) => design.name === name);
  if (found === undefined) throw new Error(`there is no ${name} on the shelf`);
  return found.id;
}

export async function clothShown(page: Page): Promise<void> {
  await expect(page.locator('canvas[data-painted]')).toBeVisible();
}

/** Stores a design of a test's own, for it to change; returns its id. */
export async function keepDesign(page: Page, document: Design): Promise<string> {
  const answer = await page.request.post('/api/designs', { data: { document }, headers: WRITER });
  expect(answer.ok()).toBe(true);
  return ((await answer.json()) as { id: string }).id;
}

/** Stores a design and opens it; returns its id. */
export async function openDesign(page: Page, document: Design): Promise<string> {
  const id = await keepDesign(page, document);
  await page.goto(`/bench/${id}`);
  await clothShown(page);
  return id;
}

/** Stores a new design of thread counts or bands that are told as text; returns its id. */
export function keepText(page: Page, text: string): Promise<string> {
  return keepDesign(page, designFromText(text, 'Made for a test'));
}

/** Stores a new design that is told as text and opens it; returns its id. */
export function openNew(page: Page, text: string): Promise<string> {
  return openDesign(page, designFromText(text, 'Made for a test'));
}

/** Waits until what moves has come to rest and what was measured is drawn. */
export async function atRest(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const frame = () => new Promise((drawn) => requestAnimationFrame(drawn));
    await frame();
    const ends = document
      .getAnimations()
      .filter(({ effect }) => effect?.getComputedTiming().iterations !== Number.POSITIVE_INFINITY);
    await Promise.allSettled(ends.map(({ finished }) => finished));
    await frame();
  });
}

/** Takes the connection from a page for good: whatever it asks for from now on fails as without a network. */
export async function cutOff(page: Page): Promise<void> {
  await page.evaluate(() => {
    window.fetch = () => Promise.reject(new TypeError('Failed to fetch'));
  });
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
  const empty = designFromStart('motif', 'empty');
  const { motif, arrangement } = readMotifText(text);
  const shades = cardWith(empty.shades, motif);
  await openDesign(page, { ...empty, shades, construction: motif, lay: { ...empty.lay, arrangement } });
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
