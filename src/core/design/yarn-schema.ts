import { z } from 'zod';
import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { divide, multiply, type Rational, rational } from '../exact/rational.ts';
import { toMillimetres } from '../units/length.ts';
import { parseYarnCount, YARN_SYSTEMS } from '../units/yarn-count.ts';
import { exactText, takenBy } from './exact-text.ts';

/** Longest piece, in metres. */
const MAX_METRES = 1_000_000;

/**
 * Reads a length of cloth: "150 cm", "50 m", "60 in"; a bare number is in metres.
 * @returns metres; 0 is allowed
 * @throws CoreError as `parseExact`, or "yarn/length" {text, most}
 */
export function parseMetres(text: string): Rational {
  const match = /^(.*?)\s*(mm|cm|m|in|")?$/i.exec(text.trim())!;
  const unit = (match[2] ?? 'm').toLowerCase().replace('"', 'in');
  const value = parseExact(match[1]!);
  const metres =
    unit === 'm' ? value : divide(toMillimetres(value, unit as 'mm' | 'cm' | 'in'), rational(1000));
  if (metres.n < 0n || metres.n > BigInt(MAX_METRES) * metres.d)
    throw new CoreError('yarn/length', { text, most: MAX_METRES });
  return metres;
}

/**
 * Reads a share such as "5 %" or "5"; both are five in a hundred.
 * @throws CoreError as `parseExact`, or "yarn/percent" {text}
 */
export function parsePercent(text: string): Rational {
  const value = parseExact(text.replace(/%\s*$/, ''));
  if (value.n < 0n || value.n > 100n * value.d) throw new CoreError('yarn/percent', { text });
  return multiply(value, rational(1, 100));
}

const yarnCountSchema = z
  .strictObject({ count: z.string().max(80), system: z.enum(YARN_SYSTEMS) })
  .superRefine(takenBy(({ count, system }) => parseYarnCount(count, system)));

/** What a piece of cloth is to be: yarns, size, and what weaving takes up. */
export const yarnSchema = z.strictObject({
  warp: yarnCountSchema,
  weft: yarnCountSchema,
  /** Of the piece, in the reed. */
  width: exactText(parseMetres),
  length: exactText(parseMetres),
  /** By which the warp is longer than the cloth, and the weft than the width. */
  takeUp: exactText(parsePercent),
  crimp: exactText(parsePercent),
  /** Of each end that is never woven. */
  waste: exactText(parseMetres),
  /** Ends beside the pattern, both edges together; in the first shade of the warp. */
  selvedge: z.int().min(0).max(10_000),
});

export type YarnPlan = z.infer<typeof yarnSchema>;

/** A piece as it is usual, for designs that say nothing of it. */
export const USUAL_YARN: YarnPlan = {
  warp: { count: '30', system: 'tex' },
  weft: { count: '30', system: 'tex' },
  width: '150 cm',
  length: '50 m',
  takeUp: '6 %',
  crimp: '5 %',
  waste: '2 m',
  selvedge: 32,
};
