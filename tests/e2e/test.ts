import { test as base, type Page } from '@playwright/test';
import { baseURL, ownOrigins, viewport } from '../../playwright.config.ts';

/** A test in a window of its own, for those that say what a page does before it is opened, or need another kind of window. */
export const testAlone = base;

/**
 * A test in the one window of its worker, which is as new: nothing is stored, routed or listened for. A window that is opened
 * anew reads and compiles all of Vetro again, which took as long as most tests.
 */
export const test = base.extend<{ page: Page }, { window: KeptWindow }>({
  window: [
    async ({ browser }, use) => {
      let page: Page | undefined;
      const open = async () => {
        page ??= await (await browser.newContext({ baseURL, viewport })).newPage();
        return page;
      };
      const close = async () => {
        await page?.context().close();
        page = undefined;
      };
      await use({ open, close });
      await close();
    },
    { scope: 'worker' },
  ],
  page: async ({ window }, use, { expectedStatus, ...told }) => {
    const page = await window.open();
    await use(page);
    const failed = told.status !== expectedStatus || page.isClosed();
    await (failed ? window.close() : asNew(page));
  },
});

/** A window that is opened when it is first asked for. */
interface KeptWindow {
  readonly open: () => Promise<Page>;
  readonly close: () => Promise<void>;
}

/** What tests listen for. */
const HEARD = [
  'console',
  'dialog',
  'download',
  'pageerror',
  'request',
  'requestfailed',
  'response',
  'worker',
] as const;

/** Brings a window back to where it was before its first test. */
async function asNew(page: Page): Promise<void> {
  const context = page.context();
  for (const event of HEARD) page.removeAllListeners(event as 'console');
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  for (const other of context.pages()) if (other !== page) await other.close();
  // A page of Vetro's own address, so that the browser keeps what it has compiled; one that has no island.
  await page.goto('/no-such-page');
  const client = await context.newCDPSession(page);
  for (const origin of ownOrigins) {
    await client.send('Storage.clearDataForOrigin', { origin, storageTypes: 'all' });
  }
  await client.detach();
  await context.clearCookies();
  await page.setViewportSize(viewport);
  await page.mouse.move(0, 0);
}
