import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someSequence } from '../../../tests/sample-design.ts';
import type { Bands } from './edit-bands.ts';
import { layLine } from './overcheck.ts';
import { layOut, type Mirror, threadCount } from './sequence.ts';

const THREE: Bands = [
  { shade: 'A', count: 4 },
  { shade: 'B', count: 2 },
  { shade: 'C', count: 6 },
];

function laid(mirror: Mirror, at: number, count: number): string {
  return layLine({ bands: THREE, mirror }, at, { shade: 'D', count })
    .map((band) => `${band.shade}${band.count}`)
    .join(' ');
}

describe('layLine', () => {
  it.each([
    ['none', 8, 2, 'A4 B2 C2 D2 C2'],
    ['none', 3, 4, 'A3 D4 C5'],
    ['none', 0, 1, 'D1 A3 B2 C6'],
    ['none', 11, 1, 'A4 B2 C5 D1'],
    ['doubled', 8, 2, 'A4 B2 C2 D2 C2'],
    ['shared', 4, 1, 'A4 D1 B1 C6'],
    ['shared', 1, 2, 'D2 A1 B2 C6'],
    ['shared', 3, 1, 'A2 D1 B2 C6'],
    ['shared', 8, 2, 'A4 B2 C2 D2'],
    ['shared', 6, 1, 'A4 B2 D1 C4'],
  ] as const)('%s, at %i, %i threads: %s', (mirror, at, count, expected) => {
    expect(laid(mirror, at, count)).toBe(expected);
  });

  it('never changes the laid-out total, and shows the line where it was laid or at its reflection', () => {
    fc.assert(
      fc.property(someSequence, fc.nat(40), fc.integer({ min: 1, max: 6 }), (sequence, at, count) => {
        const typed = sequence.bands.reduce((sum, band) => sum + band.count, 0);
        fc.pre(at + count <= typed);
        const bands = layLine(sequence, at, { shade: 'D', count });
        expect(threadCount({ ...sequence, bands })).toBe(threadCount(sequence));
        const lines = layOut({ ...sequence, bands })
          .filter(({ shade }) => shade === 'D')
          .reduce((sum, band) => sum + band.count, 0);
        expect(lines).toBeGreaterThanOrEqual(count);
        expect(lines).toBeLessThanOrEqual(2 * count);
      }),
    );
  });

  it.each([
    [11, 2],
    [-1, 1],
    [2.5, 1],
    [0, 0],
  ])('refuses a line at %d of %d threads', (at, count) => {
    expect(() => laid('none', at, count)).toThrow('overcheck/place');
  });
});
