import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, type Page } from '@playwright/test';
import { atRest } from '../helpers.ts';

/** axe-core's rules, those of best practice included. Source: Deque axe-core, WCAG 2.2 levels A and AA. */
const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** Expects that nothing on the page is in the way of those who do not see it or use no mouse. */
export async function expectAccessible(page: Page, where: string): Promise<void> {
  // Overlays fade in; what is half seen has no contrast yet.
  await atRest(page);
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  const found = await page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: { run: () => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> };
    };
    const { violations } = await axe.run();
    return violations.map(({ id, nodes }) => `${id}: ${nodes[0]!.html.slice(0, 160)}`);
  });
  expect(found, where).toEqual([]);
}
