import type { Sentences } from '../sentence.ts';

/** Designs over each other. */
export const PLIES = {
  'plies/count': ({ count, most }) => `One to ${most} plies lie over each other; these are ${count}.`,
  'plies/lay': () =>
    'Plies lie straight: their boxes are set side by side, and turned, on the bench of each. Larger and smaller they may be.',
  'plies/never': ({ ply, axis }) =>
    `Ply ${ply} never comes together with the lowest: ${SIDES[String(axis)]} are in no ratio of whole numbers. Take another scale or angle.`,
  'plies/no-repeat': ({ ply }) =>
    `Ply ${ply} has no upright repeat by itself. Open it and take other numbers.`,
  'plies/too-long': ({ ply, axis }) =>
    `With ply ${ply} the repeat is more than a million times as ${axis === 'across' ? 'wide' : 'high'} as one of the plies. Take a scale of simpler fractions.`,
  'plies/too-many': ({ across, down }) =>
    `A ply that comes ${across} × ${down} times in a repeat does not come out in whole pixels, and is too much to be painted at once. Take another resolution, or a scale of simpler fractions.`,
} satisfies Partial<Sentences>;

const SIDES: Readonly<Record<string, string>> = {
  across: 'their widths',
  down: 'their heights',
};
