import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gcd, rational } from '../../exact/rational.ts';
import { root, surd, surdToNumber } from '../../exact/surd.ts';
import { turnOf } from './exact-turn.ts';
import { nearTurns } from './near-turns.ts';

/** A repeat whose height to its width is √(p/q). */
function repeatOf(p: number, q: number) {
  const square = rational(p, q);
  return { size: { width: surd(12), height: root(rational(12, q), p * q) }, square, ratio: Math.sqrt(p / q) };
}

const anyRepeat = fc.record({ p: fc.integer({ min: 1, max: 40 }), q: fc.integer({ min: 1, max: 40 }) });

const anyDegrees = fc.integer({ min: -9000, max: 9000 }).map((hundredths) => hundredths / 100);

describe('turns near an angle', () => {
  it('hold as many repeats as the turned lattice says', () => {
    fc.assert(
      fc.property(anyRepeat, anyDegrees, ({ p, q }, degrees) => {
        const { size, ...ratios } = repeatOf(p, q);
        for (const { slope, repeats, degrees: met } of nearTurns({
          ...ratios,
          degrees,
          most: 60,
          mostAlong: 1000,
        })) {
          const turn = turnOf(size, slope);
          expect(repeats).toBe(turn.repeats);
          const radians = Math.atan2(surdToNumber(turn.sine), surdToNumber(turn.cosine));
          expect(met).toBeCloseTo((radians * 180) / Math.PI, 9);
        }
      }),
    );
  });

  it('end with the nearest of all that hold no more', () => {
    let tried = 0;
    fc.assert(
      fc.property(anyRepeat, anyDegrees, ({ p, q }, degrees) => {
        const { size, ...ratios } = repeatOf(p, q);
        const most = 12;
        const offered = nearTurns({ ...ratios, degrees, most, mostAlong: 1000 }).at(-1)!;
        for (let up = -9; up <= 9; up += 1) {
          for (let across = 0; across <= 9; across += 1) {
            if (gcd(BigInt(across), BigInt(Math.abs(up))) !== 1n) continue;
            const met = (Math.atan2(up * ratios.ratio, across) * 180) / Math.PI;
            // Only what is nearer has to be too large.
            if (Math.abs(met - degrees) >= Math.abs(offered.error) - 1e-9) continue;
            tried += 1;
            expect(turnOf(size, { up, across }).repeats).toBeGreaterThan(most);
          }
        }
      }),
    );
    expect(tried).toBeGreaterThan(0);
  });

  it('are level and upright alone where the square of the ratio is no fraction', () => {
    const wish = { degrees: 50, square: undefined, ratio: 1.3, most: 2000, mostAlong: 1000 };
    expect(nearTurns(wish).map(({ slope }) => slope)).toEqual([{ up: 1, across: 0 }]);
    expect(nearTurns({ ...wish, degrees: -20 }).map(({ slope }) => slope)).toEqual([{ up: 0, across: 1 }]);
  });

  it('are met where one is, and then end', () => {
    const met = nearTurns({ ...repeatOf(3, 1), degrees: 60, most: 2000, mostAlong: 1000 });
    expect(met.at(-1)).toMatchObject({ slope: { up: 1, across: 1 }, error: 0, repeats: 4 });
  });
});
