import type { FormFace, TilingForm, Walk } from '../tiling-form.ts';
import { ARCHIMEDEAN } from './archimedean.ts';
import { rows } from './families.ts';

/** A walk that goes on. */
function then(walk: Walk, ...more: readonly number[]): Walk {
  return [walk, ...more.map((step) => ((step % 24) + 24) % 24)].filter((part) => part !== '').join(' ');
}

/** A hexagon in six triangles. */
function sixTriangles(at: Walk, first: number): readonly FormFace[] {
  return [0, 1, 2, 3, 4, 5].map((side) => ({
    at: then(at, first + 4),
    first: first + 16 + 4 * side,
    sides: 3,
  }));
}

/** A dodecagon as a hexagon within six squares and six triangles; `squares` is the first side that has a square, 0 or 1. */
function rosette(at: Walk, first: number, squares: 0 | 1): readonly FormFace[] {
  const sides = Array.from({ length: 12 }, (_, side) => first + 2 * side);
  const corner = (side: number) => then(at, ...sides.slice(0, side));
  return [
    ...sides.map((direction, side) => ({
      at: corner(side),
      first: direction,
      sides: side % 2 === squares ? 4 : 3,
    })),
    { at: then(corner(squares), sides[squares]! + 6), first: sides[squares]!, sides: 6 },
  ];
}

/** Rows of hexagons that touch at their corners, triangles between, and a row of squares; the next row moved on or not. */
function hexagonRows(moved: boolean): TilingForm {
  return {
    lattice: ['0 0', moved ? '4 8 6 0' : '4 8 6'],
    faces: [
      { at: '', first: 0, sides: 6 },
      { at: '0', first: 0, sides: 3 },
      { at: '0 4', first: 4, sides: 3 },
      { at: '0 4 8 12', first: 0, sides: 4 },
      { at: '0 4 8', first: 0, sides: 4 },
    ],
  };
}

const { faces: framed, lattice: framedLattice } = ARCHIMEDEAN['3.4.6.4'];
const { faces: twelves, lattice: twelvesLattice } = ARCHIMEDEAN['4.6.12'];
const { faces: stars, lattice: starsLattice } = ARCHIMEDEAN['3.12.12'];

/**
 * Tilings by regular polygons with two kinds of vertices, twelve of the twenty that there are, by those kinds. Most are
 * tilings of one kind whose hexagons or dodecagons are taken apart.
 * Source: B. Grünbaum, G. C. Shephard, Tilings and Patterns, 1987, ch. 2; from memory. The walks are our own.
 */
export const TWO_KINDS = {
  '3.3.3.4.4 + 4.4.4.4, two rows': rows(2, 1),
  '3.3.3.4.4 + 4.4.4.4, three rows': rows(3, 1),
  '3.3.3.3.3.3 + 3.3.3.4.4, two rows': rows(1, 2),
  '3.3.3.3.3.3 + 3.3.3.4.4, three rows': rows(1, 3),
  '3.4.4.6 + 3.6.3.6, in line': hexagonRows(false),
  '3.4.4.6 + 3.6.3.6, moved': hexagonRows(true),
  '3.3.3.3.3.3 + 3.3.4.3.4': {
    lattice: framedLattice,
    faces: [...sixTriangles('', 0), ...framed.slice(1)],
  },
  '3.3.3.3.3.3 + 3.3.6.6': {
    lattice: ['0 4 4 8', '4 8 8 12'],
    faces: [...sixTriangles('', 0), { at: '0 4', first: 0, sides: 6 }, { at: '0 4 8', first: 4, sides: 6 }],
  },
  '3.3.3.3.3.3 + 3.3.4.12': {
    lattice: twelvesLattice,
    faces: [...twelves.slice(0, 4), ...sixTriangles('', 16), ...sixTriangles('0 2', 20)],
  },
  '3.3.4.3.4 + 3.4.6.4': {
    lattice: starsLattice,
    faces: [...rosette('', 0, 0), ...stars.slice(1)],
  },
  '3.3.3.4.4 + 3.4.6.4': {
    lattice: starsLattice,
    faces: [...rosette('', 0, 1), ...stars.slice(1)],
  },
  '3.4.4.6 + 3.4.6.4': {
    lattice: twelvesLattice,
    faces: [...rosette('', 0, 1), ...twelves.slice(1)],
  },
} as const satisfies Readonly<Record<string, TilingForm>>;

export type TwoKinds = keyof typeof TWO_KINDS;
