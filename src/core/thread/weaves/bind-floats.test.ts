import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bindFloats } from './bind-floats.ts';
import { buildWeave } from './build-weave.ts';
import { floatCounts, markLongFloats } from './float-counts.ts';
import { parseMatrix } from './matrix.ts';
import { parseWeave } from './weave-text.ts';

describe('bindFloats', () => {
  it.each([
    ['satin 8/3', 4],
    ['sateen 12/5', 3],
    ['honeycomb 8', 5],
    ['12/12', 6],
    ['double', 2],
  ])('%s has no float longer than %i after it', (text, limit) => {
    const structure = buildWeave(parseWeave(text));
    const bound = bindFloats(structure, limit)!;
    const { warp, weft } = floatCounts(bound.structure);
    expect(Math.max(warp.longest, weft.longest)).toBeLessThanOrEqual(limit);
    const changed = bound.structure.up.filter((face, at) => face !== structure.up[at]).length;
    expect(changed).toBe(bound.places);
    expect(changed).toBeGreaterThan(0);
  });

  it('leaves alone what has no long float', () => {
    const twill = buildWeave(parseWeave('2/2'));
    expect(bindFloats(twill, 2)).toEqual({ structure: twill, places: 0 });
  });

  it('says that it cannot where threads are too few', () => {
    expect(bindFloats(parseMatrix(['##.', '.##', '#.#']), 1)).toBeUndefined();
  });

  it('binds or says that it cannot, for any structure', () => {
    const rows = fc
      .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 12 }))
      .chain(([ends, picks]) =>
        fc.array(fc.string({ unit: fc.constantFrom('#', '.'), minLength: ends, maxLength: ends }), {
          minLength: picks,
          maxLength: picks,
        }),
      );
    fc.assert(
      fc.property(rows, fc.integer({ min: 1, max: 6 }), (lines, limit) => {
        const bound = bindFloats(parseMatrix(lines), limit);
        if (bound !== undefined) expect(markLongFloats(bound.structure, limit)).not.toContain(1);
      }),
    );
  });
});
