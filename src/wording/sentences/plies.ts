import type { Sentences } from '../sentence.ts';

/** Designs over each other. */
export const PLIES = {
  'plies/count': ({ count, most }) => `One to ${most} plies lie over each other; these are ${count}.`,
  'plies/never': ({ ply, axis }) =>
    `Ply ${ply} never comes together with the lowest: ${SIDES[String(axis)]} are in no ratio of whole numbers. Where another scale or angle closes, Check offers it.`,
  'plies/no-repeat': ({ ply }) =>
    `Ply ${ply} has no upright repeat by itself. Open it and take other numbers.`,
  'plies/too-long': ({ ply, axis }) =>
    `With ply ${ply} the repeat is more than a million times as ${axis === 'across' ? 'wide' : 'high'} as one of the plies. Take a scale of simpler fractions.`,
  'plies/too-many': ({ across, down, width, height }) =>
    `All come together only in ${width} × ${height} mm, which holds a ply ${across} × ${down} times: too much to be laid or turned as one. Take a whole number to one of the lowest, or a scale of simpler fractions.`,
  'ply/blend': ({ text, known }) => `There is no blend “${text}”. Take one of: ${known}.`,
  'ply/clip': () =>
    'A ply shows only inside another one of the same design: take one that is there, and not itself.',
  'ply/depth': () =>
    'Plies lie within plies to a depth of four, and no further. Lay over this design what the inner ones show.',
  'ply/itself': () => 'A design is no ply of itself. Duplicate it first, and lay the copy over it.',
  'ply/newer': ({ ply, version, known }) =>
    `The design in ply ${ply} is of version ${version}, made by a newer Vetro; this one knows version ${known}. Update Vetro, or take another design into the ply.`,
  'ply/pictures': () =>
    'The design in a ply carries pictures of its own. They lie in “pictures” of the whole document.',
  'ply/shade': () => 'One of its shades has no shade of this design. Say in “shades” which one it takes.',
  'ply/shift': ({ text }) =>
    `A shift is written as “6mm,4mm”, “1/2,1/2 repeats”, “2,3 steps” or “gaps”; got “${text}”.`,
  'ply/steps': () => 'This ply has neither threads nor steps to be shifted by. Use lengths, or its repeats.',
  'ply/two': () =>
    'Plies take a design beneath, and one over it or the texture of a weave: --under, and --over or --texture.',
} satisfies Partial<Sentences>;

const SIDES: Readonly<Record<string, string>> = {
  across: 'their widths',
  down: 'their heights',
};
