import { describe, expect, it } from 'vitest';
import { motifOf, type SomePiece } from '../../../../../tests/motif-of.ts';
import { compileUnit } from '../../compile-design.ts';
import { readDesign } from '../../read-design.ts';
import { designFromStart } from '../../starts.ts';
import { USUAL_STRAPS } from '../../strap/strap-schema.ts';
import { strapsOfDesign } from '../../strap/straps-of-design.ts';
import type { Motif } from '../motif-schema.ts';
import { missesOfMotif } from '../prove-motif.ts';
import { areaOfPaths, gridOfUnit, seenRegions } from '../seen/seen-regions.ts';
import { knotStrands, parseBreaks } from './knot-panel.ts';
import { knotOrder, STRAP_STARTS } from './strap-starts.ts';

const SPEC = { gap: '1/4', edges: [], centre: null, dip: null };

function strapOf(corners: string, more: Partial<SomePiece> = {}): SomePiece {
  const points = corners.split(' ').map((corner) => {
    const [x = '', y = ''] = corner.split(',');
    return { x, y, bend: 'corner' as const, radius: '0' };
  });
  const shape = {
    kind: 'line',
    points,
    run: 'onward',
    width: '1',
    ends: 'sharp',
    dashes: null,
    strap: SPEC,
  } as const;
  return { shape: { ...shape, points }, x: '0', y: '0', ...more };
}

function crossed(straps: Partial<Motif['straps']> = {}) {
  return motifOf([strapOf('0,4 8,4'), strapOf('4,0 4,8')], { straps: { ...USUAL_STRAPS, ...straps } });
}

/** Millimetres square of each shade that is seen in a repeat of 8 × 8 steps of 5 mm. */
function seen(design: ReturnType<typeof motifOf>) {
  const unit = compileUnit(design);
  const grid = gridOfUnit(unit);
  const areas = seenRegions(unit, grid).map(
    ({ paths, isGround }) => [isGround, areaOfPaths(paths) / (grid.scale.x * grid.scale.y) / 25] as const,
  );
  const sum = (ground: boolean) =>
    areas.filter(([isGround]) => isGround === ground).reduce((all, [, area]) => all + area, 0);
  return { straps: sum(false), ground: sum(true) };
}

describe('straps of a motif', () => {
  it('are cut by a gap each side where they go under', () => {
    // Two straps of 8 × 1, less where they cross, less a gap of 1/4 on both sides of the one above.
    expect(seen(crossed()).straps).toBeCloseTo(8 + 8 - 1 - 2 * 0.25, 3);
  });

  it('that need two boxes repeat in two, and say so', () => {
    const report = strapsOfDesign(crossed())!;
    expect(report).toMatchObject({ alternates: false, doubling: 'diagonal', kept: false });
    const doubled = crossed({ cells: report.needs! });
    expect(strapsOfDesign(doubled)).toMatchObject({ alternates: true, kept: true, hangsTogether: true });
    const unit = compileUnit(doubled);
    expect(missesOfMotif(unit)).toBe(0);
    expect(seen(doubled).straps).toBeCloseTo(4 * 14.5, 2);
  });

  it('turn a crossing by hand, and all of them', () => {
    const over = (straps: Partial<Motif['straps']>) => strapsOfDesign(crossed(straps))!.crossings[0]!.over;
    const { name } = strapsOfDesign(crossed())!.crossings[0]!;
    expect(over({ turned: [name] })).not.toBe(over({}));
    expect(over({ swapped: true })).not.toBe(over({}));
    expect(over({ swapped: true, turned: [name] })).toBe(over({}));
  });

  it('go through themselves and are cut but once', () => {
    const loop = motifOf([strapOf('0,2 5,2 5,6 2,6 2,0 8,0 8,2')], {});
    expect(strapsOfDesign(loop)!.crossings).toHaveLength(1);
    // Its length is 26 steps; sharp corners lie as far outside as inside.
    const { straps } = seen(loop);
    expect(straps).toBeCloseTo(26 - 1 - 0.5, 3);
  });

  it.each([
    ['made with others', [strapOf('0,4 8,4', { made: [{ kind: 'rounded', radius: '1/8' }] })], 'straps/made'],
    [
      'outlined',
      [
        strapOf('0,4 8,4', {
          outline: { width: '1/8', shade: 'R', side: 'inside', ends: 'round', dashes: null },
        }),
      ],
      'straps/outline',
    ],
    [
      'narrower than their lines',
      [
        {
          ...strapOf('0,4 8,4'),
          shape: {
            ...strapOf('0,4 8,4').shape!,
            strap: { ...SPEC, edges: [{ inset: '1/2', width: '1/8', shade: 'B' }] },
          } as never,
        },
      ],
      'straps/narrow',
    ],
  ] as const)('%s are refused', (_, pieces, code) => {
    expect(() => compileUnit(motifOf(pieces as never, {}))).toThrow(code);
  });

  it.each(STRAP_STARTS.map(({ key }) => key))('start point %s repeats, its order kept', (key) => {
    const design = designFromStart('motif', key);
    expect(missesOfMotif(compileUnit(design))).toBe(0);
    expect(strapsOfDesign(design)).toMatchObject({ kept: true, flaws: [] });
  });
});

describe('knot panels', () => {
  it('are read and turned back at walls', () => {
    expect(parseBreaks('3,2| 4,5-')).toEqual([
      { x: 3, y: 2, wall: 'upright' },
      { x: 4, y: 5, wall: 'level' },
    ]);
    const whole = knotStrands({ columns: 4, rows: 4, breaks: [] });
    const broken = knotStrands({ columns: 4, rows: 4, breaks: parseBreaks('4,3|') });
    // A wall joins two strands into one, or parts one into two.
    expect(Math.abs(whole.length - broken.length)).toBe(1);
  });

  it('go over and under in turn at any size', () => {
    const { pieces, box } = knotOrder({ columns: 9, rows: 7, breaks: parseBreaks('4,3- 8,7| 11,6-') });
    const begun = designFromStart('motif', 'knot-panel');
    const design = readDesign({ ...begun, construction: { ...begun.construction, pieces, box } });
    expect(strapsOfDesign(design)).toMatchObject({ alternates: true, kept: true, flaws: [] });
  });

  it.each([
    ['5,5|', 'knot/break'],
    ['1,x', 'knot/breaks'],
    ['2,3| 3,2- 4,3| 3,4-', 'knot/closed'],
  ])('with broken crossings %s are refused', (breaks, code) => {
    expect(() => knotStrands({ columns: 4, rows: 4, breaks: parseBreaks(breaks) })).toThrow(code);
  });
});
