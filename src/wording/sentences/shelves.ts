import type { Sentences } from '../sentence.ts';

/** What is said of backups, and of shelves that are moved. */
export const SHELF_SENTENCES = {
  'backup/failed': ({ folder, reason }) =>
    `The backup in “${folder}” could not be made: ${reason}. Earlier ones are as they were.`,
  'backup/missing': ({ name }) => `There is no backup “${name}” any more.`,
  'backup/damaged': ({ name }) =>
    `The backup “${name}” is not as it was made, so nothing is taken from it. Choose another one.`,
  'backup/place': ({ folder, reason }) => `“${folder}” cannot hold backups: ${reason}.`,
  'opened/missing': () => 'That is not open any more. Open it again.',
  'opened/taking': () => 'Designs are being taken from it. Wait until that is done, or stop it.',
  'archive/not-one': () => 'That is no archive of a shelf, and holds no design documents.',
  'archive/broken': () => 'The archive is damaged: it cannot be unpacked. Export it again.',
  'archive/newer': () => 'The archive was made by a newer Vetro. Update this one first.',
  'archive/contents': ({ path }) =>
    `The archive’s list of contents is not as it must be${path === '' ? '' : ` (${path})`}. Export it again.`,
  'archive/missing': ({ name }) => `The archive names “${name}”, which is not in it. Export it again.`,
  'archive/picture': ({ name }) => `The picture “${name}” of the archive is not what its name says.`,
  'archive/design': ({ name, problem }) => `“${name}” in the archive cannot be read: ${problem}`,
  'archive/id-twice': ({ name }) => `The archive holds two designs or states under one id: “${name}”.`,
  'archive/twice': ({ name }) =>
    `The archive holds two files whose names are alike but for capitals: “${name}”.`,
  'archive/path': ({ name }) => `The archive holds “${name}”, which leads out of it. Nothing was unpacked.`,
  'archive/too-large': ({ most }) => `The archive is too large: at most ${megabytes(most)} MB.`,
} satisfies Partial<Sentences>;

function megabytes(bytes: string | number): string {
  return String(Math.round(Number(bytes) / 1_000_000));
}
