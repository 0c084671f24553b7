import type { Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { add, divide, floor, multiply, ONE, type Rational, rational, round } from '../exact/rational.ts';
import { parseDensity, threadPitch } from '../units/density.ts';
import { parseYarnCount, toTex } from '../units/yarn-count.ts';
import type { PlaidDesign } from './design-schema.ts';
import { threadsOfPlaid } from './plaid/compile-plaid.ts';
import { parseMetres, parsePercent } from './yarn-schema.ts';

/** Yarn of one shade in one direction. */
export interface YarnNeed {
  readonly direction: 'warp' | 'weft';
  readonly shade: Shade;
  readonly threads: number;
  readonly metres: Rational;
  readonly grams: Rational;
}

/** One run of the warp as it is wound. */
export interface WarpRun {
  readonly shade: Shade;
  readonly count: number;
}

/** Most threads of a piece each way. */
const MAX_THREADS = 10_000_000;

/**
 * The yarn of a piece. Ends = width × density + selvedges; an end is length × (1 + take-up) + waste; a pick is width ×
 * (1 + crimp); grams = metres × tex / 1000. Common practice of the trade.
 *
 * @throws CoreError of the readers, "yarn/threads" {threads, most}
 */
export function yarnNeeds({ construction, shades, lay, yarn }: PlaidDesign): readonly YarnNeed[] {
  const threads = threadsOfPlaid(construction, shades);
  const width = parseMetres(yarn.width);
  const length = parseMetres(yarn.length);
  const endLength = add(multiply(length, add(ONE, parsePercent(yarn.takeUp))), parseMetres(yarn.waste));
  const pickLength = multiply(width, add(ONE, parsePercent(yarn.crimp)));
  const across = threadsIn(width, lay.ends, lay.per);
  const upward = threadsIn(length, lay.picks, lay.per);
  const warp = countShades(threads.warp, across, shades.length);
  warp[threads.warp[0]!]! += yarn.selvedge;
  const weft = countShades(threads.weft, upward, shades.length);
  const needs = (direction: 'warp' | 'weft', counts: readonly number[], each: Rational): YarnNeed[] => {
    const tex = toTex(parseYarnCount(yarn[direction].count, yarn[direction].system), yarn[direction].system);
    return shades.flatMap((shade, index) => {
      const count = counts[index]!;
      const metres = multiply(rational(count), each);
      const grams = divide(multiply(metres, tex), rational(1000));
      return count === 0 ? [] : [{ direction, shade, threads: count, metres, grams }];
    });
  };
  return [...needs('warp', warp, endLength), ...needs('weft', weft, pickLength)];
}

/** Whole threads in some metres; a half goes up. */
function threadsIn(metres: Rational, density: string, per: 'in' | 'cm'): number {
  const threads = Number(
    round(divide(multiply(metres, rational(1000)), threadPitch(parseDensity(density), per))),
  );
  if (threads > MAX_THREADS) throw new CoreError('yarn/threads', { threads, most: MAX_THREADS });
  return threads;
}

/** How many of the first `count` threads, the sequence coming round, have each shade. */
function countShades(sequence: Uint16Array, count: number, shades: number): number[] {
  const rounds = Number(floor(rational(count, sequence.length)));
  const rest = count - rounds * sequence.length;
  const counts = new Array<number>(shades).fill(0);
  sequence.forEach((shade, place) => {
    counts[shade]! += rounds + (place < rest ? 1 : 0);
  });
  return counts;
}

/** The warp as it is wound, from the left: one run after the other, without the selvedges. */
export function warpingOrder({ construction, shades, lay, yarn }: PlaidDesign): readonly WarpRun[] {
  const { warp } = threadsOfPlaid(construction, shades);
  const count = threadsIn(parseMetres(yarn.width), lay.ends, lay.per);
  const runs: { shade: Shade; count: number }[] = [];
  for (let end = 0; end < count; end += 1) {
    const shade = shades[warp[end % warp.length]!]!;
    const last = runs.at(-1);
    if (last?.shade === shade) last.count += 1;
    else runs.push({ shade, count: 1 });
  }
  return runs;
}
