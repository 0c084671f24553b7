import { CoreError } from '../../error.ts';
import { exactDecimal } from '../../exact/exact-decimal.ts';
import { divide, multiply, type Rational, rational, toNumber } from '../../exact/rational.ts';
import { readDegrees } from '../../exact/read-degrees.ts';
import { slope } from '../../exact/slope.ts';
import { readWidth, unitMillimetres } from '../../units/band-width.ts';
import type { StripeDesign } from '../design-schema.ts';
import { bandScale } from '../lay/lay-schema.ts';
import { layWidths, periodOf } from './compile-stripe.ts';
import { type SlopeOffer, slopeOffers, squareScale } from './slope-offers.ts';
import type { Stripe } from './stripe-schema.ts';

/** Longest side of a square repeat that is offered, in millimetres: 10 m. */
const MOST_SQUARE = rational(10_000);

/** Degrees within which an angle that is dragged or typed is met, before a larger repeat is taken for it. */
const NEAR_ENOUGH = 0.05;

/** The slopes that repeat near an angle, for the bands of a stripe as they are. */
export function offersFor(design: StripeDesign, degrees: number): readonly SlopeOffer[] {
  const { construction } = design;
  const period = periodOf(layWidths(construction, bandScale(design)));
  return slopeOffers(degrees, { period, measured: construction.measured }, MOST_SQUARE);
}

/**
 * What an angle, as it was typed, makes of a stripe: the smallest repeat that is near enough, else the nearest.
 * @throws CoreError as `readDegrees`, "slope/no-offer" {text} where no repeat is small enough
 */
export function atAngle(design: StripeDesign, asked: string): Pick<Stripe, 'slope' | 'asked'> {
  const offers = offersFor(design, toNumber(readDegrees(asked)));
  const chosen = offers.find(({ error }) => Math.abs(error) <= NEAR_ENOUGH) ?? offers.at(-1);
  if (chosen === undefined) throw new CoreError('slope/no-offer', { text: asked });
  return { slope: { ...chosen.slope }, asked };
}

/**
 * The stripe at 45°, its widths scaled and measured along the edge so that a square of that side holds a whole number
 * of periods along each edge.
 */
export function inSquare(design: StripeDesign, side: Rational, periods: number): Partial<Stripe> {
  const { construction } = design;
  const scale = bandScale(design);
  const times = squareScale(periodOf(layWidths(construction, scale)), side, periods);
  const bands = construction.bands.map(({ shade, width }) => {
    const typed = readWidth(width);
    const unit = typed.unit ?? construction.unit;
    const millimetres = multiply(multiply(typed.value, unitMillimetres(unit, scale)), times);
    return { shade, width: exactDecimal(divide(millimetres, unitMillimetres(construction.unit, scale))) };
  });
  return { bands, slope: slope(1, 1), asked: '45', measured: 'edge' };
}
