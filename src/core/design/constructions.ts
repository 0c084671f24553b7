import { z } from 'zod';
import type { ConstructionKind } from './construction.ts';
import { MOTIF } from './motif/motif-kind.ts';
import type { Motif } from './motif/motif-schema.ts';
import { PLAID } from './plaid/plaid-kind.ts';
import type { Plaid } from './plaid/plaid-schema.ts';
import { PLIES } from './plies/plies-kind.ts';
import type { PliesSpec } from './plies/plies-schema.ts';
import { STRIPE } from './stripe/stripe-kind.ts';
import type { Stripe } from './stripe/stripe-schema.ts';
import { TILING } from './tiling/tiling-kind.ts';
import type { TilingSpec } from './tiling/tiling-schema.ts';

/** Every construction by its kind. Another one is a line here and a line in `KINDS`. */
export interface ByKind {
  plaid: Plaid;
  stripe: Stripe;
  tiling: TilingSpec;
  motif: Motif;
  plies: PliesSpec;
}

export const KINDS: { readonly [K in keyof ByKind]: ConstructionKind<ByKind[K]> } = {
  plaid: PLAID,
  stripe: STRIPE,
  tiling: TILING,
  motif: MOTIF,
  plies: PLIES,
};

export type Construction = ByKind[keyof ByKind];

/** What there is to know of a construction, whichever it is. */
export function kindFor<C extends Construction>(construction: C): ConstructionKind<C> {
  return KINDS[construction.kind] as unknown as ConstructionKind<C>;
}

/** The stored numbers of any construction. */
export const constructionSchema = z.discriminatedUnion(
  'kind',
  Object.values(KINDS).map(({ schema }) => schema) as never,
) as unknown as z.ZodType<Construction>;
