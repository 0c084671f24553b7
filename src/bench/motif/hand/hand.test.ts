import { describe, expect, it } from 'vitest';
import { disc, motifOf } from '../../../../tests/motif-of.ts';
import { laidMotif } from './motif-places.ts';
import { piecesInside } from './pick-framed.ts';
import { onGrid } from './snap.ts';
import { standOf } from './stand.ts';

const near = ({ x, y }: { x: number; y: number }) => [
  Math.round(x * 1e6) / 1e6 + 0,
  Math.round(y * 1e6) / 1e6 + 0,
];

describe('how a piece stands', () => {
  const piece = (turn: string, mirrored = false) =>
    motifOf([{ shape: disc('1'), turn, mirrored }]).construction.pieces[0]!;

  it.each([
    ['0', false, [1, 2]],
    ['90', false, [-2, 1]],
    ['0', true, [-1, 2]],
    // Mirrored before it is turned.
    ['90', true, [-2, -1]],
  ] as const)('turned by %s, mirrored: %s', (turn, mirrored, expected) => {
    const { onCloth, inShape } = standOf(piece(turn, mirrored));
    expect(near(onCloth({ x: 1, y: 2 }))).toEqual(expected);
    expect(near(inShape(onCloth({ x: 1, y: 2 })))).toEqual([1, 2]);
  });

  it('goes back from any angle', () => {
    const { onCloth, inShape } = standOf(piece('100/7', true));
    expect(near(inShape(onCloth({ x: 3, y: -1 })))).toEqual([3, -1]);
  });
});

describe('a rectangle on the cloth', () => {
  const motif = laidMotif(
    motifOf([
      { shape: disc('2'), x: '1', y: '1' },
      { shape: disc('2'), x: '6', y: '6' },
    ]),
  );
  const inside = (left: number, bottom: number, right: number, top: number) =>
    piecesInside(motif, { left, bottom, right, top }).map(({ piece }) => piece.id);

  it('holds the pieces that lie in it whole', () => {
    expect(inside(-1, -1, 11, 11)).toEqual([1]);
    expect(inside(-1, -1, 36, 36)).toEqual([1, 2]);
    expect(inside(4, 4, 11, 11)).toEqual([]);
  });

  it('holds them in whichever box it is drawn', () => {
    expect(inside(79, -41, 91, -29)).toEqual([1]);
  });
});

describe('a length that is dragged', () => {
  it('is of whole steps, halves and quarters as they are seen, or hundredths', () => {
    const at = (perMillimetre: number, free = false) => onGrid(7.3, 5, { perMillimetre, free });
    expect([at(2), at(4), at(10), at(10, true)]).toEqual(['1', '3/2', '3/2', '73/50']);
  });
});
