import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { compare, divide, multiply, type Rational, rational } from '../exact/rational.ts';

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

/** A yarn as its count says it: so many plies, each of a count. */
export interface PliedCount {
  readonly plies: number;
  /** Of one ply. */
  readonly single: Rational;
  /** Of the whole yarn. */
  readonly count: Rational;
}

/** Two numbers with a slash between them, of which one says how many plies there are. */
const PLIED = /^\s*(\d{1,6}(?:\.\d+)?)\s*\/\s*(\d{1,6}(?:\.\d+)?)\s*$/;

/**
 * Reads a count such as "20", "30/2" or "2/30". Cotton is written count first (30/2), worsted plies first (2/30), metric
 * and the systems by weight both ways: the smaller of the two is the number of plies, whichever stands first. Two plies
 * of 30 are 15 in the systems by length and 60 in those by weight. What is no pair of numbers is arithmetic.
 * Source: common practice of the trade; ISO 1144:2016, §5, for tex.
 *
 * @throws CoreError as `parseExact`, or "yarn/count" {text, most}
 */
export function readYarnCount(text: string, system: YarnSystem): PliedCount {
  const [, first, second] = PLIED.exec(text) ?? [];
  const [a, b] = [first, second].map((each) => parseExact(each ?? '1'));
  const plied = first !== undefined && second !== undefined;
  const single = plied ? (compare(a!, b!) >= 0 ? a! : b!) : parseExact(text);
  const plies = plied ? (compare(a!, b!) >= 0 ? b! : a!) : rational(1);
  if (plies.n <= 0n || plies.d !== 1n || single.n <= 0n) {
    throw new CoreError('yarn/count', { text, most: MAX_COUNT });
  }
  const count = SYSTEMS[system].byWeight ? multiply(single, plies) : divide(single, plies);
  if (count.n > BigInt(MAX_COUNT) * count.d) throw new CoreError('yarn/count', { text, most: MAX_COUNT });
  return { plies: Number(plies.n), single, count };
}

/** The count of a whole yarn. @throws CoreError as `readYarnCount` */
export function parseYarnCount(text: string, system: YarnSystem): Rational {
  return readYarnCount(text, system).count;
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
