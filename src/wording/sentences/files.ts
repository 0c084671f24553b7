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
  'collection/empty': () => 'A collection sheet needs at least one design.',
  'collection/scale': ({ text }) =>
    `“${text}” is no scale for a collection sheet. Write a part of true size from 1 to 1000 %, such as 50%.`,
  'collection/too-many': ({ most }) =>
    `A collection sheet holds at most ${most} designs. Make one for each range.`,
  'pack/words': ({ most }) => `The words for the pack are longer than ${most} characters.`,
  'job/broken': () =>
    'Something went wrong in Vetro while it was made. Send it again; if that fails too, send a smaller one.',
  'job/lost': ({ times }) => `Vetro ended ${times} times while it was made. Send it again, or a smaller one.`,
  'job/missing': () => 'That file is not on the list any more.',
  'job/made-again': () =>
    'The file was not whole any more. It is being made again; fetch it when it is done.',
  'job/not-kept': ({ days }) => `Files are kept for ${days} days. Send it again.`,
  'job/too-many': ({ most }) => `${most} files wait already. Try again when some of them are made.`,
  'job/under-way': () => 'That file is still being made. Stop it first.',
  'file/full': ({ name }) => `There is no room left to write ${name}. Make some, or write it elsewhere.`,
  'file/unwritable': ({ name }) => `“${name}” could not be written.`,
} satisfies Partial<Sentences>;
