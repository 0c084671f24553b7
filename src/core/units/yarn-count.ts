import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { divide, multiply, type Rational, rational } from '../exact/rational.ts';

/** Systems of yarn counts: by weight of a length (tex, dtex, denier), or by length of a weight. */
export const YARN_SYSTEMS = ['tex', 'dtex', 'denier', 'Nm', 'Ne', 'worsted'] as const;
export type YarnSystem = (typeof YARN_SYSTEMS)[number];

/** Grams of a pound and metres of a yard, exactly (international yard and pound agreement, 1959). */
const POUND = rational(45_359_237, 100_000);
const YARD = rational(9144, 10_000);

/** Tex of a yarn of which one hank of so many yards weighs a pound. */
function hanks(yards: number): Rational {
  return divide(multiply(POUND, rational(1000)), multiply(YARD, rational(yards)));
}

/**
 * What a count of 1 is in tex, and whether it grows with the weight or with the length.
 * Sources: ISO 1144:2016 for tex; cotton hanks of 840 yd and worsted hanks of 560 yd to the pound.
 */
const SYSTEMS: Readonly<Record<YarnSystem, { readonly one: Rational; readonly byWeight: boolean }>> = {
  tex: { one: rational(1), byWeight: true },
  dtex: { one: rational(1, 10), byWeight: true },
  denier: { one: rational(1, 9), byWeight: true },
  Nm: { one: rational(1000), byWeight: false },
  Ne: { one: hanks(840), byWeight: false },
  worsted: { one: hanks(560), byWeight: false },
};

/** Largest count that is accepted. */
const MAX_COUNT = 100_000;

/**
 * Reads a count such as "20" or "2/30" (two plies of 30, in the systems by length: 15).
 * @throws CoreError as `parseExact`, or "yarn/count" {text, most}
 */
export function parseYarnCount(text: string, system: YarnSystem): Rational {
  const plied = /^\s*(\d{1,2})\s*\/\s*(\d{1,6}(?:\.\d+)?)\s*$/.exec(text);
  const count =
    plied !== null && !SYSTEMS[system].byWeight
      ? divide(parseExact(plied[2]!), parseExact(plied[1]!))
      : parseExact(text);
  if (count.n <= 0n || count.n > BigInt(MAX_COUNT) * count.d)
    throw new CoreError('yarn/count', { text, most: MAX_COUNT });
  return count;
}

/** Exact tex of a count. */
export function toTex(count: Rational, system: YarnSystem): Rational {
  const { one, byWeight } = SYSTEMS[system];
  return byWeight ? multiply(count, one) : divide(one, count);
}

/** Exact count in a system of a yarn in tex. */
export function fromTex(tex: Rational, system: YarnSystem): Rational {
  const { one, byWeight } = SYSTEMS[system];
  return byWeight ? divide(tex, one) : divide(one, tex);
}
