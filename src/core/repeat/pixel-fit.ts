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

/** A whole-pixel size for a repeat at a resolution at which its width is true. */
export interface RatioFit {
  readonly width: number;
  readonly height: number;
  /** Relative error of height : width. */
  readonly errorRatio: Rational;
  /** By how much the resolution has to change for it, as a factor. */
  readonly factor: Rational;
}

/** Largest repeat, in pixels across, that is offered for its ratio. */
const MOST_ACROSS = 20_000;

/**
 * Whole-pixel sizes that keep a ratio ever better, by the convergents of its continued fraction, each as often as
 * brings it nearest to the size that there is: 4 × 7, 15 × 26, 780 × 1351 for hexagons.
 */
export function ratioFits(exact: Rectangle): readonly RatioFit[] {
  const ratio = divide(exact.height, exact.width);
  return convergents(ratio).flatMap((near) => {
    if (near.n <= 0n || near.d > BigInt(MOST_ACROSS) || near.n > BigInt(MAX_PIXELS)) return [];
    const nearest = round(divide(exact.width, rational(near.d)));
    const times = nearest < 1n ? 1n : nearest;
    const width = times * near.d;
    return [
      {
        width: Number(width),
        height: Number(times * near.n),
        errorRatio: subtract(divide(near, ratio), ONE),
        factor: divide(rational(width), exact.width),
      },
    ];
  });
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
