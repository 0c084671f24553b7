import { divide, isWhole, multiply, type Rational, rational } from '../../exact/rational.ts';
import {
  divideSurds,
  equalSurds,
  multiplySurds,
  rationalOf,
  root,
  type Surd,
  scaleSurd,
  surd,
} from '../../exact/surd.ts';
import { faceArea } from '../../faces/check-partition.ts';
import { partitionIn } from '../../repeat/contents.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { BandScale } from '../../units/band-width.ts';
import { layWidths, periodOf } from './compile-stripe.ts';
import type { Stripe } from './stripe-schema.ts';

/**
 * How much of a compiled stripe does not follow from its numbers, counted without looking at how it was compiled:
 * an edge of the repeat that does not hold a whole number of periods, and each band whose share of the area is not
 * its share of the period. 0 when it repeats.
 */
export function missesOfStripe(stripe: Stripe, scale: BandScale, unit: RepeatUnit): number {
  const { pitch } = unit;
  const content = partitionIn(unit);
  if (content === undefined) throw new Error('expected faces, got cells');
  const laid = layWidths(stripe, scale);
  const period = periodOf(laid);
  const edges = [
    periodsAlong(pitch.x, Math.abs(stripe.slope.rise), stripe, period),
    periodsAlong(pitch.y, stripe.slope.run, stripe, period),
  ].filter((periods) => periods === undefined || !isWhole(periods)).length;
  const bands = laid.filter(
    (band, index) => !equalSurds(faceArea(content, content.faces[index]!), surd(divide(band.width, period))),
  ).length;
  return edges + bands + Math.abs(content.faces.length - laid.length);
}

/**
 * Periods that an edge of that length holds: length × normal / period, the lines' unit normal being
 * (rise, run)/√(rise² + run²). Undefined when it is not a fraction.
 */
function periodsAlong(
  length: Surd,
  part: number,
  { slope: { rise, run }, measured }: Stripe,
  period: Rational,
): Rational | undefined {
  const diagonal = root(rational(1), rise * rise + run * run);
  const sloping = rise !== 0 && run !== 0;
  // Measured along the lower edge, a period is rise/√(rise² + run²) of that across.
  const across =
    measured === 'edge' && sloping
      ? divideSurds(root(multiply(period, rational(Math.abs(rise)))), diagonal)
      : root(period);
  const periods = divideSurds(scaleSurd(length, rational(part)), multiplySurds(diagonal, across));
  return rationalOf(periods);
}
