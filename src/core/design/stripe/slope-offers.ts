import { nearSlopes } from '../../exact/near-slopes.ts';
import { divide, floor, type Rational, rational, toNumber } from '../../exact/rational.ts';
import { MAX_SLOPE, type Slope } from '../../exact/slope.ts';
import { nearFraction, type Surd } from '../../exact/surd.ts';
import type { TrueSize } from '../../repeat/repeat-unit.ts';
import { stripeRepeat, stripeSquare } from './compile-stripe.ts';
import type { Measured } from './stripe-schema.ts';

/** A slope that repeats, near the angle that was wished, with what it costs. */
export interface SlopeOffer {
  readonly slope: Slope;
  readonly degrees: number;
  /** Degrees by which it misses the wish, signed. */
  readonly error: number;
  /** Its upright repeat and the smallest square that repeats, in millimetres. */
  readonly repeat: TrueSize;
  readonly square: Surd;
}

/**
 * The slopes nearest an angle whose square repeat stays within a limit, each nearer than every simpler one.
 * @param period  millimetres of one repeat of the bands, as they are measured
 * @param most    longest side of the square, in the same millimetres
 */
export function slopeOffers(
  degrees: number,
  { period, measured }: { readonly period: Rational; readonly measured: Measured },
  most: Rational,
): readonly SlopeOffer[] {
  // A square holds at least as many periods along an edge as the slope rises.
  const parts = Math.min(MAX_SLOPE, Math.max(1, Number(floor(divide(most, period)))));
  return nearSlopes(degrees, parts)
    .map((near) => ({
      ...near,
      repeat: stripeRepeat(period, near.slope, measured),
      square: stripeSquare(period, near.slope, measured),
    }))
    .filter(({ square, repeat }) =>
      [square, repeat.width, repeat.height].every(
        (side) => toNumber(nearFraction(side)) <= toNumber(most) * (1 + Number.EPSILON),
      ),
    );
}

/** Widths scaled so that lines at 45° close in a square of a side with that many periods along each edge. */
export function squareScale(period: Rational, side: Rational, periods: number): Rational {
  return divide(divide(side, rational(periods)), period);
}
