import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { clearFoldersOfTheGone, ownFolder } from './own-folder.ts';

it('of a process that is gone is cleared, of one that goes on it stays', async () => {
  const own = await ownFolder();
  const { pid } = spawnSync('node', ['-e', '']);
  const left = join(tmpdir(), `vetro-made-by-${pid}-left`);
  mkdirSync(join(left, 'deep'), { recursive: true });
  expect(await clearFoldersOfTheGone()).toBeGreaterThan(0);
  expect(existsSync(left)).toBe(false);
  expect(existsSync(own)).toBe(true);
  rmSync(own, { recursive: true });
});
