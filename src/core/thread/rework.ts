import { CoreError } from '../error.ts';
import { divide, floor, multiply, type Rational, rational } from '../exact/rational.ts';
import type { Band } from './band.ts';
import type { Bands } from './edit-bands.ts';
import { roundEdges } from './runs.ts';
import { type Sequence, threadCount } from './sequence.ts';

export function reverseBands(bands: Bands): Bands {
  return [...bands].reverse();
}

/** Begins `by` bands later; the first come last. */
export function rotateBands(bands: Bands, by: number): Bands {
  const first = ((by % bands.length) + bands.length) % bands.length;
  return [...bands.slice(first), ...bands.slice(0, first)];
}

/** @throws CoreError "run/times" {times} */
export function repeatBands(bands: Bands, times: number): Bands {
  if (!Number.isSafeInteger(times) || times < 1 || times > 1000) throw new CoreError('run/times', { times });
  return Array.from({ length: times }, () => bands).flat();
}

/** Puts a spacer between each two bands, and after the last where the bands begin again. */
export function spaceBands(bands: Bands, spacer: Band, atWrap: boolean): Bands {
  const spaced = bands.flatMap((band, index) => (index === 0 ? [band] : [spacer, band]));
  return atWrap ? [...spaced, spacer] : spaced;
}

/** Every band of one shade takes the other, and the other way round. */
export function tradeShades(bands: Bands, one: string, other: string): Bands {
  const traded: Readonly<Record<string, string>> = { [one]: other, [other]: one };
  return bands.map((band) => ({ ...band, shade: traded[band.shade] ?? band.shade }));
}

/**
 * All counts times a factor, edges rounded, so that the total is the exact total rounded once.
 * @throws CoreError "run/zero" {band}
 */
export function scaleBands(bands: Bands, factor: Rational): Bands {
  const counts = roundEdges(bands.map((band) => multiply(rational(band.count), factor)));
  return bands.map((band, index) => ({ ...band, count: counts[index]! }));
}

/**
 * Scales a sequence so that it is as near as it can be to a number of threads laid out. What rounding leaves over is
 * given to, or taken from, the largest band; in a doubled sequence an odd thread stays over.
 *
 * @throws CoreError "run/zero" {band}
 */
export function scaleTo({ bands, mirror }: Sequence, threads: number): Bands {
  const laidOut = threadCount({ bands, mirror });
  let scaled = [...scaleBands(bands, divide(rational(threads), rational(laidOut)))];
  for (;;) {
    const short = threads - threadCount({ bands: scaled, mirror });
    const sign = Math.sign(short);
    const at = largestThatFits({ bands: scaled, mirror }, Math.abs(short), sign);
    if (short === 0 || at === undefined) return scaled;
    scaled = scaled.map((band, index) => (index === at ? { ...band, count: band.count + sign } : band));
  }
}

/** The largest band whose change by one thread changes the laid-out total by no more than `most`. */
function largestThatFits({ bands, mirror }: Sequence, most: number, sign: number): number | undefined {
  const effect = (index: number) => {
    if (mirror === 'doubled') return 2;
    const pivot = index === 0 || index === bands.length - 1;
    return mirror === 'shared' && !pivot ? 2 : 1;
  };
  let found: number | undefined;
  bands.forEach(({ count }, index) => {
    if (effect(index) > most || count + sign < 1) return;
    if (found === undefined || effect(index) > effect(found) || count > bands[found]!.count) found = index;
  });
  return found;
}

/** How many threads a repeat may have so that a number of them fits a width, and what is left over. */
export interface RepeatFit {
  readonly threads: number;
  /** Threads of the width that stay over; below zero when they are short. */
  readonly left: Rational;
}

/**
 * The two whole repeats nearest to a width shared out: the larger that fits, and one thread more.
 * @param width  in threads, exact
 * @throws CoreError "run/times" {times} | "run/no-fit" {times}
 */
export function fitRepeats(width: Rational, times: number): readonly RepeatFit[] {
  if (!Number.isSafeInteger(times) || times < 1) throw new CoreError('run/times', { times });
  const threads = Number(floor(divide(width, rational(times))));
  if (threads < 1) throw new CoreError('run/no-fit', { times });
  return [threads, threads + 1].map((each) => ({
    threads: each,
    left: rational(width.n - BigInt(each * times) * width.d, width.d),
  }));
}
