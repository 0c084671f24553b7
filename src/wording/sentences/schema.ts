import type { Sentence } from '../sentence.ts';

/** What a schema has against a value. */
export const SCHEMA_SENTENCES: Readonly<Record<string, Sentence>> = {
  'schema/too_small': ({ minimum, origin }) =>
    origin === 'string'
      ? 'It must not be empty.'
      : origin === 'array'
        ? `There must be at least ${minimum} of them.`
        : `It must be at least ${minimum}.`,
  'schema/too_big': ({ maximum, origin }) =>
    origin === 'string'
      ? `It is too long: at most ${maximum} characters.`
      : origin === 'array'
        ? `There are too many of them: at most ${maximum}.`
        : `It must be at most ${maximum}.`,
  'schema/invalid_type': ({ expected }) => `It must be ${KINDS[expected!] ?? expected}.`,
  'schema/invalid_format': () => 'It is not written as it should be.',
  'schema/invalid_value': ({ values }) => `It must be one of: ${values}.`,
  'schema/unrecognized_keys': ({ keys }) => `There is no such field here: ${keys}.`,
  'schema/invalid_union': () => 'It is of no kind that there is.',
};

/** Kinds of values in plain words. */
const KINDS: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  object: 'a group of fields',
  array: 'a list',
};
