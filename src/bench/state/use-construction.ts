import {
  asPlaid,
  asStripe,
  asTiling,
  type PlaidDesign,
  type StripeDesign,
  type TilingDesign,
} from '../../core/design/design-schema.ts';
import { useDesign } from './bench-store.ts';

/** The design on the bench, for parts that only a plaid has. */
export function usePlaid(): PlaidDesign {
  return asPlaid(useDesign());
}

/** The design on the bench, for parts that only a tiling has. */
export function useTiling(): TilingDesign {
  return asTiling(useDesign());
}

/** The design on the bench, for parts that only a stripe has. */
export function useStripe(): StripeDesign {
  return asStripe(useDesign());
}
