import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someSequence } from '../../../tests/sample-design.ts';
import { closingCounts } from './closing-counts.ts';
import { threadCount } from './sequence.ts';
import { THREADINGS, threadingOf } from './weaves/threadings.ts';

describe('closingCounts', () => {
  it('offers multiples of the weave on both sides, laid out to the thread', () => {
    fc.assert(
      fc.property(someSequence, fc.integer({ min: 2, max: 9 }), (sequence, weave) => {
        const now = threadCount(sequence);
        const offers = closingCounts(sequence, weave);
        if (now % weave === 0) expect(offers).toEqual([]);
        for (const { threads, bands } of offers) {
          expect(threads % weave).toBe(0);
          expect(Math.abs(threads - now)).toBeLessThan(weave);
          expect(threadCount({ ...sequence, bands })).toBe(threads);
          expect(bands.map(({ shade }) => shade)).toEqual(sequence.bands.map(({ shade }) => shade));
        }
      }),
    );
  });

  it('30 threads on a weave of 8: 24 or 32', () => {
    const bands = [
      { shade: 'A', count: 20 },
      { shade: 'B', count: 10 },
    ];
    expect(closingCounts({ bands, mirror: 'none' }, 8)).toEqual([
      {
        threads: 24,
        bands: [
          { shade: 'A', count: 16 },
          { shade: 'B', count: 8 },
        ],
      },
      {
        threads: 32,
        bands: [
          { shade: 'A', count: 21 },
          { shade: 'B', count: 11 },
        ],
      },
    ]);
  });
});

describe('threadings', () => {
  it.each([
    ['straight', 4, [1, 2, 3, 4]],
    ['pointed', 4, [1, 2, 3, 4, 3, 2]],
    ['broken', 4, [1, 2, 4, 3]],
    ['rosepath', 4, [1, 2, 3, 4, 1, 4, 3, 2]],
    ['blocks', 4, [1, 2, 1, 2, 1, 2, 1, 2, 3, 4, 3, 4, 3, 4, 3, 4]],
  ] as const)('%s on %i shafts', (kind, shafts, expected) => {
    expect(threadingOf(kind, shafts)).toEqual(expected);
  });

  it('use every shaft, and are refused beyond 32', () => {
    for (const kind of THREADINGS) {
      expect(new Set(threadingOf(kind, 8)).size).toBe(8);
      expect(() => threadingOf(kind, 33)).toThrow('weave/size');
      expect(() => threadingOf(kind, 0)).toThrow('weave/size');
    }
  });
});
