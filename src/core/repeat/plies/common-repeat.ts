import { commonFraction } from '../../exact/common-multiple.ts';
import { divide, ONE, type Rational } from '../../exact/rational.ts';
import { divideSurds, rationalOf, type Surd, scaleSurd } from '../../exact/surd.ts';
import type { TrueSize } from '../repeat-unit.ts';

/** How often a repeat goes into a common one. */
export interface Times {
  readonly across: number;
  readonly down: number;
}

/** The smallest upright repeat that several have in common. */
export interface CommonRepeat {
  readonly kind: 'common';
  readonly size: TrueSize;
  /** For each of them, in their order. */
  readonly times: readonly Times[];
}

/** One of several repeats whose ratio to the first is no fraction: they never come together. */
export interface NoCommonRepeat {
  readonly kind: 'none';
  readonly other: number;
  readonly axis: 'across' | 'down';
}

/** More repeats than this along a side are not counted any more. */
export const MOST_TIMES = 1_000_000;

/** One whose common repeat with those before goes too often into it. */
export interface CommonTooLong extends Omit<NoCommonRepeat, 'kind'> {
  readonly kind: 'too-long';
}

/**
 * The least common multiples of widths and of heights: repeats of widths a and b whose ratio is p/q in lowest terms come
 * together after q·a = p·b.
 *
 * @param sizes  of upright repeats, at least one
 */
export function commonRepeat(sizes: readonly TrueSize[]): CommonRepeat | NoCommonRepeat | CommonTooLong {
  const across = alongAxis(sizes.map(({ width }) => width));
  if ('other' in across) return { ...across, axis: 'across' };
  const down = alongAxis(sizes.map(({ height }) => height));
  if ('other' in down) return { ...down, axis: 'down' };
  return {
    kind: 'common',
    size: { width: across.length, height: down.length },
    times: sizes.map((_, at) => ({ across: across.times[at]!, down: down.times[at]! })),
  };
}

interface CommonLength {
  readonly length: Surd;
  readonly times: readonly number[];
}

type NoCommonLength = Pick<NoCommonRepeat | CommonTooLong, 'kind' | 'other'>;

function alongAxis(lengths: readonly Surd[]): CommonLength | NoCommonLength {
  const [first] = lengths as readonly [Surd, ...Surd[]];
  const ratios: Rational[] = [];
  let common = ONE;
  for (const [other, length] of lengths.entries()) {
    const ratio = rationalOf(divideSurds(length, first));
    if (ratio === undefined) return { kind: 'none', other };
    ratios.push(ratio);
    common = commonFraction(common, ratio);
    if (ratios.some((each) => divide(common, each).n > BigInt(MOST_TIMES)))
      return { kind: 'too-long', other };
  }
  return {
    length: scaleSurd(first, common),
    times: ratios.map((ratio) => Number(divide(common, ratio).n)),
  };
}
