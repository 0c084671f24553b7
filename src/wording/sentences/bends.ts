import type { Sentences } from '../sentence.ts';

/** Cloth that is bent in use. */
export const BENDS = {
  'bend/folds-over': ({ x, y }) =>
    `Bent so, the cloth would fold over itself ${round(x)} mm from the left, ${round(y)} mm up. Bend it less.`,
  'bend/perspective': ({ x, y }) =>
    `Four corners make a perspective where they go round and no three lie on a line; the one at ${round(x)}, ${round(y)} mm does not.`,
  'bend/range': ({ least, most }) => `This number of a bend lies between ${round(least)} and ${round(most)}.`,
} satisfies Partial<Sentences>;

function round(value: unknown): string {
  return String(Number(Number(value).toFixed(1)));
}
