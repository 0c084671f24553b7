import type { Sentences } from '../sentence.ts';

/** What the server, its gate and its database have to say. */
export const SERVER_SENTENCES = {
  'design/missing': () => 'This design is not on the shelf. It may have been deleted.',
  'design/stale': () => 'This design was saved somewhere else in the meantime.',
  'revision/missing': () => 'That earlier state is not kept any more.',
  'range/missing': () => 'That range is not on the shelf.',
  'request/too-large': ({ most }) => `That is too large to be taken: at most ${most} bytes.`,
  'request/stalled': ({ seconds }) => `Nothing came for ${seconds} seconds. Send it again.`,
  'request/broken': () => 'That was no request that can be read.',
  'request/json': () => 'The request was not JSON.',
  'request/missing': () => 'There is nothing at this address.',
  'request/method': () => 'That cannot be done at this address.',
  'request/foreign': () =>
    'Another site’s page cannot change designs. A program that may sends the header “x-vetro”.',
  'request/host': ({ host }) =>
    `Vetro does not answer under the name “${host}”. Use the address that it printed, or allow the name with VETRO_HOSTS.`,
  'request/passphrase': () => 'Vetro asks for its passphrase first. Open it in a browser and enter it.',
  'request/deep': ({ most }) => `The request is nested more than ${most} deep; no design is.`,
  'passphrase/length': ({ least, most }) => `A passphrase has from ${least} to ${most} characters.`,
  'passphrase/missing': ({ host }) =>
    `HOST=${host} lets other machines reach Vetro, so it needs a passphrase. Set one with “npx vetro passphrase”, or leave HOST out.`,
  'server/busy': () => 'Too much is being made at the moment. Nothing is lost; try again in a few seconds.',
  'server/too-long': ({ seconds }) =>
    `That was not done after ${seconds} seconds and was stopped. Make it smaller or simpler.`,
  'server/too-much': () =>
    'That needs more memory than one piece of work may take. Make it smaller or simpler.',
  'request/type': ({ type }) => `The request must be ${type}.`,
  'server/fault': () => 'Something went wrong in Vetro itself. Your saved designs are safe; try again.',
  'database/not-one': ({ file }) =>
    `“${file}” is not a Vetro database. Move it away, or name another file with VETRO_DATA.`,
  'database/foreign': ({ file }) =>
    `“${file}” belongs to another program. Name another file with VETRO_DATA.`,
  'database/broken': ({ file, reason }) =>
    `The database “${file}” is damaged (${reason}). Nothing was written. Put a copy of it in its place, or name another file with VETRO_DATA.`,
  'database/owned': ({ file, what, host, process, since }) =>
    `“${file}” is in use by ${what}${process === '' ? '' : ` (process ${process} on ${host}${since === '' ? '' : `, since ${since}`})`}. Stop that, or name another file with VETRO_DATA. Nothing was written.`,
  'database/newer': ({ file }) =>
    `The database “${file}” was made by a newer Vetro. Update Vetro, or name another file with VETRO_DATA.`,
  'database/full': () =>
    'The disk is full, so nothing could be written. What was saved before is safe. Make room, then save again.',
  'database/locked': () => 'The database is in use by another program. Close that, then try again.',
  'database/read-only': () =>
    'The database cannot be written: its file or folder is read-only. Allow writing, then save again.',
  'database/unusable': ({ file, reason }) => `The database “${file}” cannot be used: ${reason}.`,
} satisfies Partial<Sentences>;
