/** A sentence for one kind of wrong data: what is wrong, and what to do. */
export type Sentence = (facts: Readonly<Record<string, string>>) => string;
