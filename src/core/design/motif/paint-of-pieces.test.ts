import { describe, expect, it } from 'vitest';
import { disc, motifOf, type SomePiece } from '../../../../tests/motif-of.ts';
import { paintRows, preparePainting } from '../../paint/painting.ts';
import { checkDesign } from '../check-design.ts';
import { compileUnit } from '../compile-design.ts';
import type { MotifDesign } from '../design-schema.ts';
import { motifFacts } from './motif-facts.ts';
import type { Motif, PieceShape } from './motif-schema.ts';
import { missesOfMotif } from './prove-motif.ts';

const LINE = {
  kind: 'line' as const,
  points: ['0', '8'].map((x) => ({ x, y: '0', bend: 'corner' as const, radius: '0' })),
  run: 'onward' as const,
  width: '2',
  ends: 'sharp' as const,
  dashes: null,
  strap: null,
};

/** Makes all copies one figure. */
const BAND = {
  kind: 'bands' as const,
  side: 'outward' as const,
  corner: 'round' as const,
  bands: [{ width: '1', shade: 'R' }],
};

const square = (side: string): PieceShape => ({ kind: 'rectangle', width: side, height: side, radii: '0' });

function shareOf(design: MotifDesign, key: string): number {
  return motifFacts(design).shares.find((each) => each.key === key)!.share;
}

/** Grey levels of one row of a repeat of 40 × 40 pixels, at its middle, mixed as stored bytes. */
function middleRow(design: MotifDesign): readonly number[] {
  const out = new Uint32Array(40 * 40);
  const tile = { width: 40, height: 40 };
  const window = { tile, width: 40, offset: { x: 0, y: 0 }, look: 'flat', mixing: 'bytes' } as const;
  paintRows(preparePainting(compileUnit(design), window), 0, 40, out);
  return Array.from({ length: 40 }, (_, x) => out[20 * 40 + x]! & 255);
}

/** Black and white on a box of 8 × 8. */
function inBlack(pieces: Parameters<typeof motifOf>[0], more: Partial<Motif> = {}): MotifDesign {
  const design = motifOf(pieces, { ground: 'C', ...more });
  const hexes = { C: '#ffffff', B: '#000000', R: '#ffffff' };
  return {
    ...design,
    shades: design.shades.map((shade) => ({ ...shade, hex: hexes[shade.key as 'C' | 'B' | 'R'] })),
  };
}

