import { describe, expect, it } from 'vitest';
import { compileUnit } from '../../core/design/compile-design.ts';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import type { Making } from '../../core/design/motif/making-schema.ts';
import type { Piece } from '../../core/design/motif/motif-schema.ts';
import { SHAPES, type ShapeName } from '../../core/design/motif/shapes.ts';
import { readMotifText } from '../../core/design/motif/text/read-motif-text.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { rational } from '../../core/exact/rational.ts';
import { MAKING_NAMES, pieceName } from '../../wording/motif-words.ts';
import { dimensionsOf } from './hand/dimensions.ts';
import { laidMotif, piecesAt } from './hand/motif-places.ts';
import { alignPieces, movePieces, spreadPieces } from './hand/move-pieces.ts';
import { snapTo } from './hand/snap.ts';
import { squareEdge } from './hand/square-edge.ts';
import {
  changePiece,
  duplicatePiece,
  partners,
  pieceInBox,
  setMotif,
  usualMaking,
  withNumber,
  withoutPiece,
} from './motif-edits.ts';
import { choosePiece, togglePiece, useMotif } from './motif-store.ts';
import { copyPieces, withPasted } from './paste-pieces.ts';

const EMPTY = designFromStart('motif', 'empty');
const SCALES = designFromStart('motif', 'fish-scale');

function withPieces(design: MotifDesign, ...kinds: (ShapeName | 'line')[]): MotifDesign {
  return kinds.reduce((made, kind) => {
    const { construction } = made;
    const pieces = [...construction.pieces, pieceInBox(construction, kind, 'B')];
    return setMotif({ pieces })(made) as MotifDesign;
  }, design);
}

describe('pieces', () => {
  it('of every shape are sensible as they are added, in the middle of the box, with ids of their own', () => {
    const design = withPieces(EMPTY, ...(Object.keys(SHAPES) as ShapeName[]), 'line');
    const { pieces } = design.construction;
    expect(new Set(pieces.map(({ id }) => id)).size).toBe(pieces.length);
    for (const piece of pieces) expect([piece.x, piece.y]).toEqual(['4', '4']);
    expect(compileUnit(design).content.marks).toHaveLength(pieces.length);
  });

  it('lie in the middle of any box', () => {
    const at = (width: string) => {
      const box = { width, height: '5' };
      const { x, y } = pieceInBox({ ...EMPTY.construction, box }, 'disc', 'B');
      return [x, y];
    };
    expect(at('8')).toEqual(['4', '5/2']);
    expect(at('7/3')).toEqual(['7/6', '5/2']);
    expect(at('40 mm')).toEqual(['(40)/2 mm', '5/2']);
    const design = setMotif({ box: { width: '40 mm', height: '7/3' } })(EMPTY) as MotifDesign;
    expect(laidMotif(withPieces(design, 'disc')).pieces[0]!.at.x).toBeCloseTo(20, 9);
  });

  it('are changed, named and doubled one at a time', () => {
    const changed = changePiece(2, (piece) => ({ ...piece, name: 'Rim', x: '1' }))(SCALES) as MotifDesign;
    expect(changed.construction.pieces.map(({ x }) => x)).toEqual(['4', '1', '4']);
    expect(changed.construction.pieces.map(pieceName)).toEqual(['Disc 1', 'Rim', 'Disc 3']);
    const { pieces, made } = duplicatePiece(changed.construction, 2);
    expect(pieces.map(({ id }) => id)).toEqual([1, 2, 4, 3]);
    expect(made).toBe(4);
  });

  it('that are taken away are taken out of what was made with them', () => {
    const chevron = designFromStart('motif', 'chevron').construction.pieces;
    const [left] = withoutPiece(chevron, 2);
    expect(left!.made).toEqual([]);
    expect(withoutPiece(chevron, 9)).toEqual(chevron);
  });

  it('may be made with those that are not made with them', () => {
    const { pieces } = designFromStart('motif', 'chevron').construction;
    expect(partners(pieces, 1).map(({ id }) => id)).toEqual([2]);
    expect(partners(pieces, 2).map(({ id }) => id)).toEqual([]);
  });

  it('are made further in every way as it is usual', () => {
    const design = withPieces(EMPTY, 'disc', 'rectangle');
    const { construction } = design;
    for (const kind of Object.keys(MAKING_NAMES) as (keyof typeof MAKING_NAMES)[]) {
      const making = usualMaking(kind, construction, partners(construction.pieces, 2), 'O');
      const made = changePiece(2, (piece) => ({ ...piece, made: [making] }))(design);
      expect(() => compileUnit(made), kind).not.toThrow();
    }
  });

  it('keep their kind as their numbers change', () => {
    expect(withNumber({ kind: 'disc', across: '4' }, 'across', '5 mm')).toEqual({
      kind: 'disc',
      across: '5 mm',
    });
    const [line] = designFromStart('motif', 'wave').construction.pieces;
    expect(withNumber(line!.shape, 'across', '5')).toBe(line!.shape);
  });
});

