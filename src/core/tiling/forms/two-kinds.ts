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

/** Triangles with a hexagon in the place of six wherever the lattice has a point, the lattice in steps to the right and at 60°. */
function hexagonsAmongTriangles(one: Steps, other: Steps): TilingForm {
  const cells = one[0] * other[1] - one[1] * other[0];
  // The lattice's points are those at which both of these are whole.
  const across = ([i, j]: Steps) => i * other[1] - j * other[0];
  const along = ([i, j]: Steps) => one[0] * j - one[1] * i;
  const isMiddle = (place: Steps) => across(place) % cells === 0 && along(place) % cells === 0;
  const inCell = (part: number) => part >= 0 && part < cells;
  const side = Array.from({ length: 2 * cells + 1 }, (_, at) => at - cells);
  const places = side
    .flatMap((j) => side.map((i): Steps => [i, j]))
    .filter((place) => inCell(across(place)) && inCell(along(place)));
  const free = (corners: readonly Steps[]) => !corners.some(isMiddle);
  const triangles = places.flatMap(([i, j]): readonly FormFace[] => [
    ...(free([
      [i, j],
      [i + 1, j],
      [i, j + 1],
    ])
      ? [{ at: walkTo([i, j]), first: 0, sides: 3 }]
      : []),
    ...(free([
      [i, j],
      [i, j + 1],
      [i - 1, j + 1],
    ])
      ? [{ at: walkTo([i, j]), first: 4, sides: 3 }]
      : []),
  ]);
  return {
    lattice: [walkTo(one), walkTo(other)],
    faces: [{ at: '16', first: 0, sides: 6 }, ...triangles],
  };
}

type Steps = readonly [right: number, at60: number];

function walkTo([i, j]: Steps): Walk {
  const steps = (count: number, direction: number) =>
    Array.from({ length: Math.abs(count) }, () => (count > 0 ? direction : direction + 12));
  return then('', ...steps(i, 0), ...steps(j, 4));
}

const { faces: framed, lattice: framedLattice } = ARCHIMEDEAN['3.4.6.4'];
const { faces: twelves, lattice: twelvesLattice } = ARCHIMEDEAN['4.6.12'];
const { faces: stars, lattice: starsLattice } = ARCHIMEDEAN['3.12.12'];

/** Where a side of a dodecagon begins that stands on its first. */
function cornerOf12(side: number): Walk {
  return then('', ...Array.from({ length: side }, (_, at) => 2 * at));
}

/** A polygon beyond a side of that dodecagon. */
function outside(side: number, sides: number): FormFace {
  return { at: cornerOf12(side), on: 2 * side, sides };
}

/**
 * The tilings by regular polygons with two kinds of vertices, exactly twenty, by those kinds. Many are tilings of one
 * kind whose hexagons or dodecagons are taken apart.
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
  '3.3.3.3.3.3 + 3.3.3.3.6, with mirrors': hexagonsAmongTriangles([3, 0], [0, 3]),
  '3.3.3.3.3.3 + 3.3.3.3.6, without mirrors': hexagonsAmongTriangles([3, 1], [-1, 4]),
  '3.3.3.3.6 + 3.3.6.6': hexagonsAmongTriangles([3, -2], [1, 1]),
  '3.3.6.6 + 3.6.3.6': {
    lattice: ['0 0', '4 8'],
    faces: [
      { at: '', first: 0, sides: 6 },
      { at: '0', first: 0, sides: 3 },
      { at: '0 4', first: 4, sides: 3 },
    ],
  },
  '3.12.12 + 3.4.3.12': {
    lattice: ['20 22 0 2 4', '2 4 6 8 10'],
    faces: [
      { at: '', first: 0, sides: 12 },
      { at: '0 2 4 6 8', first: 0, sides: 4 },
      { at: '0 2 4 6', first: 4, sides: 3 },
      { at: '0 2 4 6 8 10', first: 22, sides: 3 },
      { at: '0 2 4 6 8 0', first: 2, sides: 3 },
      { at: '0 2 4 6 8 6', first: 0, sides: 3 },
    ],
  },
  '3.4.6.4 + 4.6.12': {
    lattice: ['2 4 6 8 10 4 8', '6 8 10 12 14 8 12'],
    faces: [
      { at: '', first: 0, sides: 12 },
      ...[0, 2, 4].map((side) => outside(side, 6)),
      ...[1, 3, 5, 7, 9, 11].map((side) => outside(side, 4)),
      ...[1, 3].map((side) => ({
        at: then(cornerOf12(side + 1), 2 * side + 18),
        first: 2 * side + 12,
        sides: 3,
      })),
    ],
  },
  '3.3.3.4.4 + 3.3.4.3.4, oblong cell': {
    lattice: ['1 23', '5 5 7 7'],
    faces: [
      ...[19, 5].map((first) => ({ at: '', first, sides: 4 })),
      ...[1, 11, 15].map((first) => ({ at: '', first, sides: 3 })),
      { at: '1', first: 5, sides: 3 },
      { at: '1 5', first: 5, sides: 3 },
      { at: '15', first: 13, sides: 4 },
      { at: '15', first: 19, sides: 3 },
      { at: '19', first: 15, sides: 3 },
      { at: '5', first: 1, sides: 3 },
      { at: '5', first: 5, sides: 4 },
    ],
  },
  '3.3.3.4.4 + 3.3.4.3.4, square cell': {
    lattice: ['21 23 1 3', '3 5 7 9'],
    faces: [
      ...[21, 15].map((first) => ({ at: '', first, sides: 4 })),
      ...[3, 7, 11].map((first) => ({ at: '', first, sides: 3 })),
      ...[15, 19, 23].map((first) => ({ at: '21', first, sides: 3 })),
      { at: '15', first: 7, sides: 4 },
      ...[13, 17].map((first) => ({ at: '15', first, sides: 3 })),
      { at: '11', first: 9, sides: 3 },
      { at: '3', first: 5, sides: 4 },
      ...[21, 1].map((first) => ({ at: '3', first, sides: 3 })),
      { at: '3 1', first: 3, sides: 4 },
      { at: '7', first: 9, sides: 4 },
      { at: '7', first: 5, sides: 3 },
    ],
  },
} as const satisfies Readonly<Record<string, TilingForm>>;

export type TwoKinds = keyof typeof TWO_KINDS;
