import { describe, expect, it } from 'vitest';
import type { Job } from '../contracts/job.ts';
import { byDays } from './days.ts';

const NOW = new Date(2026, 2, 3, 9, 0);

function job(id: string, at: Date): Job {
  return { id, madeAt: at.toISOString() } as Job;
}

describe('days', () => {
  it('hold what was asked for on them', () => {
    const jobs = [
      job('a', new Date(2026, 2, 3, 8, 0)),
      job('b', new Date(2026, 2, 3, 0, 1)),
      job('c', new Date(2026, 2, 2, 23, 59)),
      job('d', new Date(2026, 1, 27, 12, 0)),
    ];
    expect(byDays(jobs, NOW).map(({ name, jobs: of }) => [name, of.map(({ id }) => id).join()])).toEqual([
      ['Today', 'a,b'],
      ['Yesterday', 'c'],
      ['Friday 27 February', 'd'],
    ]);
    expect(byDays([], NOW)).toEqual([]);
  });
});