describe('several pieces', () => {
  const three = setMotif({
    pieces: withPieces(EMPTY, 'disc', 'rectangle', 'disc').construction.pieces.map((piece, at) => ({
      ...piece,
      x: ['1', '2 + 1/3', '7'][at]!,
      y: ['1', '2', '3'][at]!,
    })),
  })(EMPTY) as MotifDesign;
  const { pieces } = three.construction;
  const motif = laidMotif(three);
  const places = (of: readonly { x: string; y: string }[], axis: 'x' | 'y') => of.map((piece) => piece[axis]);

  it('are moved by the same way; locked ones stay, and a number that stays is as it was typed', () => {
    const by = { x: rational(1, 2), y: rational(0) };
    const locked = pieces.map((piece) => ({ ...piece, locked: piece.id === 3 }));
    const moved = movePieces(locked, [1, 2, 3], by, motif.scale);
    expect(places(moved, 'x')).toEqual(['3/2', '17/6', '7']);
    expect(places(moved, 'y')).toEqual(['1', '2', '3']);
  });

  it('are brought in line with the last, by sides and middles', () => {
    // Discs are 4 across, the rectangle 4 × 2.
    expect(places(alignPieces(motif, pieces, [1, 2, 3], 'left'), 'x')).toEqual(['7', '7', '7']);
    expect(places(alignPieces(motif, pieces, [2, 1], 'top'), 'y')).toEqual(['1', '2', '3']);
    expect(places(alignPieces(motif, pieces, [2, 1], 'bottom'), 'y')).toEqual(['1', '0', '3']);
    expect(places(alignPieces(motif, pieces, [3, 2], 'middle'), 'y')).toEqual(['1', '2', '2']);
  });

  it('are spread evenly between the outermost', () => {
    expect(places(spreadPieces(motif, pieces, [1, 2, 3], 'x'), 'x')).toEqual(['1', '4', '7']);
    expect(places(spreadPieces(motif, pieces, [3, 1, 2], 'y'), 'y')).toEqual(['1', '2', '3']);
  });

  it('of a group are chosen together', () => {
    const grouped = pieces.map((piece) => ({ ...piece, group: piece.id === 2 ? null : 'Ends' }));
    choosePiece(grouped, 1);
    expect(useMotif.getState().chosen).toEqual([3, 1]);
    togglePiece(grouped, 2);
    expect(useMotif.getState().chosen).toEqual([3, 1, 2]);
    togglePiece(grouped, 3);
    expect(useMotif.getState().chosen).toEqual([2]);
    choosePiece(grouped, undefined);
    expect(useMotif.getState().chosen).toEqual([]);
  });

  it('are copied with what they are made with, and pasted under ids and shades of their own', () => {
    const chevron = designFromStart('motif', 'chevron').construction;
    const text = copyPieces(chevron.pieces, [1]);
    expect(text.split('\n')).toHaveLength(2);
    const { design, ids } = withPasted(SCALES, readMotifText(text).motif);
    expect(ids).toEqual([4, 5]);
    expect(design.construction.pieces.at(-2)!.made).toEqual([{ kind: 'cut', with: [5] }]);
    expect(design.shades.map(({ key }) => key)).toEqual([...SCALES.shades.map(({ key }) => key), 'G']);
    expect(() => compileUnit(design)).not.toThrow();
  });
});

