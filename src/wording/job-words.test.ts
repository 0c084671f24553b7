import { describe, expect, it } from 'vitest';
import type { Job } from '../contracts/job.ts';
import { askedWords, bytesText, durationText, jobWords } from './job-words.ts';

const BEGAN = '2026-03-01T10:00:00.000Z';
const JOB: Job = {
  id: 'a',
  designId: 'd',
  designName: 'Check',
  file: 'tile.png',
  name: 'Check.png',
  query: '',
  state: 'working',
  made: 0,
  of: 0,
  stands: '',
  bytes: 0,
  trouble: '',
  madeAt: BEGAN,
  beganAt: BEGAN,
  endedAt: null,
  kept: false,
};

/** So many seconds after it began. */
function after(seconds: number, job: Partial<Job>): string {
  return jobWords({ ...JOB, ...job }, Date.parse(BEGAN) + seconds * 1000);
}

describe('what was asked of a print house', () => {
  it.each([
    ['substrate=linen&length=2+m', 'Strike-off from the print house · Linen · 2 m'],
    // A job that failed for its cloth is still listed.
    ['substrate=oilcloth', 'Strike-off from the print house · oilcloth'],
  ])('%s is “%s”', (query, words) => {
    expect(askedWords({ file: 'print.png', query })).toBe(words);
  });
});

describe('how a job stands', () => {
  it.each<[seconds: number, job: Partial<Job>, words: string]>([
    [0, { state: 'waiting' }, 'Waits its turn'],
    [1, {}, 'Being made…'],
    [1, { made: 10, of: 1000 }, '1 %'],
    [10, { made: 250, of: 1000 }, '25 %, about 30 s left'],
    [100, { made: 250, of: 1000 }, '25 %, about 5 min left'],
    [9, { state: 'done', kept: true, bytes: 2_340_000 }, 'Made, 2.3 MB'],
    [9, { state: 'done' }, 'Made; the file is kept no longer'],
    [9, { state: 'failed', trouble: 'There is no room left.' }, 'There is no room left.'],
    [9, { state: 'stopped' }, 'Stopped'],
    [9, { file: 'print.png', stands: 'checked' }, 'Checked; waits its turn at the table'],
    [9, { file: 'print.png', stands: 'printing', made: 20, of: 500 }, 'Printing, 20 of 500 mm'],
    [
      9,
      { stands: 'jam', made: 20, of: 500 },
      'The cloth is jammed at 20 of 500 mm; it goes on when that is mended',
    ],
    [9, { file: 'print.txt', state: 'done', kept: true, bytes: 90 }, 'Printed'],
  ])('after %i s with %j is “%s”', (seconds, job, words) => {
    expect(after(seconds, job)).toBe(words);
  });

  it('says what was asked for', () => {
    const words = (file: string, query: string) => askedWords({ file, query });
    expect(words('tile.jpg', 'dpi=300&size=12in+x+12in&quality=90&colourway=Night')).toBe(
      'JPEG · 12in x 12in · 300 dpi · quality 90 · Night',
    );
    expect(words('tile.pdf', 'paper=A3&bleed=3mm&shrink=4%25')).toBe(
      'PDF · A3 · bleed 3mm · larger by shrinkage 4%',
    );
    expect(words('pack.zip', '')).toBe('ZIP');
  });

  it('is told in sizes and times that people use', () => {
    expect([1, 999_499, 1e6, 2.5e9].map(bytesText)).toEqual(['1 kB', '999 kB', '1.0 MB', '2.50 GB']);
    expect([0, 0.2, 59.1, 61].map(durationText)).toEqual(['1 s', '1 s', '60 s', '2 min']);
  });
});
