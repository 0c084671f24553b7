import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Interlacing } from '../weave.ts';
import { buildWeave } from './build-weave.ts';
import { draftFromLifts, draftOf, draftSize, drawdown } from './draft.ts';
import { faceFacts, floatCounts, markLongFloats } from './float-counts.ts';
import { layersOf } from './layers.ts';
import { leastWeave } from './least-repeat.ts';
import { editMatrix, type MATRIX_EDITS, matrixRows, parseMatrix, resizeMatrix } from './matrix.ts';
import { drawnWeave, weaveDraft } from './weave-draft.ts';
import { formatWeave, parseWeave, weaveName } from './weave-text.ts';

const someMatrix: fc.Arbitrary<Interlacing> = fc
  .tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), fc.integer({ min: 0, max: 2 ** 30 }))
  .map(([ends, picks, bits]) => ({
    ends,
    picks,
    up: Uint8Array.from({ length: ends * picks }, (_, at) => ((bits * (at + 7) * 2_654_435) >>> 9) & 1),
  }));

function rows(text: string): readonly string[] {
  return matrixRows(buildWeave(parseWeave(text)));
}

describe('weaves by rule', () => {
  it.each([
    ['plain', ['.#', '#.']],
    ['2/2Z', ['#..#', '..##', '.##.', '##..']],
    ['warp rib 2/1', ['.#', '#.', '#.']],
    ['weft rib 2/1', ['..#', '##.']],
    ['hopsack 2', ['..##', '..##', '##..', '##..']],
    ['hopsack 2/1', ['..##', '##..']],
    ['sateen 5/2', ['...#.', '.#...', '....#', '..#..', '#....']],
    ['2/1 step 1', rows('2/1Z')],
    ['steps 2/2: 1 1 1 1', rows('2/2Z')],
    ['steps 2/2: 1', rows('2/2Z')],
    ['rows ##. .##', ['##.', '.##']],
    ['rows 110|011', ['##.', '.##']],
  ] as const)('%s', (text, expected) => {
    expect(rows(text)).toEqual(expected);
  });

  it.each([
    ['3/1/1/2Z', 7, 7],
    ['3/1/1/2S step 2', 7, 7],
    ['2/2Z step 2', 4, 2],
    ['pointed 2/2 8', 14, 4],
    ['herringbone 2/2 8', 16, 4],
    ['satin 8/3', 8, 8],
    ['honeycomb 6', 10, 10],
    ['crepe 12 seed 5 floats 3', 12, 12],
    ['shaded 8/3 in 5', 40, 8],
    ['double', 4, 4],
    ['double stitched', 8, 8],
    ['blocks AB BA; A = satin 5/2; B = 2/2Z', 40, 40],
    ['blocks AAB; A = plain; B = hopsack 2', 12, 4],
    ['draft 1 2 3 2; 1, 2 3, 1 3; 1 2 3', 4, 3],
  ])('%s has %i ends and %i picks, and reads back', (text, ends, picks) => {
    const spec = parseWeave(text);
    expect(buildWeave(spec)).toMatchObject({ ends, picks });
    expect(parseWeave(formatWeave(spec))).toEqual(spec);
    expect(weaveName(spec)).not.toBe('');
  });

  it.each([
    ['satin 6/5', 'weave/satin'],
    ['satin 8/4', 'weave/satin'],
    ['satin 4/2', 'weave/satin'],
    ['2/2/1', 'weave/line'],
    ['0/2/1/1', 'weave/line'],
    ['pointed 2/2 1', 'weave/size'],
    ['crepe 7', 'weave/size'],
    ['shaded 8/3 in 9', 'weave/size'],
    ['rows ##. .#', 'weave/rows'],
    ['rows', 'weave/text'],
    ['draft 1 2; 1; 1 2', 'draft/treadle'],
    ['draft 1 40; 1; 1', 'draft/shaft'],
    ['draft 1 2; 1 99; 1', 'draft/tieup'],
    ['tartan', 'weave/text'],
    ['blocks AB A; A = plain; B = plain', 'weave/profile'],
    ['blocks AC; A = plain', 'weave/block'],
    ['blocks A; A = blocks B; B = plain', 'weave/text'],
  ])('%s is refused', (text, code) => {
    expect(() => parseWeave(text)).toThrow(code);
  });

  it('a herringbone keeps its face, or is complemented; of an even twill that is the same', () => {
    const raised = (text: string) => {
      const { ends, picks, up } = buildWeave(parseWeave(text));
      return up.reduce((sum, each) => sum + each, 0) / (ends * picks);
    };
    expect(raised('herringbone 2/1 6')).toBe(1 / 2);
    expect(raised('herringbone 2/1 6 kept')).toBe(2 / 3);
    expect(buildWeave(parseWeave('herringbone 2/2 8 kept'))).toEqual(
      buildWeave(parseWeave('herringbone 2/2 8')),
    );
    expect(formatWeave(parseWeave('herringbone 2/1 6 kept'))).toBe('herringbone 2/1 6 kept');
  });

  it.each([
    ['herringbone 1/1 10', 2, 2],
    ['pointed 1/1 5', 2, 2],
    ['rows #.#. .#.# #.#. .#.#', 2, 2],
    ['hopsack 2', 4, 4],
    ['herringbone 2/2 8', 16, 4],
    ['draft 1 2 1 2; 1, 2; 1 2 1 2', 2, 2],
  ])('%s comes round after %d × %d', (text, ends, picks) => {
    expect(leastWeave(parseWeave(text))).toMatchObject({ ends, picks });
  });

  it('a herringbone’s cut breaks every float, a point leaves one thread', () => {
    const cut = buildWeave(parseWeave('herringbone 2/2 8'));
    for (let pick = 0; pick < cut.picks; pick += 1) {
      expect(cut.up[pick * cut.ends + 7]).not.toBe(cut.up[pick * cut.ends + 8]);
    }
    expect(floatCounts(cut).weft.longest).toBe(2);
    expect(floatCounts(buildWeave(parseWeave('pointed 2/2 8'))).weft.longest).toBe(3);
  });

  it('a crepe keeps its limit, and another seed gives another', () => {
    const weave = (seed: number) => buildWeave({ kind: 'crepe', size: 16, seed, most: 3 });
    const { warp, weft } = floatCounts(weave(1));
    expect(Math.max(warp.longest, weft.longest)).toBeLessThanOrEqual(3);
    expect(weave(1)).toEqual(weave(1));
    expect(weave(1)).not.toEqual(weave(2));
  });
});

