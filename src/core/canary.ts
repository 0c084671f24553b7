// Proof that the core is compiled without a DOM and without Node: each line must stay an error.
// @ts-expect-error no DOM here
export type NoDom = typeof document;
// @ts-expect-error no Node here
export type NoNode = typeof process;
