import { describe, expect, it } from 'vitest';
import { compileUnit } from '../../src/core/design/compile-design.ts';
import { motifSymmetry } from '../../src/core/design/motif/seen/motif-symmetry.ts';
import { surdToNumber } from '../../src/core/exact/surd.ts';
import { BOX_GROUPS, type BoxGroup, groupBlock } from '../../src/core/repeat/lay/group-blocks.ts';
import type { PlaneGroup } from '../../src/core/tiling/plane-group.ts';
import { disc, motifOf, type SomePiece } from '../motif-of.ts';

/** A place in parts of the cell, as a motion carries it. */
type Motion = (x: number, y: number) => readonly [number, number];

const QUARTERS: readonly Motion[] = [
  (x, y) => [x, y],
  (x, y) => [-x, -y],
  (x, y) => [-y, x],
  (x, y) => [y, -x],
];
const HALVES = QUARTERS.slice(0, 2);
const CENTRED = (motions: readonly Motion[]): readonly Motion[] => [
  ...motions,
  ...motions.map(
    (motion): Motion =>
      (x, y) => {
        const [a, b] = motion(x, y);
        return [a + 0.5, b + 0.5];
      },
  ),
];
const MIRRORED: readonly Motion[] = [(x, y) => [x, y], (x, y) => [-x, y]];
const BOTH: readonly Motion[] = [...HALVES, (x, y) => [-x, y], (x, y) => [x, -y]];

/**
 * The motions of one cell of each group that a square or an upright lattice can have. Source: International Tables for
 * Crystallography, vol. A, general positions of the plane groups; from memory.
 */
const GROUPS: Readonly<Partial<Record<PlaneGroup, readonly Motion[]>>> = {
  p1: [(x, y) => [x, y]],
  p2: HALVES,
  pm: MIRRORED,
  pg: [(x, y) => [x, y], (x, y) => [-x, y + 0.5]],
  cm: CENTRED(MIRRORED),
  p2mm: BOTH,
  p2mg: [...HALVES, (x, y) => [0.5 - x, y], (x, y) => [x + 0.5, -y]],
  p2gg: [...HALVES, (x, y) => [0.5 - x, y + 0.5], (x, y) => [x + 0.5, 0.5 - y]],
  c2mm: CENTRED(BOTH),
  p4: QUARTERS,
  p4mm: [...QUARTERS, (x, y) => [-x, y], (x, y) => [x, -y], (x, y) => [y, x], (x, y) => [-y, -x]],
  p4gm: [
    ...QUARTERS,
    (x, y) => [0.5 - x, y + 0.5],
    (x, y) => [x + 0.5, 0.5 - y],
    (x, y) => [y + 0.5, x + 0.5],
    (x, y) => [0.5 - y, 0.5 - x],
  ],
};

const SIDE = 20;

/** A triangle with no symmetry of its own, off all centres and mirrors, carried by each motion. */
function triangles(motions: readonly Motion[]): readonly SomePiece[] {
  const corners = [
    [0.05, 0.1],
    [0.2, 0.15],
    [0.1, 0.28],
  ] as const;
  return motions.map((motion) => ({
    x: '0',
    y: '0',
    shape: {
      kind: 'line',
      points: corners.map(([x, y]) => {
        const [across, up] = motion(x, y).map((part) => `${Math.round(part * SIDE * 100)}/100`);
        return { x: across!, y: up!, bend: 'corner', radius: '0' };
      }),
      run: 'closed',
      width: null,
      ends: 'round',
      dashes: null,
      strap: null,
    },
  }));
}

const groupOf = (...of: Parameters<typeof motifOf>) => motifSymmetry(compileUnit(motifOf(...of)))?.group;

describe('a motif carried by the motions of a plane group', () => {
  it.each(Object.entries(GROUPS))('has that group: %s', (group, motions) => {
    expect(groupOf(triangles(motions), {}, SIDE)).toBe(group);
  });

  it('loses by its colours what they do not keep', () => {
    const pieces = triangles(GROUPS.p4!);
    expect(
      groupOf(
        pieces.map((piece, at) => ({ ...piece, shade: at < 2 ? 'B' : 'R' })),
        {},
        SIDE,
      ),
    ).toBe('p2');
    expect(
      groupOf(
        pieces.map((piece, at) => ({ ...piece, shade: at < 1 ? 'B' : 'R' })),
        {},
        SIDE,
      ),
    ).toBe('p1');
  });
});

/** A shape with no symmetry of its own, across the edges of its box and off every mirror. */
const HOOK: SomePiece = {
  x: '0',
  y: '0',
  shape: {
    kind: 'line',
    points: ['1,1', '7,2', '6,5', '3,9'].map((place) => {
      const [x, y] = place.split(',') as [string, string];
      return { x, y, bend: 'corner', radius: '0' };
    }),
    run: 'open',
    width: '1/2',
    ends: 'round',
    dashes: null,
    strap: null,
  },
};

