import type { FormFace, TilingForm, Walk } from '../tiling-form.ts';

/** A polygon on each of some sides of a walk round a face: the walk's prefixes are where they stand. */
function around(walk: Walk, sides: number): readonly FormFace[] {
  const words = walk.split(' ');
  return words.map((on, at) => ({ at: words.slice(0, at).join(' '), on: Number(on), sides }));
}

const HEXAGON = '0 4 8 12 16 20';

/**
 * The tilings by regular polygons of side 1 with all vertices alike: exactly eleven, each named by the faces round a
 * vertex.
 * Source: B. Grünbaum, G. C. Shephard, Tilings and Patterns, 1987, ch. 2. The walks are our own.
 */
export const ARCHIMEDEAN = {
  '3.3.3.3.3.3': {
    lattice: ['0', '4'],
    faces: [
      { at: '', first: 0, sides: 3 },
      { at: '0', first: 4, sides: 3 },
    ],
  },
  '4.4.4.4': { lattice: ['0', '6'], faces: [{ at: '', first: 0, sides: 4 }] },
  '6.6.6': { lattice: ['0 4', '4 8'], faces: [{ at: '', first: 0, sides: 6 }] },
  '3.3.3.3.6': {
    lattice: ['0 0 4', '4 4 8'],
    faces: [
      { at: '', first: 0, sides: 6 },
      ...around(HEXAGON, 3),
      { at: '0', first: 16, sides: 3 },
      { at: '0 4 8 12', first: 4, sides: 3 },
    ],
  },
  '3.3.3.4.4': {
    lattice: ['0', '6 4'],
    faces: [
      { at: '', first: 0, sides: 4 },
      { at: '6', first: 0, sides: 3 },
      { at: '6 0', first: 4, sides: 3 },
    ],
  },
  '3.3.4.3.4': {
    lattice: ['23 1', '5 7'],
    faces: [{ at: '', first: 23, sides: 4 }, { at: '23', first: 19, sides: 4 }, ...around('23 5 11 17', 3)],
  },
  '3.4.6.4': {
    lattice: ['0 4 2', '4 8 6'],
    faces: [
      { at: '', first: 0, sides: 6 },
      { at: '0 4', on: 8, sides: 4 },
      { at: '0 4 8', on: 12, sides: 4 },
      { at: '0 4 8 12', on: 16, sides: 4 },
      { at: '0 4 8', first: 2, sides: 3 },
      { at: '0 4 8 12', first: 6, sides: 3 },
    ],
  },
  '3.6.3.6': {
    lattice: ['0 0', '4 4'],
    faces: [
      { at: '', first: 0, sides: 6 },
      { at: '0', on: 4, sides: 3 },
      { at: '0 4', on: 8, sides: 3 },
    ],
  },
  '3.12.12': {
    lattice: ['20 22 0 2 4', '0 2 4 6 8'],
    faces: [
      { at: '', first: 0, sides: 12 },
      { at: '', on: 0, sides: 3 },
      { at: '0 2', on: 4, sides: 3 },
    ],
  },
  '4.6.12': {
    lattice: ['20 22 0 2 4 0', '0 2 4 6 8 4'],
    faces: [
      { at: '', first: 0, sides: 12 },
      { at: '0 2 4', on: 6, sides: 4 },
      { at: '0 2 4 6 8', on: 10, sides: 4 },
      { at: '0 2 4 6 8 10 12', on: 14, sides: 4 },
      { at: '', on: 0, sides: 6 },
      { at: '0 2', on: 4, sides: 6 },
    ],
  },
  '4.8.8': {
    lattice: ['21 0 3', '3 6 9'],
    faces: [
      { at: '', first: 0, sides: 8 },
      { at: '0', on: 3, sides: 4 },
    ],
  },
} as const satisfies Readonly<Record<string, TilingForm>>;

export type Archimedean = keyof typeof ARCHIMEDEAN;
