import { describe, expect, it } from 'vitest';
import { disc, motifOf } from '../../../../tests/motif-of.ts';
import { paintRows, paintTile, preparePainting } from '../../paint/painting.ts';
import { blockUnit } from '../../repeat/block-unit.ts';
import { checkDesign } from '../check-design.ts';
import { compileUnit } from '../compile-design.ts';
import type { MotifDesign } from '../design-schema.ts';
import { readDesign, readDesignText, writeDesignText } from '../read-design.ts';
import { designFromStart } from '../starts.ts';
import { motifFacts } from './motif-facts.ts';
import type { Piece, PieceShape } from './motif-schema.ts';

const square = (side: string): PieceShape => ({ kind: 'rectangle', width: side, height: side, radii: '0' });

function sharesOf(design: MotifDesign): Record<string, number> {
  return Object.fromEntries(motifFacts(design).shares.map(({ key, share }) => [key, share]));
}

describe('numbers', () => {
  it('are steps, or lengths with a unit, kept as they were typed', () => {
    const by = (across: string) => sharesOf(motifOf([{ shape: disc(across) }]))['B']!;
    // The box is 40 mm: 300 dpi, so 4 steps are 20 mm, or 236 and a bit pixels.
    expect(by('20 mm')).toBeCloseTo(by('4'), 9);
    expect(by('2 cm')).toBeCloseTo(by('8/2'), 9);
    expect(by('300 px')).toBeCloseTo(by('1 in'), 9);
    expect(readDesignText(writeDesignText(motifOf([{ shape: disc('1 + 2/3') }])))).toMatchObject({
      construction: { pieces: [{ shape: { across: '1 + 2/3' } }] },
    });
  });

  it.each([
    [{ shape: disc('0') }, 'length/not-positive'],
    [{ shape: disc('-2') }, 'length/not-positive'],
    [{ shape: disc('two') }, 'number/syntax'],
    [{ shape: disc('1'), turn: 'upside down' }, 'number/syntax'],
    [{ shape: disc('1'), turn: '9999' }, 'motif/degrees'],
    [{ shape: disc('1'), x: '200 m' }, 'motif/far'],
    [{ shape: { kind: 'rectangle', width: '4', height: '2', radii: '1,2' } }, 'motif/radii'],
    [{ shape: { kind: 'rectangle', width: '4', height: '2', radii: '-1' } }, 'length/negative'],
    [{ shape: { kind: 'polygon', sides: 2, measured: 'radius', size: '2' } }, 'design/field'],
    [{ shape: disc('1'), made: [{ kind: 'copies', count: 10_001, x: '1', y: '0' }] }, 'design/field'],
  ] as const)('that cannot be are refused, %#', (piece, code) => {
    expect(() => compileUnit(motifOf([piece as never]))).toThrow(code);
  });

  it.each([
    [{ lay: { kind: 'brick', by: '1' } }, 'lay/part'],
    [{ lay: { kind: 'brick', by: '1/101' } }, 'lay/part'],
    [{ box: { width: '1000000', height: '8' } }, 'motif/far'],
    [{ box: { width: '8', height: '15000' }, lay: { kind: 'brick', by: '1/2' } }, 'motif/too-large'],
    [{ step: '0 mm' }, 'length/not-positive'],
    [{ lay: { kind: 'free', across: { x: '2', y: '1' }, up: { x: '4', y: '2' } } }, 'lay/parallel'],
  ] as const)('of a box that cannot be are refused, %#', (more, code) => {
    expect(() => compileUnit(motifOf([{ shape: disc('1') }], more as never))).toThrow(code);
  });

  it('that are each in order may make too much together', () => {
    const grid = { kind: 'grid' as const, across: 100, up: 100, x: '1/20', y: '1/20' };
    const lay = { kind: 'brick' as const, by: '1/3' };
    expect(() =>
      compileUnit(motifOf([{ shape: disc('1'), made: [grid, { ...grid, across: 2, up: 1 }] }])),
    ).toThrow('motif/copies');
    expect(() => compileUnit(motifOf([{ shape: disc('1'), made: [grid] }], { lay }))).toThrow(
      'motif/too-many',
    );
  });
});

