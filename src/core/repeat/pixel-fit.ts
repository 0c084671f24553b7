import { convergents } from '../exact/continued-fraction.ts';
import {
  add,
  compare,
  divide,
  equals,
  isWhole,
  multiply,
  ONE,
  type Rational,
  rational,
  round,
  subtract,
} from '../exact/rational.ts';
import type { Rectangle } from '../exact/vector.ts';
import { MAX_RESOLUTION } from '../units/resolution.ts';

/** A whole-pixel size for a repeat, with what it costs. */
export interface PixelFit {
  readonly width: number;
  readonly height: number;
  /** Relative error of each side against its true size: painted / true − 1. */
  readonly errorX: Rational;
  readonly errorY: Rational;
  /** Relative error of height : width. 0 when the ratio is kept. */
  readonly errorRatio: Rational;
}

/** Most pixels along a side of a tile. */
export const MAX_PIXELS = 1_000_000;

/** The nearest whole-pixel size; a side that would vanish is undefined. */
export function nearestFit(exact: Rectangle): PixelFit | undefined {
  return fitOf(Number(round(exact.width)), Number(round(exact.height)), exact);
}

/**
 * Whole-pixel sizes near `exact` that keep its ratio best, nearest first: for each convergent of the ratio's
 * continued fraction, the multiple of it that lies nearest. The plain nearest size leads.
 */
export function pixelFits(exact: Rectangle, most: number): readonly PixelFit[] {
  const found: PixelFit[] = [];
  const offer = (fit: PixelFit | undefined) => {
    const known = found.some((each) => each.width === fit?.width && each.height === fit.height);
    if (fit !== undefined && !known) found.push(fit);
  };
  offer(nearestFit(exact));
  for (const ratio of convergents(divide(exact.height, exact.width))) {
    if (ratio.n <= 0n || compare(rational(ratio.d), exact.width) > 0) continue;
    const times = round(divide(exact.width, rational(ratio.d)));
    const width = Number(times * ratio.d);
    const height = Number(times * ratio.n);
    if (width <= MAX_PIXELS && height <= MAX_PIXELS) offer(fitOf(width, height, exact));
  }
  const [nearest, ...rest] = found;
  if (nearest === undefined) return [];
  // A size that lies further off is worth a look only where it keeps the ratio better.
  const others = rest.filter((fit) => compare(size(fit.errorRatio), size(nearest.errorRatio)) < 0);
  others.sort((a, b) => compare(strain(a), strain(b)));
  return [nearest, ...others].slice(0, most);
}

/** A whole-pixel size for a repeat at a resolution of its own. */
export interface RatioFit {
  readonly width: number;
  readonly height: number;
  /** Relative error of height : width. */
  readonly errorRatio: Rational;
  readonly dpi: Rational;
}

/** Largest repeat, in pixels across, that is offered for its ratio. */
const MOST_ACROSS = 20_000;

/** Most sizes that are offered beside the nearest, of each sort. */
const MOST_RATIO_FITS = 5;

/** Whole resolutions are looked at from a half to twice as many as there are. */
const NEAR_DPI = 2;

/**
 * Whole-pixel sizes that keep a ratio ever better. The nearest one leads; after it come those by the convergents of the
 * ratio's continued fraction, each as often as brings it nearest to the size that there is and at the resolution at which
 * its width is true, and, where the present resolution is whole, those at other whole ones. 720 × 1247.08 px at 300 dpi
 * leads to 720 × 1247 and to 780 × 1351 at 325 dpi.
 */
export function ratioFits(exact: Rectangle, dpi: Rational): readonly RatioFit[] {
  const nearest = nearestFit(exact);
  if (nearest === undefined) return [];
  const { width, height, errorRatio } = nearest;
  const isBetter = (fit: RatioFit) => compare(size(fit.errorRatio), size(errorRatio)) < 0;
  const others = [
    ...untilEnough(convergentFits(exact, dpi).filter(isBetter)).slice(-MOST_RATIO_FITS),
    ...(isWhole(dpi) ? wholeResolutionFits(exact, dpi).filter(isBetter).slice(-MOST_RATIO_FITS) : []),
  ];
  others.sort((one, other) => compare(size(other.errorRatio), size(one.errorRatio)));
  const known = new Set<string>();
  return [{ width, height, errorRatio, dpi }, ...others].filter((fit) => {
    const name = `${fit.width} ${fit.height}`;
    return !known.has(name) && known.add(name);
  });
}

