import { expect, it } from 'vitest';
import { openDatabase } from './open-database.ts';
import { RUNNING_DAY, readRunningTime, runningTime } from './running-time.ts';
import { writeSetting } from './setting-table.ts';

it('adds up what Vetro ran, over restarts, and starts at nothing', async () => {
  const db = await openDatabase(':memory:');
  let elapsed = 500;
  const first = await runningTime(db, () => elapsed);
  expect(first.now()).toBe(0);
  elapsed += RUNNING_DAY;
  await first.write();
  // Another process counts from another moment.
  const second = await runningTime(db, () => 7);
  expect(second.now()).toBe(RUNNING_DAY);
  await writeSetting(db, 'running-time', 'no number');
  expect(await readRunningTime(db)).toBe(0);
  await db.destroy();
});