describe('pieces', () => {
  it('are turned about their middle, mirrored before', () => {
    const corner: PieceShape = {
      kind: 'line',
      points: [
        { x: '0', y: '0', bend: 'corner', radius: '0' },
        { x: '3', y: '0', bend: 'corner', radius: '0' },
        { x: '0', y: '2', bend: 'corner', radius: '0' },
      ],
      run: 'closed',
      width: null,
      ends: 'sharp',
      dashes: null,
      strap: null,
    };
    const crossing = (more: Partial<Piece>) =>
      motifFacts(motifOf([{ shape: corner, x: '0', y: '0', ...more }])).crossings[0]?.edges ?? [];
    expect(crossing({})).toEqual([]);
    expect(crossing({ turn: '90' })).toEqual(['left']);
    expect(crossing({ turn: '180' })).toEqual(['left', 'bottom']);
    expect(crossing({ mirrored: true })).toEqual(['left']);
    expect(crossing({ mirrored: true, turn: '90' })).toEqual(['left', 'bottom']);
  });

  it('that are hidden or not painted leave no mark', () => {
    expect(sharesOf(motifOf([{ shape: disc('4'), hidden: true }]))).toEqual({ C: 1 });
    expect(sharesOf(motifOf([{ shape: disc('4'), shade: null }]))).toEqual({ C: 1 });
  });

  it('come in again whatever their size: a disc five boxes wide covers everything', () => {
    const design = motifOf([{ shape: disc('40') }]);
    expect(sharesOf(design)['B']).toBeCloseTo(1, 9);
    expect(checkDesign(design, { resolution: '100' }).painted?.differingBytes).toBe(0);
    expect(motifFacts(design).crossings[0]!.edges).toEqual(['left', 'right', 'top', 'bottom']);
  });

  it('lie over each other in their order, or by rows', () => {
    const two = [{ shape: square('4') }, { shape: square('2'), shade: 'R' }];
    expect(sharesOf(motifOf(two))).toMatchObject({ B: (16 - 4) / 64, R: 4 / 64 });
    expect(sharesOf(motifOf([...two].reverse()))['R']).toBeUndefined();
  });

  it('are painted one row over the other all the way round', () => {
    // Squares of 8 × 8 in rows 4 apart, their upper half B, their lower half R: what is seen is the upper row's.
    const halves = [
      { shape: { kind: 'rectangle', width: '8', height: '4', radii: '0' } as PieceShape, y: '2', shade: 'B' },
      {
        shape: { kind: 'rectangle', width: '8', height: '4', radii: '0' } as PieceShape,
        y: '-2',
        shade: 'R',
      },
    ];
    const box = { width: '8', height: '4' };
    expect(sharesOf(motifOf(halves, { box, overlap: 'up' }))).toEqual({ R: 1 });
    expect(sharesOf(motifOf(halves, { box, overlap: 'down' }))).toEqual({ B: 1 });
  });
});

