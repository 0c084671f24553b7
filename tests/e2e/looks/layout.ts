import { expect, type Page } from '@playwright/test';
import { atRest } from '../helpers.ts';

const SIZES = [
  { width: 820, height: 1180 },
  { width: 1024, height: 768 },
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
] as const;

/** Smallest side of what is tapped, in CSS pixels. Source: WCAG 2.2, success criterion 2.5.8. */
const TAP = 24;

/** What is clipped, lies outside the window, scrolls sideways, or is too small to tap. */
function troubles(page: Page): Promise<readonly string[]> {
  return page.evaluate((tap) => {
    const told: string[] = [];
    const nameOf = (element: Element) =>
      `${element.tagName} ${element.getAttribute('aria-label') ?? element.textContent?.trim().slice(0, 30)}`;
    const root = document.scrollingElement!;
    if (root.scrollWidth > root.clientWidth + 1) told.push(`the page scrolls to ${root.scrollWidth}`);
    for (const element of document.querySelectorAll('*')) {
      const { overflowX } = getComputedStyle(element);
      const scrolls = overflowX === 'auto' || overflowX === 'scroll';
      if (!scrolls || element.matches('textarea, input, pre')) continue;
      if (element.scrollWidth > element.clientWidth + 1) told.push(`${nameOf(element)} scrolls sideways`);
    }
    const controls =
      'button, a[href], input:not([type="checkbox"], [type="radio"], [type="file"]), select, textarea, summary, label:has(input[type="checkbox"])';
    for (const element of document.querySelectorAll(controls)) {
      const hidden = element.closest('[aria-hidden="true"], [role="listbox"], .sr-only') !== null;
      if (hidden || (element as HTMLElement).tabIndex === -1) continue;
      const { left, right, width, height } = element.getBoundingClientRect();
      if (width === 0 || height === 0) continue;
      // What stands on the cloth moves with it, out of the window too.
      const isOnCloth = element.getAttribute('aria-label')?.endsWith('on the cloth') === true;
      if (!isOnCloth && (left < -1 || right > innerWidth + 1))
        told.push(`${nameOf(element)} lies at ${left} to ${right}`);
      if (Math.min(width, height) < tap - 0.5) told.push(`${nameOf(element)} is ${width} × ${height}`);
    }
    return told;
  }, TAP);
}

/** Expects that nothing is clipped or too small to tap, at four sizes of window; the last is left as it is. */
export async function expectLaidOut(page: Page, where: string): Promise<void> {
  for (const size of SIZES) {
    await page.setViewportSize(size);
    await atRest(page);
    // What is drawn over a cloth follows when that has been measured.
    await expect
      .poll(() => troubles(page), { message: `${where} at ${size.width} × ${size.height}`, timeout: 5000 })
      .toEqual([]);
  }
}
