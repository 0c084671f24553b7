/** Plain facts that name the place and the value of an error; the interface makes sentences of them. */
export type Facts = Readonly<Record<string, string | number | boolean | readonly string[]>>;

/** Wrong data, told by a code "topic/what" and facts. Sentences are made in src/wording. */
export class CoreError extends Error {
  readonly code: string;
  readonly facts: Facts;

  constructor(code: string, facts: Facts = {}) {
    super(`${code} ${JSON.stringify(facts)}`);
    this.name = 'CoreError';
    this.code = code;
    this.facts = facts;
  }
}
