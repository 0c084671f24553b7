import type { ConstructionKind } from '../construction.ts';
import { stripeToCsv } from '../exchange/stripe-csv.ts';
import { stripeToText } from '../exchange/write-stripe-text.ts';
import { bandScale } from '../lay/lay-schema.ts';
import { mapBands } from '../map-bands.ts';
import { compileStripe } from './compile-stripe.ts';
import { missesOfStripe } from './prove-stripe.ts';
import { STRIPE_BANDS } from './stripe-bands.ts';
import { type Stripe, stripeSchema } from './stripe-schema.ts';
import { STRIPE_STARTS } from './stripe-starts.ts';

/** Bands of exact widths side by side, at any slope that repeats. */
export const STRIPE: ConstructionKind<Stripe> = {
  schema: stripeSchema,
  compile: (stripe, context) => compileStripe(stripe, context.shades, bandScale(context)),
  misses: (stripe, context, unit) => missesOfStripe(stripe, bandScale(context), unit),
  mapShades: (stripe, to) => {
    const mapped = mapBands(stripe, [], to);
    return { ...mapped, clear: stripe.clear === null ? null : to(stripe.clear, ['clear']) };
  },
  kindOf: () => 'stripe',
  density: 'widths',
  drawing: 'plain',
  isClear: ({ clear }) => clear !== null,
  starts: () => STRIPE_STARTS,
  filesOf: () => ({ 'counts.txt': stripeToText, 'counts.csv': stripeToCsv }),
  partsOf: ({ slope, asked, measured, clear }) => ({ direction: [slope, asked, measured], clear }),
  banded: STRIPE_BANDS,
};
