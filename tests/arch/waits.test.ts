import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const ROOT = resolve(import.meta.dirname, '../..');

/** Tests that use a timer, and what for. None waits a while for something to have happened. */
const TIMERS: Readonly<Record<string, string>> = {
  'tests/e2e/crashes.test.ts': 'the moment of a kill',
  'tests/e2e/broken.test.ts': 'throws in a worker, outside of what is awaited',
  'tests/e2e/own-server.ts': 'asks again until it is ready',
  'src/server/jobs/jobs.test.ts': 'asks again until a job is so far',
  'src/server/loom/loom.test.ts': 'a loom that is slow',
  'src/server/print-house/print-house.test.ts': 'asks again where the line is lost',
  'src/kit/latest.test.ts': 'the next turn of the event loop',
};

describe('tests', () => {
  it('wait for what they need, not for a while (waitForTimeout is refused by the linter)', () => {
    const files = ['src', 'tests'].flatMap((folder) =>
      readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
        .filter((name) => /\.tsx?$/.test(name) && (folder === 'tests' || name.includes('.test.')))
        .map((name) => join(folder, name)),
    );
    expect(files.length).toBeGreaterThan(200);
    const timed = files.filter(
      (file) =>
        !file.endsWith('waits.test.ts') &&
        /(?<!test\.)\bset(Timeout|Interval)\(/.test(readFileSync(join(ROOT, file), 'utf8')),
    );
    expect(timed.sort()).toEqual(Object.keys(TIMERS).sort());
  });
});
