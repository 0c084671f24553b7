import { z } from 'zod';
import { CoreError } from '../error.ts';
import { MAX_NUMBER_TEXT } from '../exact/parse-exact.ts';

/** Text that resolves to an exact number by the given reader; stored as it was typed. */
export function exactText(read: (text: string) => unknown) {
  return z.string().max(MAX_NUMBER_TEXT).superRefine(takenBy(read));
}

/** A check that a reader takes a value; what it says against it goes on as the issue's message and parameters. */
export function takenBy<T>(read: (value: T) => unknown) {
  return (value: T, context: z.core.$RefinementCtx<T>): void => {
    const wrong = mistakeOf(() => read(value));
    if (wrong !== undefined) context.addIssue(wrong);
  };
}

/** What reading says against a value, as an issue; undefined where it says nothing. */
export function mistakeOf(read: () => unknown) {
  try {
    read();
    return undefined;
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { code: 'custom' as const, message: error.code, params: { ...error.facts } };
  }
}
