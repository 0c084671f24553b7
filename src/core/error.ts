import type { BareCode, ErrorCode, ErrorFacts, Facts } from './error-facts.ts';

export type { Facts } from './error-facts.ts';

/** Wrong data, told by a code "topic/what" and the facts that it carries. Sentences are made in src/wording. */
export class CoreError<C extends ErrorCode = ErrorCode> extends Error {
  readonly code: C;
  readonly facts: Facts;

  constructor(code: C, ...facts: C extends BareCode ? [facts?: ErrorFacts[C]] : [facts: ErrorFacts[C]]) {
    const [known = {}] = facts;
    super(`${code} ${JSON.stringify(known)}`);
    this.name = 'CoreError';
    this.code = code;
    this.facts = known as Facts;
  }
}

/** An error that came from elsewhere as a code and its facts: another thread, a loom. */
export function errorFrom(code: string, facts: Facts = {}): CoreError {
  return new CoreError(code as ErrorCode, facts as never);
}
