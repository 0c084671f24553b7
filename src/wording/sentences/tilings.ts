import type { Sentences } from '../sentence.ts';
import { growthSentence } from '../tiling-words.ts';

/** What may be wrong with tilings, and patches that are grown. */
export const TILINGS = {
  'tiling/proportion': ({ text, most }) =>
    `A proportion must be above 0, at most ${most}, and a fraction of at most ${most}ths, got ${text}.`,
  'tiling/part': ({ text }) => `That must be a part of the whole, from 0 to 1, got ${text}.`,
  'tiling/between': ({ text, low, high }) => `That must lie between ${low} and ${high}, got ${text}.`,
  'tiling/diagonal': ({ text, most }) =>
    `A diagonal goes up and across by whole repeats, at most ${most} of each, such as 1/2; got ${text}.`,
  'tiling/level': ({ diagonal }) =>
    `With the diagonal ${diagonal} straightened, this tiling has no upright repeat. Take 0, or a tiling whose repeat is as high as wide.`,
  'tiling/shear': () =>
    'A tiling without an upright repeat cannot be slanted by a part of it. Turn it another way first.',
  'tiling/across': ({ measured }) =>
    measured === 'side'
      ? 'The length of its longest side is no sum of square roots. Give the width or the height of a face instead.'
      : `The width of that face across its ${measured} is no sum of square roots. Give its width or its height instead.`,
  'tiling/vanished': ({ by }) => `With an inset of ${by}, no face is left. Make it smaller.`,
  'growth/side': ({ face }) => `Face ${face} has no side to lie on.`,
  'growth/taken': ({ face }) => `Face ${face} would lie where there is a face already.`,
  'growth/overlap': ({ face }) => `Face ${face} would lie over another one.`,
  'growth/no-shift': () => growthSentence({ kind: 'no-shift' }),
  'growth/one-way': () => growthSentence({ kind: 'one-way' }),
  'growth/gaps': ({ open }) => growthSentence({ kind: 'gaps', open: Number(open) / 100 }),
  'tiling/ring': ({ text, before, behind }) =>
    `A ring lies between its neighbours, from ${behind} to ${before}, got ${text}.`,
  'tiling/ring-outside': ({ ring }) =>
    `Ring ${ring} does not lie inside the one before it in every face. Begin it further inside.`,
  'tiling/size': ({ text, most }) => `A side or a repeat is at most ${most} m long, got ${text}.`,
  'tiling/neighbours': () =>
    'Six shades do not keep the neighbours of this tiling apart. Colour it another way.',
  'tiling/turn': ({ degrees, turns }) =>
    `Turned by ${degrees}°, this tiling has no upright repeat. It has one at ${turns}.`,
  'tiling/no-repeat': () => 'This tiling has no upright repeat.',
  'tiling/faces': ({ most }) => `One repeat would have more than ${most} faces. Simplify its proportions.`,
  'tiling/too-large': ({ width, height, most }) =>
    `One repeat would be ${width} × ${height} mm; at most ${most} m is made. Make it smaller.`,
  'tiling/no-counts': () => 'A tiling has no thread counts. Send it as a picture, a drawing or a design.',
  'tiling/none': () => 'Only a tiling has faces to list.',
  'tiling/degrees': ({ text }) => `A tiling is turned by whole steps of 15°, from 0 to 345, got ${text}.`,
  'tiling/unknown': ({ text, known }) => `“${text}” is no tiling here. There are: ${known}.`,
} satisfies Partial<Sentences>;
