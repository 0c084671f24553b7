import type { Sentences } from '../sentence.ts';

/** How boxes lie. */
export const LAYS = {
  'lay/boxes': ({ most }) =>
    `One repeat would hold more than ${most} boxes. Take ways of simpler fractions, such as halves and thirds.`,
  'lay/copied-fade': () =>
    'A ply has a fade or a picture that this lay cannot copy: lay that ply on its own bench.',
  'lay/count': ({ text, most }) => `So many repeats are above 0 and at most ${most}; got “${text}”.`,
  'lay/count-in': ({ text }) => `So many repeats in a length are written as “5 in 1m”; got “${text}”.`,
  'lay/crossings': ({ ends, picks, most }) =>
    `Laid so, one repeat has ${ends} × ${picks} threads; structures are looked at up to ${most} crossings.`,
  'lay/faces': ({ most }) =>
    `One repeat laid so would hold more than ${most} faces. Take a simpler slope, or a smaller repeat.`,
  'lay/gaps': () =>
    'Boxes set side by side so would overlap or leave gaps. One of the two ways has to lead to the next box, straight across or straight up.',
  'lay/no-repeat': () => 'Boxes set side by side so have no upright repeat. Take other numbers.',
  'lay/no-turn': () =>
    'Turned so, it never repeats upright. Take a slope from the list, or a repeat whose height and width are in a ratio of whole numbers.',
  'lay/parallel': () =>
    'The two ways lie along one line, so boxes would never fill the cloth. Change one of them.',
  'lay/part': ({ text }) => `A step is a part of the box above 0 and below 1, such as 1/2; got “${text}”.`,
  'lay/scale': ({ text, most }) =>
    `A design is scaled by more than 0, at most ${most} times larger or smaller; got “${text}”.`,
  'lay/sixty': () =>
    'Third and sixth turns need a lattice of 60°: the pieces of a motif, or a tiling whose repeat is √3 times as high as it is wide.',
  'lay/square': () =>
    'Quarter turns and mirrors in a diagonal need a square. Make it as high as it is wide, threads as dense each way.',
  'lay/unwoven': () =>
    'Laid so, threads change their shade inside the cloth: it can be printed, not woven. Files of threads need another lay, such as mirrored across or down.',
  'lay/turned-fade': () =>
    'A fade over the whole repeat cannot be turned with it. Let it go over its piece, or take the slope away.',
  'lay/vectors': ({ text }) => `Two ways are written as “3,1 0,4”: across and up, twice; got “${text}”.`,
} satisfies Partial<Sentences>;
