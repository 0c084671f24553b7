import { asStripe } from '../../core/design/design-schema.ts';
import type { Stripe } from '../../core/design/stripe/stripe-schema.ts';
import { type Edit, withConstruction } from './design-edits.ts';

/** Changes what a stripe is; nothing when nothing of it is new. */
export function setStripe(change: Partial<Stripe>): Edit {
  return (design) => {
    const { construction } = asStripe(design);
    const changed = { ...construction, ...change };
    const same = JSON.stringify(changed) === JSON.stringify(construction);
    return withConstruction(design, same ? construction : changed);
  };
}
