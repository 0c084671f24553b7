import { CoreError } from '../error.ts';
import { gcd } from './rational.ts';

/**
 * A direction that rises `rise` while it runs `run` to the right: in lowest terms, run ≥ 0, and upright is 1/0.
 * A negative rise falls to the right.
 */
export interface Slope {
  readonly rise: number;
  readonly run: number;
}

export const UPRIGHT: Slope = { rise: 1, run: 0 };
export const LEVEL: Slope = { rise: 0, run: 1 };

/** Largest rise and run. */
export const MAX_SLOPE = 1_000_000;

/**
 * The only maker of slopes from numbers that are not known to be one.
 * @throws CoreError "slope/none" for 0/0 | "slope/range" {rise, run, most}
 */
export function slope(rise: number, run: number): Slope {
  if (rise === 0 && run === 0) throw new CoreError('slope/none', {});
  const fits = [rise, run].every((part) => Number.isSafeInteger(part) && Math.abs(part) <= MAX_SLOPE);
  if (!fits) throw new CoreError('slope/range', { rise: String(rise), run: String(run), most: MAX_SLOPE });
  const common = Number(gcd(BigInt(rise), BigInt(run))) * (run < 0 || (run === 0 && rise < 0) ? -1 : 1);
  return { rise: rise / common + 0, run: run / common + 0 };
}

/**
 * Reads "7/10", "-3/4" or "2".
 * @throws CoreError "slope/text" {text}, or as `slope`
 */
export function parseSlope(text: string): Slope {
  const match = /^\s*([-−+]?)\s*(\d{1,9})\s*(?:\/\s*(\d{1,9})\s*)?$/.exec(text);
  if (match === null) throw new CoreError('slope/text', { text });
  const rise = Number(match[2]) * (match[1] === '-' || match[1] === '−' ? -1 : 1);
  return slope(rise + 0, Number(match[3] ?? 1));
}

export function slopeText({ rise, run }: Slope): string {
  return `${rise}/${run}`;
}

/** Degrees from the horizontal, −90 < … ≤ 90; a double, for showing and for comparing with a wish. */
export function slopeDegrees({ rise, run }: Slope): number {
  return (Math.atan2(rise, run) * 180) / Math.PI;
}

export function sameSlope(a: Slope, b: Slope): boolean {
  return a.rise === b.rise && a.run === b.run;
}