describe('boxes copied by a group', () => {
  const laid = (group: BoxGroup, way: 'across' | 'up' = 'across') => ({
    lay: { kind: 'group' as const, group, way },
  });

  it.each(BOX_GROUPS.flatMap((group) => (['across', 'up'] as const).map((way) => [group, way] as const)))(
    'have that group: %s, %s',
    (group, way) => {
      expect(groupOf([HOOK], laid(group, way))).toBe(group);
    },
  );

  it('have as many copies in a cell as International Tables give positions (vol. A; from memory)', () => {
    // Of the centred cells of cm and c2mm, and of p2 and pm, the primitive one.
    const positions = {
      pm: 2,
      pg: 2,
      cm: 2,
      p2: 2,
      p2mm: 4,
      p2mg: 4,
      p2gg: 4,
      c2mm: 4,
      p4: 4,
      p4mm: 8,
      p4gm: 8,
    };
    for (const group of BOX_GROUPS) expect(groupBlock(group, 'across').copies).toHaveLength(positions[group]);
  });

  it('repeat after as many boxes as the trade says', () => {
    const size = (group: BoxGroup, way?: 'up') => {
      const { pitch } = compileUnit(motifOf([HOOK], laid(group, way)));
      return [surdToNumber(pitch.x) / 40, surdToNumber(pitch.y) / 40];
    };
    // Every second row flipped: w × 2h; mirrored both ways and four turned: 2w × 2h (common practice).
    expect(size('pg')).toEqual([1, 2]);
    expect(size('pg', 'up')).toEqual([2, 1]);
    expect(size('p2mm')).toEqual([2, 2]);
    expect(size('p4')).toEqual([2, 2]);
    expect(size('cm')).toEqual([2, 2]);
  });

  it('have what lies on a mirror or on the middle of a turn once', () => {
    const marks = (piece: SomePiece, group: BoxGroup) =>
      compileUnit(motifOf([piece], laid(group))).content.marks.length;
    expect(marks({ shape: disc('2') }, 'p2mm')).toBe(4);
    expect(marks({ shape: disc('2'), x: '8' }, 'p2mm')).toBe(2);
    expect(marks({ shape: disc('2'), x: '8', y: '8' }, 'p4')).toBe(1);
    expect(marks({ shape: disc('2'), x: '3', y: '3' }, 'p4mm')).toBe(4);
    expect(marks({ shape: disc('2'), x: '3', y: '2' }, 'p4mm')).toBe(8);
  });

  it('need a square where they are turned by quarters', () => {
    const box = { width: '8', height: '6' };
    expect(() => compileUnit(motifOf([HOOK], { box, ...laid('p4') }))).toThrow('lay/square');
    expect(groupOf([HOOK], { box, ...laid('p2gg') })).toBe('p2gg');
  });
});

describe('a motif', () => {
  it('has the group of its smallest cell, however it is laid', () => {
    expect(groupOf([{ shape: disc('2') }])).toBe('p4mm');
    // Four discs in a box are one disc in a quarter of it.
    const four = ['2', '6'].flatMap((x) => ['2', '6'].map((y) => ({ shape: disc('2'), x, y })));
    expect(groupOf(four)).toBe('p4mm');
    expect(groupOf([{ shape: disc('2') }], { lay: { kind: 'brick', by: '1/3' } })).toBe('p2');
    expect(groupOf([{ shape: disc('2') }], { lay: { kind: 'half-drop', by: '1/2' } })).toBe('c2mm');
  });

  it('is seen as it overlaps: scales that lie over each other have no half turn', () => {
    const outline = { width: '1/2', shade: 'R', side: 'inside', ends: 'round', dashes: null } as const;
    // Upper ones over lower ones, and in a row the right over the left: mirrored in the diagonal alone.
    expect(groupOf([{ shape: disc('10'), outline }], { overlap: 'up' })).toBe('cm');
    expect(groupOf([{ shape: disc('4'), outline }], { overlap: 'up' })).toBe('p4mm');
  });

  it('of lines that go on is found between their parts', () => {
    const wave = ['0,0', '2,1', '4,0', '6,-1', '8,0'].map((place) => {
      const [x, y] = place.split(',') as [string, string];
      return { x, y, bend: 'curve' as const, radius: '0' };
    });
    const shape = {
      kind: 'line',
      points: wave,
      run: 'onward',
      width: '1',
      ends: 'round',
      dashes: null,
      strap: null,
    } as const;
    expect(groupOf([{ shape, x: '0' }])).toBe('p2mg');
  });

  it('is told apart by its fades, its shadows and its pictures', () => {
    const fade = { kind: 'along' as const, shades: ['B', 'R'], over: 'piece' as const, angle: '90' };
    expect(groupOf([{ shape: disc('4'), fade }])).toBe('pm');
    const shadow = { x: '1/2', y: '0', softness: '1/4', shade: 'R', strength: '50%' };
    expect(groupOf([{ shape: disc('4'), shadow }])).toBe('pm');
    const picture = { hash: 'c'.repeat(64), name: 'P', width: 4, height: 4, fit: 'filling' } as const;
    expect(groupOf([{ shape: disc('4'), picture }])).toBe('p1');
  });

  it('of nothing but ground has none to be looked for', () => {
    expect(groupOf([])).toBeUndefined();
  });
});
