import { differenceCiede2000 } from 'culori';
import { describe, expect, it } from 'vitest';
import { shadeDifference } from '../../src/core/colour/compare.ts';

/**
 * CIEDE2000 test pairs. Source: G. Sharma, W. Wu, E. N. Dalal, The CIEDE2000 Color-Difference Formula, Color Res. Appl. 30
 * (2005) 21–30, table I, pairs 1–3, 7–10, 13, 17 and 25; quoted from memory.
 */
const PAIRS: readonly (readonly [
  readonly [number, number, number],
  readonly [number, number, number],
  number,
])[] = [
  [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
  [[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615],
  [[50, 2.8361, -74.02], [50, 0, -82.7485], 3.4412],
  [[50, 0, 0], [50, -1, 2], 2.3669],
  [[50, -1, 2], [50, 0, 0], 2.3669],
  [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792],
  [[50, 2.5, 0], [50, 0, -2.5], 4.3065],
  [[50, 2.5, 0], [73, 25, -18], 27.1492],
  [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
];

describe('the difference that shades are compared by', () => {
  it.each(PAIRS)('%j and %j differ by %d', (one, other, expected) => {
    const lab = ([l, a, b]: readonly [number, number, number]) => ({ mode: 'lab65', l, a, b }) as const;
    expect(differenceCiede2000()(lab(one), lab(other))).toBeCloseTo(expected, 4);
  });

  it('is the library’s, on sRGB', () => {
    const shade = (hex: string) => ({ key: 'A', name: hex, hex });
    expect(shadeDifference(shade('#24402f'), shade('#8c2f25'))).toBeCloseTo(
      differenceCiede2000()('#24402f', '#8c2f25'),
      12,
    );
    expect(shadeDifference(shade('#24402f'), shade('#24402f'))).toBe(0);
  });
});
