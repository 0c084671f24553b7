import { LEVEL, type Slope, sameSlope, slopeText, UPRIGHT } from '../../exact/slope.ts';
import { formatCountsText } from '../../formats/counts-text.ts';
import { formatShadeList } from '../../formats/shade-list.ts';
import type { StripeDesign } from '../design-schema.ts';
import type { Stripe } from '../stripe/stripe-schema.ts';

/** The bands of a stripe as text that `designFromText` reads back. */
export function stripeToText({ name, construction, shades, lay }: StripeDesign): string {
  const { unit, slope, asked, measured, clear, mirror } = construction;
  return formatCountsText({
    name,
    shades: formatShadeList(shades),
    stripe: formatBandWidths(construction),
    pivots: mirror === 'none' ? undefined : mirror,
    unit,
    slope: directionText(slope),
    angle: asked ?? undefined,
    measured,
    clear: clear ?? undefined,
    density: unit === 'thread' ? `${lay.ends} x ${lay.picks} / ${lay.per}` : undefined,
  });
}

export function formatBandWidths({ bands, mirror }: Pick<Stripe, 'bands' | 'mirror'>): string {
  return bands
    .map(({ shade, width }, index) => {
      const pivot = mirror !== 'none' && (index === 0 || index === bands.length - 1);
      return `${shade}${pivot ? '/' : ''}${width.replace(/\s+/g, '')}`;
    })
    .join(' ');
}

function directionText(slope: Slope): string {
  return sameSlope(slope, UPRIGHT) ? 'down' : sameSlope(slope, LEVEL) ? 'across' : slopeText(slope);
}
