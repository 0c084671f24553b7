import type { Banded } from '../construction.ts';
import { stepOf, steppedSequence, withStepped } from './stepped-bands.ts';
import type { Stripe } from './stripe-schema.ts';

/** A stripe has one sequence, whichever way it is asked for, with widths as whole numbers of steps. */
export const STRIPE_BANDS: Banded<Stripe> = {
  // Lines that are level run into the left edge only, others into the upper.
  railsOf: ({ slope }) => (slope.rise === 0 ? ['weft'] : ['warp']),
  isShared: () => true,
  turnOf: () => 0,
  sequenceOf: (construction, _direction, context) => steppedSequence({ ...context, construction }),
  withSequence: (construction, _direction, sequence, context) =>
    withStepped({ ...context, construction }, sequence),
  measured: {
    unitOf: ({ unit }) => unit,
    stepOf: (construction, context) => stepOf({ ...context, construction }),
    slopeOf: ({ slope }) => slope,
    widthOf: ({ bands }, band) => bands[band]!.width,
    withWidth: (stripe, band, width) => ({
      ...stripe,
      bands: stripe.bands.map((each, at) => (at === band ? { ...each, width } : each)),
    }),
    withBands: (stripe, bands) => ({
      ...stripe,
      bands: bands.map((band) => ({ ...band })),
      mirror: 'none',
      clear: null,
    }),
  },
};
