import type { PlaidDesign, StripeDesign } from '../design-schema.ts';
import { newStripe } from '../new-design.ts';

/** A plaid's warp as a stripe, its widths in threads, so that they are exactly as wide; everything else stays. */
export function stripeOfPlaid(design: PlaidDesign): StripeDesign {
  const { bands, mirror } = design.construction.warp;
  const { construction } = newStripe({
    name: design.name,
    shades: design.shades,
    bands: bands.map(({ shade, count }) => ({ shade, width: String(count) })),
    mirror,
    unit: 'thread',
  });
  return { ...design, construction };
}
