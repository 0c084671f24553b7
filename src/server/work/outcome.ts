import { CoreError, errorFrom, type Facts } from '../../core/error.ts';

/** What crosses from a thread to the server: an error of wrong data keeps its code and facts, which cloning would lose. */
export type Outcome<Value> =
  | { readonly value: Value }
  | { readonly problem: { readonly code: string; readonly facts: Facts } };

/** Runs some work; what is wrong with the data becomes part of the outcome. Our own faults are thrown. */
export async function outcomeOf<Value>(work: () => Promise<Value>): Promise<Outcome<Value>> {
  try {
    return { value: await work() };
  } catch (error) {
    if (error instanceof CoreError) return { problem: { code: error.code, facts: error.facts } };
    throw error;
  }
}

/** @throws CoreError that was met in the thread */
export function valueIn<Value>(outcome: Outcome<Value>): Value {
  if ('value' in outcome) return outcome.value;
  throw errorFrom(outcome.problem.code, outcome.problem.facts);
}
