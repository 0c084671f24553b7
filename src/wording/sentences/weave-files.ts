import type { Sentences } from '../sentence.ts';

/** What may be wrong with weave files. */
export const WEAVE_FILES = {
  'wif/too-long': ({ length, most }) => `That file has ${length} characters; at most ${most} are read.`,
  'wif/binary': () => 'That is not a weave file: it is not text.',
  'wif/not-one': () => 'That is not a weave file: it has no section [WIF].',
  'wif/line': ({ line, text }) => `Line ${line}: “${text}” is neither a section in brackets nor key=value.`,
  'wif/missing': ({ section }) => `The weave file has no section [${section}].`,
  'wif/value': ({ section, line, text }) => `[${section}], line ${line}: “${text}” cannot be read there.`,
  'wif/range': ({ section, line, value, most }) =>
    `[${section}], line ${line}: ${value} is more than the ${most} that there are.`,
  'wif/too-small': ({ section, line, value, least }) =>
    `[${section}], line ${line}: ${value} is too little; there must be at least ${least}.`,
  'wif/contradiction': ({ section, line, value, other }) =>
    `[${section}], line ${line}: it names number ${value}, but the file says that there are ${other}.`,
  'wif/too-large': ({ ends, picks, most }) =>
    `One repeat has ${ends} ends and ${picks} picks; a weave file holds at most ${most}.`,
} satisfies Partial<Sentences>;
