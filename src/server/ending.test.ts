import { expect, it, vi } from 'vitest';
import { endInOrder, whenEnding } from './ending.ts';

it('closes what was opened last first, and all of it, whatever fails', async () => {
  const logged = vi.spyOn(console, 'error').mockImplementation(() => {});
  const closed: string[] = [];
  whenEnding(() => void closed.push('lock'));
  whenEnding(async () => {
    await Promise.resolve();
    closed.push('database');
  });
  whenEnding(() => {
    throw new Error('a job that does not end');
  });
  whenEnding(() => void closed.push('pools'));
  await endInOrder();
  expect(closed).toEqual(['pools', 'database', 'lock']);
  expect(logged).toHaveBeenCalledTimes(1);
  await endInOrder();
  expect(closed).toHaveLength(3);
  logged.mockRestore();
});
