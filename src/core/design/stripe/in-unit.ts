import { exactDecimal } from '../../exact/exact-decimal.ts';
import { divide } from '../../exact/rational.ts';
import { type BandScale, type BandUnit, unitMillimetres, widthMillimetres } from '../../units/band-width.ts';
import type { Stripe } from './stripe-schema.ts';

/** A stripe measured in another unit, every band exactly as wide as it was. @throws CoreError of the widths */
export function inUnit(
  stripe: Pick<Stripe, 'bands' | 'unit'>,
  unit: BandUnit,
  scale: BandScale,
): Pick<Stripe, 'bands' | 'unit'> {
  const one = unitMillimetres(unit, scale);
  const bands = stripe.bands.map(({ shade, width }) => ({
    shade,
    width: exactDecimal(divide(widthMillimetres(width, stripe.unit, scale), one)),
  }));
  return { unit, bands };
}
