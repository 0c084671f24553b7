import { errorSentence } from './error-sentence.ts';

/** What some work comes to, or the sentence that says why it comes to nothing. */
export type Attempt<T> = { readonly value: T } | { readonly problem: string };

/** Does some work; what is wrong with it becomes a sentence, our own faults go on. */
export function attempt<T>(work: () => T): Attempt<T> {
  try {
    return { value: work() };
  } catch (error) {
    const problem = errorSentence(error);
    if (problem === undefined) throw error;
    return { problem };
  }
}

/** The same of work that takes its time. */
export async function attemptLater<T>(work: () => Promise<T>): Promise<Attempt<T>> {
  try {
    return { value: await work() };
  } catch (error) {
    const problem = errorSentence(error);
    if (problem === undefined) throw error;
    return { problem };
  }
}

/** The same where nobody needs the reason. */
export function valueIfAny<T>(work: () => T): T | undefined {
  return outcomeOf(attempt(work));
}

/** The value of what was tried elsewhere; undefined while nothing has come of it, and where nothing does. */
export function outcomeOf<T>(attempt: Attempt<T> | undefined): T | undefined {
  return attempt !== undefined && 'value' in attempt ? attempt.value : undefined;
}
