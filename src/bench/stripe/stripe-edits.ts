import type { Stripe } from '../../core/design/stripe/stripe-schema.ts';
import { changing, type Edit } from '../state/design-edits.ts';

/** Changes what a stripe is; nothing when nothing of it is new. */
export function setStripe(change: Partial<Stripe>): Edit {
  return changing('stripe', () => change);
}
