import type { Sentences } from '../sentence.ts';

/** What may be wrong with designs and other files. */
export const FILES = {
  'design/format': () => 'This is not a Vetro design.',
  'design/newer': ({ version, known }) =>
    `This design was made by a newer Vetro (version ${version}; this one knows ${known}). Update Vetro to open it.`,
  'design/version': ({ version }) => `This design’s version, “${version}”, is unknown.`,
  'design/json': () => 'This file is broken: it is not JSON.',
  'design/deep': ({ most }) => `This file is nested more than ${most} deep; no design is.`,
  'design/too-long': ({ length, most }) =>
    `This design is ${length} characters long; at most ${most} are read.`,
  'file/kind': ({ name, kinds }) => `“${name}” is of a kind that cannot be read here. Known kinds: ${kinds}.`,
  'file/kind-written': ({ name, kinds }) =>
    `“${name}” is of a kind that cannot be written here. Known kinds: ${kinds}.`,
  'file/too-large': ({ size, most }) => `That file has ${size} bytes; at most ${most} are read.`,
  'file/missing': ({ name }) => `There is no file “${name}”.`,
  'file/unwritable': ({ name }) => `“${name}” could not be written.`,
} satisfies Partial<Sentences>;
