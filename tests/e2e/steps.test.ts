import { expect, type Page } from '@playwright/test';
import { atRest, openCopy, step } from './helpers.ts';
import { expectAccessible } from './looks/axe.ts';
import { faultsOf } from './looks/faults.ts';
import { expectLaidOut } from './looks/layout.ts';
import { test } from './test.ts';

/** A design of each kind, and a plaid that is printed; with windows of four sizes where panels differ most. */
const DESIGNS = [
  { name: 'Third-class moquette', sizes: true },
  { name: 'Timetable wrapping paper', sizes: true },
  { name: 'Compartment blind', sizes: true },
  { name: 'Booking-hall floor', sizes: true },
  { name: 'Slipway roof scales', sizes: false },
  { name: 'Dawn on the boathouse', sizes: false },
] as const;

const STEPS = ['Colours', 'Build', 'Lay', 'Check', 'Try on', 'Send'] as const;

/** Entries that do something instead of being chosen. */
const DOES = /^(Move|Remove|Delete|Duplicate|Hide|Show|Lock|Unlock|Download|Send|Copy|Undo|Match)/;

/** Most lists of one panel; each that is opened may bring more. */
const MOST_LISTS = 20;

/** Chooses the first entry of every list on the bench. @returns how many were chosen */
async function chooseFirsts(page: Page): Promise<number> {
  const lists = page.locator('main').locator('ul, ol, [role="listbox"], [role="radiogroup"]');
  let chosen = 0;
  for (let at = 0; at < Math.min(await lists.count(), MOST_LISTS); at += 1) {
    const entries = lists.nth(at).locator('button:enabled, [role="option"], input[type="radio"]:enabled');
    for (let entry = 0; entry < Math.min(await entries.count(), 4); entry += 1) {
      const first = entries.nth(entry);
      const name = (await first.getAttribute('aria-label')) ?? (await first.textContent()) ?? '';
      if (DOES.test(name.trim()) || !(await first.isVisible())) continue;
      await first.click();
      chosen += 1;
      break;
    }
  }
  return chosen;
}

for (const { name, sizes } of DESIGNS) {
  test(`every step of ${name} is whole, within reach and in words`, async ({ page }) => {
    let chosenInAll = 0;
    const broken: string[] = [];
    page.on('console', (message) => message.type() === 'error' && broken.push(message.text()));
    page.on('pageerror', (error) => broken.push(String(error)));
    await openCopy(page, name);
    for (const each of STEPS) {
      await step(page, each);
      await expectAccessible(page, `${name}, ${each}`);
      if (sizes) await expectLaidOut(page, `${name}, ${each}`);
      const chosen = await chooseFirsts(page);
      chosenInAll += chosen;
      await atRest(page);
      await expect.poll(() => faultsOf(page), `${name}, ${each}, ${chosen} chosen`).toEqual([]);
    }
    expect(chosenInAll).toBeGreaterThan(3);
    expect(broken).toEqual([]);
  });
}