describe('what is made further', () => {
  const share = (
    piece: Partial<Piece> & { shape: PieceShape },
    ...others: (Partial<Piece> & { shape: PieceShape })[]
  ) => sharesOf(motifOf([piece, ...others]))['B']! * 64;

  it.each<[string, Partial<Piece>, number]>([
    ['copies in a row', { made: [{ kind: 'copies', count: 3, x: '2', y: '0' }] }, 3],
    ['copies that overlap', { made: [{ kind: 'copies', count: 2, x: '1/2', y: '0' }] }, 1.5],
    ['copies round a middle', { x: '6', made: [{ kind: 'round', count: 4, x: '4', y: '4', by: null }] }, 4],
    ['copies by an angle', { x: '6', made: [{ kind: 'round', count: 2, x: '4', y: '4', by: '90' }] }, 2],
    ['a mirrored copy', { x: '6', made: [{ kind: 'mirror', x: '4', y: '4', angle: '90' }] }, 2],
    ['a grid', { made: [{ kind: 'grid', across: 3, up: 2, x: '2', y: '2' }] }, 6],
    ['moved', { made: [{ kind: 'moved', x: '3', y: '-7' }] }, 1],
    [
      'copies of copies',
      {
        made: [
          { kind: 'copies', count: 2, x: '2', y: '0' },
          { kind: 'copies', count: 2, x: '0', y: '2' },
        ],
      },
      4,
    ],
    [
      'bands outward',
      { made: [{ kind: 'bands', side: 'outward', corner: 'sharp', bands: [{ width: '1/2', shade: 'B' }] }] },
      4,
    ],
    [
      'a band left open',
      {
        made: [
          {
            kind: 'bands',
            side: 'outward',
            corner: 'sharp',
            bands: [
              { width: '1/2', shade: null },
              { width: '1/2', shade: 'B' },
            ],
          },
        ],
      },
      1 + (9 - 4),
    ],
    [
      'bands inward',
      { made: [{ kind: 'bands', side: 'inward', corner: 'sharp', bands: [{ width: '1/4', shade: 'R' }] }] },
      0.25,
    ],
    [
      'an outline inside',
      { outline: { width: '1/4', shade: 'R', side: 'inside', ends: 'sharp', dashes: null } },
      0.25,
    ],
    [
      'an outline outside',
      { outline: { width: '1/4', shade: 'R', side: 'outside', ends: 'sharp', dashes: null } },
      1,
    ],
  ])('%s of a square of one step', (_, piece, expected) => {
    expect(share({ shape: square('1'), ...piece })).toBeCloseTo(expected, 3);
  });

  it('with others: joined, cut away, kept where both are; these are not painted themselves', () => {
    const other = { shape: square('2'), x: '5' };
    const withOther = (kind: 'join' | 'cut' | 'overlap') =>
      share({ shape: square('2'), made: [{ kind, with: [2] }] }, other);
    expect(withOther('join')).toBeCloseTo(6, 3);
    expect(withOther('cut')).toBeCloseTo(2, 3);
    expect(withOther('overlap')).toBeCloseTo(2, 3);
  });

  it('divided by another: what lies in it has another shade, or is left open', () => {
    const other = { shape: square('2'), x: '5' };
    const divided = (shade: string | null) =>
      sharesOf(motifOf([{ shape: square('2'), made: [{ kind: 'divide', with: [2], shade }] }, other]));
    expect(divided('R')['R']! * 64).toBeCloseTo(2, 3);
    expect(divided('R')['B']! * 64).toBeCloseTo(2, 3);
    expect(divided(null)['C']! * 64).toBeCloseTo(62, 3);
  });

  it('of itself, or with what is not there, is refused by name', () => {
    const cutBy = (id: number) => ({ shape: square('2'), made: [{ kind: 'cut' as const, with: [id] }] });
    expect(() => compileUnit(motifOf([cutBy(2), cutBy(1)]))).toThrow('motif/circular');
    expect(() => compileUnit(motifOf([cutBy(1)]))).toThrow('motif/circular');
    expect(() => compileUnit(motifOf([cutBy(7)]))).toThrow('motif/missing');
  });

  it('names every shade once, where it stands', () => {
    const design = motifOf([
      {
        shape: square('2'),
        made: [{ kind: 'bands', side: 'outward', corner: 'round', bands: [{ width: '1', shade: 'R' }] }],
      },
    ]);
    expect(() => readDesign({ ...design, shades: design.shades.filter(({ key }) => key !== 'R') })).toThrow(
      'pieces.0.made.0.bands.0.shade',
    );
  });
});

/** Levels of 255 that a subpixel more or less along an edge may come to in a dark shade. */
const MOST_LEVELS = 6;

describe('painting', () => {
  it('does not depend on where the window lies, nor on how many repeats count as one', () => {
    for (const key of ['fish-scale', 'argyle', 'wave-flipped', 'interlocking-bars']) {
      const unit = compileUnit(designFromStart('motif', key));
      const tile = { width: 60, height: 60 };
      const whole = paintTile(unit, tile);
      const block = paintTile(blockUnit(unit, { across: 2, down: 2 }), { width: 120, height: 120 });
      const window = { tile, width: 60, offset: { x: 17, y: 23 }, look: 'flat' as const };
      const moved = new Uint32Array(60 * 60);
      paintRows(preparePainting(unit, window), 0, 60, moved);
      const bytes = new Uint8Array(moved.buffer);
      let differing = 0;
      let furthest = 0;
      for (let y = 0; y < 60; y += 1) {
        for (let x = 0; x < 60; x += 1) {
          for (let channel = 0; channel < 4; channel += 1) {
            const here = whole[(y * 60 + x) * 4 + channel]!;
            const there = bytes[(((y - 23 + 60) % 60) * 60 + ((x - 17 + 60) % 60)) * 4 + channel]!;
            if (here !== there) differing += 1;
            furthest = Math.max(furthest, Math.abs(here - block[((y + 60) * 120 + x + 60) * 4 + channel]!));
          }
        }
      }
      expect([key, differing]).toEqual([key, 0]);
      // A figure is rounded to subpixels where it lies, so that a block may differ by as much.
      expect(furthest).toBeLessThanOrEqual(MOST_LEVELS);
    }
  });

  it('leaves clear what is not covered', () => {
    const unit = compileUnit(motifOf([{ shape: square('4') }], { ground: null }));
    const bytes = paintTile(unit, { width: 8, height: 8 });
    const alpha = Array.from({ length: 64 }, (_, at) => bytes[at * 4 + 3]);
    expect(alpha.filter((each) => each === 255)).toHaveLength(16);
    expect(alpha.filter((each) => each === 0)).toHaveLength(48);
  });
});
