import { z } from 'zod';
import { SHADE_KEY } from '../../colour/shade.ts';
import { MAX_BANDS, MAX_COUNT } from '../../thread/band.ts';
import { MIRRORS } from '../../thread/sequence.ts';
import { HANDS, MAX_TWILL } from '../../thread/weave.ts';

const bandSchema = z.strictObject({
  shade: z.string().regex(SHADE_KEY),
  count: z.int().min(1).max(MAX_COUNT),
});

const sequenceSchema = z.strictObject({
  bands: z.array(bandSchema).min(1).max(MAX_BANDS),
  mirror: z.enum(MIRRORS),
});

const twillSchema = z.strictObject({
  kind: z.literal('twill'),
  over: z.int().min(1).max(MAX_TWILL),
  under: z.int().min(1).max(MAX_TWILL),
  hand: z.enum(HANDS),
});

/**
 * A warp sequence crossed with a weft sequence, thread by thread. The weft's own bands are kept while it follows
 * the warp, so that nothing typed is lost.
 */
export const plaidSchema = z.strictObject({
  kind: z.literal('plaid'),
  warp: sequenceSchema,
  /** `own` is null as long as the weft has never had bands of its own. */
  weft: z
    .strictObject({ follows: z.boolean(), own: sequenceSchema.nullable() })
    .refine(({ follows, own }) => follows || own !== null, { path: ['own'] }),
  weave: twillSchema,
});

export type Plaid = z.infer<typeof plaidSchema>;
