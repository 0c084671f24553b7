import type { Sentences } from '../sentence.ts';

/** What may be wrong with options of the command line. */
export const COMMAND_LINE = {
  'start/tiling': () => 'Say one tiling: --config 4.8.8, --rhombus 3:4, or --from one of the start points.',
  'start/nothing': () => 'Give thread counts with --warp, or a start point with --from.',
  'start/weave': ({ ways }) =>
    `Say the structure in one way: --weave, --twill, --satin or --matrix. There were ${ways}.`,
  'start/no-bands': () => 'Give the bands with --bands, or a start point with --from.',
  'start/and-counts': ({ key }) => `Give either the start point ${key} or counts with --warp, not both.`,
  'start/seed': ({ text }) => `A seed is a whole number of up to nine digits, got “${text}”.`,
  'start/unknown': ({ key, known }) => `There is no start point “${key}”. There are: ${known}.`,
  'option/assignment': ({ text }) => `A number is set as “width=900mm”; got “${text}”.`,
  'option/idle': ({ option, why }) => `${option} would do nothing: ${why}. Leave it out.`,
  'option/needed': ({ option }) => `${option} is missing.`,
} satisfies Partial<Sentences>;