describe('numbers on the cloth', () => {
  const view = {
    toView: ({ x, y }: { x: number; y: number }) => ({ x: 10 * x, y: -10 * y }),
    toCloth: (place: { x: number; y: number }) => place,
    perMillimetre: 10,
  };
  const numbersOf = (making?: Making, kind: ShapeName = 'rectangle') => {
    const design = withPieces(EMPTY, kind);
    const made = making === undefined ? [] : [making];
    const motif = laidMotif(changePiece(1, (piece) => ({ ...piece, made }))(design) as MotifDesign);
    return dimensionsOf(motif, motif.pieces[0]!, view);
  };

  it('are as long as they say: 4 steps of 5 mm are 20 mm', () => {
    const [width, height, x, y] = numbersOf();
    expect([width!.label, width!.to.x - width!.from.x]).toEqual(['Width', 200]);
    expect([height!.label, height!.to.y - height!.from.y]).toEqual(['Height', 100]);
    expect([x!.label, x!.to.x - x!.from.x]).toEqual(['Place, across', 200]);
    expect([y!.label, y!.from.y - y!.to.y]).toEqual(['Place, up', 200]);
  });

  it('are those of radii, copies, bands and corners too', () => {
    const lengths = (making?: Making, kind?: ShapeName) =>
      numbersOf(making, kind).map(({ label, from, to }) => [
        label,
        Math.round(Math.hypot(to.x - from.x, to.y - from.y)),
      ]);
    expect(lengths(undefined, 'star')[0]).toEqual(['Outer radius', 100]);
    expect(lengths({ kind: 'copies', count: 3, x: '2', y: '0' }).slice(4)).toEqual([
      ['1: copies apart, across', 100],
    ]);
    expect(lengths({ kind: 'rounded', radius: '1/2' }).slice(4)).toEqual([['1: radius', 25]]);
    const bands = [
      { width: '1/2', shade: 'B' },
      { width: '1/4', shade: null },
    ];
    expect(lengths({ kind: 'bands', side: 'outward', corner: 'sharp', bands }).slice(4)).toEqual([
      ['1: band 1', 25],
      ['1: band 2', 13],
    ]);
  });
});

describe('numbers of bands', () => {
  it('stand where a ray from the middle meets the edge squarely, as wide as they say', () => {
    const made: Making[] = [
      { kind: 'bands', side: 'outward', corner: 'sharp', bands: [{ width: '1/2', shade: 'B' }] },
    ];
    const reachOf = (change: Partial<Piece>, kind: ShapeName = 'rectangle') => {
      const design = withPieces(EMPTY, kind);
      const motif = laidMotif(changePiece(1, (piece) => ({ ...piece, ...change }))(design) as MotifDesign);
      return squareEdge(motif.pieces[0]!);
    };
    expect(reachOf({ made })!.reach).toBeCloseTo(12.5, 1);
    expect(reachOf({ made, turn: '30' })).toMatchObject({ x: expect.closeTo(Math.cos(Math.PI / 6), 9) });
    expect(reachOf({ made, turn: '30' })!.reach).toBeCloseTo(12.5, 1);
    expect(reachOf({}, 'disc')!.reach).toBeCloseTo(10, 1);
    // A hexagon with a corner at the top has a side at its right: √3/2 of its radius of 10 mm away.
    expect(reachOf({}, 'polygon')!.reach).toBeCloseTo(5 * Math.sqrt(3), 1);
    expect(reachOf({}, 'star')).toBeUndefined();
  });
});

describe('the hand', () => {
  const motif = laidMotif(SCALES);

  it('finds what lies under it, the uppermost first, in other repeats too', () => {
    const under = (x: number, y: number) => piecesAt(motif, { x, y }).map(({ piece }) => piece.id);
    expect(under(20, 10)).toEqual([3, 2, 1]);
    expect(under(20 + 40 * 7, 10 - 40 * 3)).toEqual([3, 2, 1]);
    // The next row lies half a box to the right.
    expect(under(40, 30)).toEqual([3, 2, 1]);
    expect(under(20, 10 + 19)).toContain(1);
  });

  it('is held by the grid, by edges, the middle and other pieces, and by nothing with Alt', () => {
    const [piece] = motif.pieces;
    const at = (value: number, perMillimetre: number, free = false) =>
      snapTo(value, 'x', motif, piece!, { perMillimetre, free });
    expect(at(12, 1)).toEqual({ text: '2', on: undefined });
    expect(at(12.6, 4)).toEqual({ text: '5/2', on: undefined });
    expect(at(11.2, 10)).toEqual({ text: '9/4', on: undefined });
    expect(at(0.4, 10)).toEqual({ text: '0', on: 'on the edge' });
    expect(at(39.7, 10)).toEqual({ text: '8', on: 'on the edge' });
    expect(at(20.3, 10).text).toBe('4');
    expect(at(20.3, 10, true)).toEqual({ text: '203/50', on: undefined });
  });

  it('is held in line with another piece where that lies on no line of the grid', () => {
    const moved = changePiece(3, (piece) => ({ ...piece, x: '13/6' }))(SCALES) as MotifDesign;
    const laid = laidMotif(moved);
    const snap = snapTo(10.9, 'x', laid, laid.pieces[0]!, { perMillimetre: 10, free: false });
    expect(snap).toEqual({ text: '13/6', on: 'in line with piece 3' });
  });
});
