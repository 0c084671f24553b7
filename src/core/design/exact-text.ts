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
    try {
      read(value);
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      context.addIssue({ code: 'custom', message: error.code, params: { ...error.facts } });
    }
  };
}
