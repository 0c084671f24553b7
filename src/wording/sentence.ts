import type { ErrorCode, ErrorFacts } from '../core/error-facts.ts';

/** A sentence for one kind of wrong data: what is wrong, and what to do. Facts come as they are written. */
export type Sentence = (facts: Readonly<Record<string, string>>) => string;

/** A sentence for every code, from the facts that it carries. */
export type Sentences = {
  readonly [C in ErrorCode]: (facts: { readonly [N in keyof ErrorFacts[C]]-?: string }) => string;
};
