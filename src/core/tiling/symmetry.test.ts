import { describe, expect, it } from 'vitest';
import { pointsIn, reducedLattice, spanOf } from '../exact/lattice.ts';
import { addPoints, direction, type Point, scalePoint } from '../exact/plane.ts';
import { rational } from '../exact/rational.ts';
import { surd } from '../exact/surd.ts';
import { surdText } from '../exact/surd-text.ts';
import { ARCHIMEDEAN } from './forms/archimedean.ts';
import { basket, bricks, hexagons, octagons, rhombus, triangles, twoSquares } from './forms/families.ts';
import { TWO_KINDS } from './forms/two-kinds.ts';
import { keptOneOf, planeSymmetry } from './symmetry.ts';
import { buildTiling, type Tiling, type TilingForm, turnTiling } from './tiling-form.ts';

const half = rational(1, 2);
const third = rational(1, 3);

function alike(form: TilingForm): string | undefined {
  return planeSymmetry(buildTiling(form), () => '')?.group;
}

/** Unit squares in some shades, rows from below, as a cell that repeats. */
function squares(rows: readonly string[]): { tiling: Tiling; kindOf: (face: number) => string } {
  const width = rows[0]!.length;
  const at = (x: number, y: number): Point => ({ x: surd(x), y: surd(y) });
  const cells = rows.flatMap((row, y) => [...row].map((kind, x) => ({ kind, x, y })));
  return {
    tiling: {
      lattice: [at(width, 0), at(0, rows.length)],
      faces: cells.map(({ x, y }) => [at(x, y), at(x + 1, y), at(x + 1, y + 1), at(x, y + 1)]),
    },
    kindOf: (face) => cells[face]!.kind,
  };
}

describe('planeSymmetry', () => {
  it.each<[string, TilingForm, string]>([
    ['diamonds', rhombus(rational(3), rational(4)), 'c2mm'],
    ['bricks stepped by a half', bricks(half, half), 'c2mm'],
    ['bricks stepped by a third', bricks(half, third), 'p2'],
    ['bricks laid straight', bricks(half, rational(0)), 'p2mm'],
    ['basket bricks', basket(2), 'p4gm'],
    ['two squares', twoSquares(half), 'p4'],
    ['octagons of another slant', octagons(third), 'p4mm'],
    ['isosceles triangles', triangles(rational(2), half), 'c2mm'],
    ['leaning triangles', triangles(rational(1), third), 'p2'],
    ['stretched hexagons', hexagons(rational(1), half), 'c2mm'],
  ])('of %s', (_, form, group) => {
    expect(alike(form)).toBe(group);
  });

  it.each([
    ['AB|CD', 'p2mm'],
    ['ABC', 'pm'],
    ['ABC|DEF|GHI', 'p1'],
    ['ABC|ADE|ACB|AED', 'pg'],
    ['ABC|ACB', 'p2mg'],
    ['ABCD|CDAB', 'cm'],
    ['AB|BA', 'p4mm'],
    ['AAAA|AAAA|AAAA', 'p4mm'],
    ['ABAB|CDCD', 'p2mm'],
    ['AAB|AAB', 'p2mm'],
    ['BBBBBB|BABBBB|BBBBBB|BBBBAB|BBBBBB|BBABBB|BBBBBB|BBBBBA', 'p2gg'],
  ])('of squares in shades %s is %s, whatever cell is given', (rows, group) => {
    const { tiling, kindOf } = squares(rows.split('|'));
    expect(planeSymmetry(tiling, kindOf)?.group).toBe(group);
    expect(planeSymmetry(turnTiling(tiling, 5), kindOf)?.group).toBe(group);
  });

  it('of three turns only, with and without mirrors', () => {
    const alternate = (form: TilingForm, from: number) =>
      planeSymmetry(buildTiling(form), (face) => (face >= from && face < from + 6 ? face % 2 : 'other'))
        ?.group;
    // Six triangles round a point in two shades in turn: mirrors run through them, along the lattice's shortest vectors.
    expect(alternate(TWO_KINDS['3.3.3.3.3.3 + 3.3.4.3.4'], 0)).toBe('p31m');
    // Six triangles round a hexagon in a tiling that has a hand.
    expect(alternate(ARCHIMEDEAN['3.3.3.3.6'], 1)).toBe('p3');
  });

  it('is kept by shades as often as they are carried onto each other', () => {
    const plain = squares(['A']);
    const kept = (rows: readonly string[]) => {
      const coloured = squares(rows);
      return keptOneOf(
        planeSymmetry(plain.tiling, plain.kindOf)!,
        planeSymmetry(coloured.tiling, coloured.kindOf)!,
      );
    };
    expect(kept(['AA', 'AA'])).toBe(1);
    // Two shades change places, or not.
    expect(kept(['AB', 'BA'])).toBe(2);
    // Four change places as the corners of a square do: in eight ways.
    expect(kept(['AB', 'CD'])).toBe(8);
  });

  it('is not looked for in very large cells', () => {
    const { tiling, kindOf } = squares(Array.from({ length: 9 }, () => 'ABCDEFGHI'));
    expect(planeSymmetry(tiling, kindOf)).toBeUndefined();
  });
});

describe('lattices', () => {
  it('are reduced to their shortest vectors', () => {
    const far = [direction(0), addPoints(scalePoint(direction(0), surd(7)), direction(4))] as const;
    const [a, b] = reducedLattice(far);
    expect([a, b].map(({ x, y }) => [surdText(x), surdText(y)])).toEqual([
      ['1', '0'],
      ['−1/2', '√3/2'],
    ]);
  });

  it('are spanned by fractions of others', () => {
    const square = [direction(0), direction(6)] as const;
    const finer = spanOf(square, [[half, half]]);
    expect(pointsIn(finer, square, 10)).toHaveLength(2);
    expect(pointsIn(spanOf(square, [[third, half]]), square, 10)).toHaveLength(6);
    expect(
      pointsIn(square, [scalePoint(direction(0), surd(3)), scalePoint(direction(6), surd(2))], 5),
    ).toBeUndefined();
  });
});