describe('blocks', () => {
  it('stand in their profile’s places, the last row below', () => {
    const { ends, up } = buildWeave(parseWeave('blocks AB BA; A = rows #; B = rows .'));
    expect([up[0], up[1], up[ends], up[ends + 1]]).toEqual([0, 1, 1, 0]);
  });
});

describe('a drawn structure', () => {
  it('is written and read', () => {
    fc.assert(
      fc.property(someMatrix, (matrix) => {
        expect(parseMatrix(matrixRows(matrix))).toEqual(matrix);
      }),
    );
  });

  it('comes back from what is undone', () => {
    const back: Partial<Record<(typeof MATRIX_EDITS)[number], (typeof MATRIX_EDITS)[number]>> = {
      left: 'right',
      up: 'down',
      invert: 'invert',
      'mirror-across': 'mirror-across',
      'mirror-up': 'mirror-up',
    };
    fc.assert(
      fc.property(someMatrix, (matrix) => {
        for (const [edit, undo] of Object.entries(back)) {
          expect(editMatrix(editMatrix(matrix, edit as 'left'), undo)).toEqual(matrix);
        }
        const around = [0, 1, 2, 3].reduce((turned) => editMatrix(turned, 'turn'), matrix);
        expect(around).toEqual(matrix);
        expect(editMatrix(matrix, 'double-ends').ends).toBe(2 * matrix.ends);
        expect(editMatrix(matrix, 'double-picks').picks).toBe(2 * matrix.picks);
      }),
    );
  });

  it('is counterchanged into four squares, two of which trade faces', () => {
    const both = editMatrix(parseMatrix(['##.']), 'counterchange');
    expect(matrixRows(both)).toEqual(['..###.', '##...#']);
  });

  it('takes another size, and is refused without one', () => {
    const plain = buildWeave(parseWeave('plain'));
    expect(matrixRows(resizeMatrix(plain, 3, 2))).toEqual(['.#.', '#.#']);
    expect(() => resizeMatrix(plain, 0, 2)).toThrow('weave/matrix');
    expect(() => resizeMatrix(plain, 10_000, 10_000)).toThrow('weave/matrix');
    expect(() => parseMatrix([])).toThrow('weave/matrix');
  });
});

describe('drafts', () => {
  it('weave the structure that they were found for, with as many shafts as it has different ends', () => {
    fc.assert(
      fc.property(someMatrix, (matrix) => {
        const draft = draftOf(matrix);
        expect(drawdown(draft)).toEqual(matrix);
        const columns = Array.from({ length: matrix.ends }, (_, end) =>
          Array.from({ length: matrix.picks }, (__, pick) => matrix.up[pick * matrix.ends + end]).join(''),
        );
        expect(draftSize(draft).shafts).toBe(Math.max(1, new Set(columns).size));
      }),
    );
  });

  it('that need more than there are say how many', () => {
    const wide = {
      ends: 40,
      picks: 40,
      up: Uint8Array.from({ length: 1600 }, (_, at) => (at % 41 === 0 ? 1 : 0)),
    };
    expect(() => draftOf(wide)).toThrow(
      expect.objectContaining({ code: 'draft/too-many', facts: { shafts: 40, most: 32 } }),
    );
  });
});