describe('paint', () => {
  const fade = { kind: 'along' as const, shades: ['B', 'R'], angle: '0' };

  it('fades along a piece by even steps', () => {
    const row = middleRow(inBlack([{ shape: square('8'), fade: { ...fade, over: 'piece' } }]));
    // A pixel's middle is what counts: the first lies half a pixel of forty along.
    expect(row).toEqual(row.map((_, x) => Math.round((255 * (x + 0.5)) / 40)));
  });

  it('fades turn with their piece, and outward ones are round', () => {
    const turned = middleRow(
      inBlack([{ shape: square('8'), turn: '180', fade: { ...fade, over: 'piece' } }]),
    );
    expect(turned).toEqual(turned.map((_, x) => Math.round((255 * (39.5 - x)) / 40)));
    const round = middleRow(
      inBlack([{ shape: disc('8'), fade: { kind: 'outward', shades: ['B', 'R'], over: 'piece' } }]),
    );
    expect(round).toEqual([...round].reverse());
    expect(round[20]).toBeLessThan(10);
    expect(round[1]).toBeGreaterThan(230);
  });

  it('fades over the whole repeat make it what repeats', () => {
    const whole = { ...fade, over: 'repeat' as const };
    const lay = { kind: 'half-drop', by: '1/2' } as const;
    const design = motifOf([{ shape: disc('4'), fade: whole }], { lay });
    const { lattice } = compileUnit(design);
    expect(lattice).toMatchObject([
      { x: { n: 1n, d: 1n }, y: { n: 0n } },
      { x: { n: 0n }, y: { n: 1n, d: 1n } },
    ]);
    expect(missesOfMotif(compileUnit(design))).toBe(0);
    const report = checkDesign(design, { resolution: '100' });
    expect(report.open).toBeUndefined();
    expect(report.painted?.differingBytes).toBe(0);
  });

  it('shadows are as far, as soft and as strong as they say, and come round the edges', () => {
    const shadow = { x: '2', y: '0', softness: '1/2', shade: 'B', strength: '1/2' };
    const row = middleRow(inBlack([{ shape: square('4'), shade: null, shadow }]));
    // From 4 to 8 steps, 5 pixels each: half of black in the middle, a quarter at the edges, nothing far away.
    expect(row[30]).toBeGreaterThanOrEqual(127);
    expect(row[30]).toBeLessThanOrEqual(128);
    expect(Math.abs(row[20]! + row[19]! - 2 * (255 - 64))).toBeLessThanOrEqual(2);
    expect(row[10]).toBe(255);
    // The shadow's right edge lies on the box's: its other half comes in at the left.
    expect(row[0]).toBe(row[19]);
    expect(row[1]).toBe(row[18]);
  });

  it('shadows lie under their own copy and over the ones before', () => {
    const shadow = { x: '0', y: '0', softness: '0', shade: 'R', strength: '1' };
    const made = [{ kind: 'copies' as const, count: 2, x: '2', y: '0' }];
    const row = middleRow(inBlack([{ shape: square('2'), x: '2', made, shadow: { ...shadow, x: '-1' } }]));
    // Of the first copy, from pixel 5 to 15, the shadow of the second takes the half from 10.
    expect([row[7], row[12], row[17]]).toEqual([0, 255, 0]);
  });

  it('a shadow many times its line’s width is even all over: it comes round from every side', () => {
    const shadow = { x: '0', y: '0', softness: '8', shade: 'B', strength: '1' };
    const row = middleRow(inBlack([{ shape: LINE, x: '0', y: '1', shade: null, shadow }]));
    // A quarter of the box is line, and so a quarter of black is everywhere.
    for (const level of row) expect(Math.abs(level - 0.75 * 255)).toBeLessThanOrEqual(1);
  });

  it('what is hidden, used up by others or goes on makes the repeat no larger', () => {
    const boxes = (...pieces: SomePiece[]) =>
      compileUnit(motifOf(pieces, { vary: { boxes: 3, seed: 1 } })).content.marks.length;
    expect(boxes({ shape: square('2'), vary: '20%' })).toBe(9);
    expect(boxes({ shape: square('2'), vary: '20%', hidden: true })).toBe(0);
    expect(boxes({ shape: LINE, x: '0', vary: '20%' })).toBe(1);
    const cut = { shape: square('4'), made: [{ kind: 'cut' as const, with: [2] }] };
    expect(boxes(cut, { shape: square('2'), vary: '20%' })).toBe(1);
  });

  it.each<[string, SomePiece]>([
    ['a disc', { shape: disc('200') }],
    [
      'a soft shadow',
      { shape: disc('2'), shadow: { x: '0', y: '0', softness: '50', shade: 'B', strength: '1' } },
    ],
    ['copies', { shape: disc('2'), made: [{ kind: 'copies', count: 100, x: '5', y: '5' }, BAND] }],
  ])('%s that reaches over too many repeats is refused', (_, piece) => {
    expect(() => compileUnit(motifOf([piece]))).toThrow('motif/reach');
  });

  it('a piece that lies whole in what divides it shows nothing of its own shade along its edge', () => {
    const divide = { kind: 'divide' as const, with: [2], shade: 'R' };
    const whole = motifOf([{ shape: disc('3'), made: [divide] }, { shape: disc('6') }]);
    const plain = motifOf([{ shape: disc('3'), shade: 'R' }]);
    expect(middleRow(whole)).toEqual(middleRow(plain));
    // Where it is divided, its ground is not seen between its parts.
    const half = inBlack([
      { shape: disc('4'), made: [{ ...divide, shade: 'B' }] },
      { shape: disc('4'), x: '13/3' },
    ]);
    expect(
      middleRow(half)
        .slice(12, 28)
        .filter((level) => level > 0),
    ).toEqual([]);
  });

  it('copies vary by their seed and come again after so many boxes', () => {
    const pieces = [{ shape: square('4'), vary: '50%' }];
    const of = (vary: Motif['vary']) => compileUnit(motifOf(pieces, { vary }));
    const shadesOf = (unit: ReturnType<typeof of>) =>
      unit.content.marks.map(({ shade }) => unit.content.base.shades[shade!]!.hex);
    const three = of({ boxes: 3, seed: 4 });
    expect(three.content.marks).toHaveLength(9);
    expect(new Set(shadesOf(three)).size).toBeGreaterThan(3);
    expect(shadesOf(of({ boxes: 3, seed: 4 }))).toEqual(shadesOf(three));
    expect(shadesOf(of({ boxes: 3, seed: 5 }))).not.toEqual(shadesOf(three));
    expect(missesOfMotif(three)).toBe(0);
    const design = motifOf(pieces, { vary: { boxes: 3, seed: 4 } });
    expect(shareOf(design, 'B')).toBeCloseTo(16 / 64, 9);
    expect(checkDesign(design, { resolution: '100' }).painted?.differingBytes).toBe(0);
  });

  it.each([
    [{ shadow: { x: '0', y: '0', softness: '-1', shade: 'B', strength: '1' } }, 'length/negative'],
    [{ shadow: { x: '0', y: '0', softness: '1', shade: 'B', strength: '120%' } }, 'motif/share'],
    [{ vary: '0' }, 'motif/share'],
    [{ fade: { ...fade, over: 'piece', shades: ['B'] } }, 'design/field'],
  ] as const)('that cannot be is refused, %#', (piece, code) => {
    expect(() => compileUnit(motifOf([{ shape: disc('1'), ...piece } as never]))).toThrow(code);
  });
});