/** Ratios nearer than this, a micrometre in a metre, are near enough. */
const ENOUGH = rational(1, 1_000_000);

/** Of fits, each better than the one before, those up to the first that is near enough. */
function untilEnough(fits: readonly RatioFit[]): readonly RatioFit[] {
  const enough = fits.findIndex(({ errorRatio }) => compare(size(errorRatio), ENOUGH) <= 0);
  return enough === -1 ? fits : fits.slice(0, enough + 1);
}

function convergentFits(exact: Rectangle, dpi: Rational): readonly RatioFit[] {
  const ratio = divide(exact.height, exact.width);
  return convergents(ratio).flatMap((near) => {
    if (near.n <= 0n || near.d > BigInt(MOST_ACROSS)) return [];
    const nearest = round(divide(exact.width, rational(near.d)));
    const times = nearest < 1n ? 1n : nearest;
    const width = times * near.d;
    const height = times * near.n;
    const trueAt = multiply(dpi, divide(rational(width), exact.width));
    if (height > BigInt(MAX_PIXELS) || compare(trueAt, rational(MAX_RESOLUTION)) > 0) return [];
    const errorRatio = subtract(divide(near, ratio), ONE);
    return [{ width: Number(width), height: Number(height), errorRatio, dpi: trueAt }];
  });
}

/** Sizes at whole resolutions, each keeping the ratio better than all at nearer ones. @param dpi  whole */
function wholeResolutionFits(exact: Rectangle, dpi: Rational): readonly RatioFit[] {
  const found: RatioFit[] = [];
  const present = Number(dpi.n);
  const most = Math.min(present * NEAR_DPI, MAX_RESOLUTION);
  // Nearer ones first, of two as near the larger.
  const tried = Array.from(
    { length: Math.max(0, most - Math.ceil(present / NEAR_DPI) + 1) },
    (_, at) => most - at,
  );
  tried.sort((one, other) => Math.abs(one - present) - Math.abs(other - present));
  for (const resolution of tried) {
    const at = rational(resolution);
    const factor = divide(at, dpi);
    const fit = nearestFit({ width: multiply(exact.width, factor), height: multiply(exact.height, factor) });
    if (fit === undefined || fit.width > MOST_ACROSS || fit.height > MAX_PIXELS) continue;
    const best = found.at(-1);
    if (best !== undefined && compare(size(fit.errorRatio), size(best.errorRatio)) >= 0) continue;
    const { width, height, errorRatio } = fit;
    found.push({ width, height, errorRatio, dpi: at });
  }
  return found;
}

/** Whether a size is whole pixels already. */
export function isWholePixels({ width, height }: Rectangle): boolean {
  return isWhole(width) && isWhole(height) && width.n > 0n && height.n > 0n;
}

function fitOf(width: number, height: number, exact: Rectangle): PixelFit | undefined {
  if (width < 1 || height < 1) return undefined;
  const x = divide(rational(width), exact.width);
  const y = divide(rational(height), exact.height);
  return {
    width,
    height,
    errorX: subtract(x, ONE),
    errorY: subtract(y, ONE),
    errorRatio: equals(x, y) ? rational(0) : subtract(divide(y, x), ONE),
  };
}

function size(value: Rational): Rational {
  return value.n < 0n ? multiply(rational(-1), value) : value;
}

/** How far a size lies from the true one, both ways squared. */
function strain({ errorX, errorY }: PixelFit): Rational {
  const sum = [errorX, errorY].map((error) => multiply(error, error));
  return add(sum[0]!, sum[1]!);
}