describe('lift plans', () => {
  it('have a treadle for each different lift, more than a loom has treadles', () => {
    const threading = Array.from({ length: 8 }, (_, end) => end + 1);
    // The binary digits of 1 … 100 as shafts: a hundred different lifts on eight shafts.
    const lifts = Array.from({ length: 100 }, (_, pick) =>
      threading.filter((shaft) => ((pick + 1) >> (shaft - 1)) % 2 === 1),
    );
    const draft = draftFromLifts(threading, [...lifts, ...lifts]);
    expect(draft.tieup).toEqual(lifts);
    expect(draftOf(drawdown(draft))).toEqual(draft);
    expect(weaveDraft({ kind: 'draft', ...draft })).toMatchObject({ threading });
  });

  it('keep what is drawn as a drawing, and as a draft where it is too large for one', () => {
    expect(drawnWeave(buildWeave(parseWeave('2/2'))).kind).toBe('matrix');
    const wide = drawdown({
      threading: Array.from({ length: 600 }, (_, end) => 1 + (end % 4)),
      tieup: [[1, 2], [3]],
      treadling: [1, 2],
    });
    const kept = drawnWeave(wide);
    expect(kept.kind).toBe('draft');
    expect(buildWeave(kept)).toEqual(wide);
  });
});

describe('facts of a structure', () => {
  it('mark exactly the floats that are too long', () => {
    fc.assert(
      fc.property(someMatrix, fc.integer({ min: 0, max: 6 }), (matrix, limit) => {
        const marks = markLongFloats(matrix, limit);
        const { warp, weft } = floatCounts(matrix);
        const cells = ({ histogram }: typeof warp) =>
          histogram.reduce((sum, count, length) => sum + (length > limit ? count * length : 0), 0);
        const marked = (face: 0 | 1) =>
          marks.filter((mark, at) => mark === 1 && matrix.up[at] === face).length;
        expect(marked(1)).toBe(cells(warp));
        expect(marked(0)).toBe(cells(weft));
      }),
    );
  });

  it('count a thread that never goes under once, as its whole ring', () => {
    const { warp, weft } = floatCounts({ ends: 2, picks: 2, up: Uint8Array.of(1, 0, 1, 0) });
    expect(warp).toEqual({ longest: 2, histogram: [0, 0, 1] });
    expect(weft).toEqual({ longest: 1, histogram: [0, 2] });
  });

  it('count every cell of the face once', () => {
    fc.assert(
      fc.property(someMatrix, (matrix) => {
        const { warp, weft } = floatCounts(matrix);
        const cells = ({ histogram }: typeof warp) =>
          histogram.reduce((sum, count, at) => sum + count * at, 0);
        expect(cells(warp) + cells(weft)).toBe(matrix.ends * matrix.picks);
        expect(faceFacts(matrix).warpUp).toBe(cells(warp));
      }),
    );
  });

  it('name every thread in one layer', () => {
    fc.assert(
      fc.property(someMatrix, (matrix) => {
        const layers = layersOf(matrix);
        const ends = layers.flatMap((layer) => layer.ends).sort((a, b) => a - b);
        const picks = layers.flatMap((layer) => layer.picks).sort((a, b) => a - b);
        expect(ends).toEqual(Array.from({ length: matrix.ends }, (_, end) => end));
        expect(picks).toEqual(Array.from({ length: matrix.picks }, (_, pick) => pick));
        // No thread of a lower layer lies on one of a higher layer.
        layers.forEach((upper, at) => {
          for (const lower of layers.slice(at + 1)) {
            for (const end of upper.ends) {
              for (const pick of lower.picks) expect(matrix.up[pick * matrix.ends + end]).toBe(1);
            }
            for (const pick of upper.picks) {
              for (const end of lower.ends) expect(matrix.up[pick * matrix.ends + end]).toBe(0);
            }
          }
        });
      }),
    );
  });

  it('part two cloths that are not stitched, the upper first', () => {
    expect(layersOf(buildWeave({ kind: 'double', stitched: false }))).toEqual([
      { ends: [0, 2], picks: [0, 2] },
      { ends: [1, 3], picks: [1, 3] },
    ]);
    expect(layersOf(buildWeave({ kind: 'double', stitched: true }))).toHaveLength(1);
  });
});