describe('letters', () => {
  const text = (letters: string): PieceShape => ({
    kind: 'letters',
    text: letters,
    font: 'mono',
    height: '2',
  });

  it('are outlines with holes, as high as they say', () => {
    const share = (letters: string) => shareOf(motifOf([{ shape: text(letters) }]), 'B');
    expect(share('O')).toBeGreaterThan(0.005);
    expect(share('O')).toBeLessThan(0.02);
    expect(share('OO')).toBeCloseTo(2 * share('O'), 6);
  });

  it('that the font lacks are named', () => {
    expect(() => compileUnit(motifOf([{ shape: text('Aжж') }]))).toThrow('figure/letters');
    expect(() => compileUnit(motifOf([{ shape: text(' ') }]))).toThrow('figure/no-letters');
  });
});

describe('bands of which one is left open', () => {
  const bandsOf = (side: 'outward' | 'inward', ...shades: readonly (string | null)[]) => ({
    kind: 'bands' as const,
    side,
    corner: 'round' as const,
    bands: shades.map((shade) => ({ width: '1/2', shade })),
  });
  const areaOfRing = (inner: number, outer: number) => (Math.PI * (outer ** 2 - inner ** 2)) / 64;

  it.each([
    // From the disc outward: radius 1, then rings of 1/2.
    ['outward', 'R', [null, 'R', 'B'], areaOfRing(2, 2.5)],
    ['outward', 'R', ['R', null, 'R', 'R', 'B'], areaOfRing(3, 3.5)],
    ['outward', null, ['R', 'B'], areaOfRing(1.5, 2)],
  ] as const)('%s from %s, %s: the outermost shows nowhere else', (side, shade, bands, share) => {
    const design = motifOf([{ shape: disc('2'), shade, made: [bandsOf(side, ...bands)] }], { ground: 'C' });
    expect(shareOf(design, 'B')).toBeCloseTo(share, 3);
    const open = bands.some((band) => band === null)
      ? (bands as readonly (string | null)[]).indexOf(null)
      : undefined;
    const inner = open === undefined ? 0 : 1 + open / 2;
    const hole = open === undefined ? areaOfRing(0, 1) : areaOfRing(inner, inner + 0.5);
    const outer = areaOfRing(0, 1 + bands.length / 2);
    expect(shareOf(design, 'C')).toBeCloseTo(1 - outer + hole, 3);
  });

  it('inward: what is left open within shows the ground', () => {
    const design = motifOf([{ shape: disc('6'), shade: 'R', made: [bandsOf('inward', 'B', 'R', null)] }], {
      ground: 'C',
    });
    expect(shareOf(design, 'B')).toBeCloseTo(areaOfRing(2.5, 3), 3);
    expect(shareOf(design, 'C')).toBeCloseTo(1 - areaOfRing(0, 3) + areaOfRing(1.5, 2), 3);
  });
});

describe('an outline on the outside', () => {
  it('lets no ground through beside its piece', () => {
    const outline = { width: '1', shade: 'B', side: 'outside', ends: 'round', dashes: null } as const;
    for (const across of ['4', '17/4', '4.37', '5.1']) {
      const design = inBlack([{ shape: disc(across), shade: 'B', outline }]);
      // All black on white: no pixel within the outline is lighter than black.
      const row = middleRow(design);
      const dark = row.filter((level) => level < 255);
      const inner = dark.slice(1, -1);
      expect(inner.length).toBeGreaterThan(20);
      expect(Math.max(...inner), across).toBe(0);
    }
  });
});
