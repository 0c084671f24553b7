import { describe, expect, it } from 'vitest';
import { compile } from '../../core/design/compile-design.ts';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import { SHAPES, type ShapeName } from '../../core/design/motif/shapes.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { MAKING_NAMES, pieceName } from '../../wording/motif-words.ts';
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
import { laidMotif, piecesAt } from './motif-places.ts';
import { snapTo } from './snap.ts';

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
    expect(compile(design).content.marks).toHaveLength(pieces.length);
  });

  it('lie in the middle of any box', () => {
    const at = (width: string) => {
      const box = { width, height: '5' };
      const { x, y } = pieceInBox({ ...EMPTY.construction, box }, 'disc', 'B');
      return [x, y];
    };
    expect(at('8')).toEqual(['4', '5/2']);
    expect(at('7/3')).toEqual(['(7/3)/2', '5/2']);
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
      expect(() => compile(made), kind).not.toThrow();
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
