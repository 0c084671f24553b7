import { CoreError } from '../core/error.ts';
import { sentenceFor } from './sentences.ts';

/** The sentence of any error; undefined for one that is our own fault. */
export function errorSentence(error: unknown): string | undefined {
  return error instanceof CoreError ? sentenceFor(error.code, error.facts) : undefined;
}
