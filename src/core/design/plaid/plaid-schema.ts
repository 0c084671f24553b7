import { z } from 'zod';
import { PRINT_BLENDS } from '../../colour/blend.ts';
import { SHADE_KEY } from '../../colour/shade.ts';
import { MAX_BANDS, MAX_COUNT } from '../../thread/band.ts';
import { parseStrength } from '../../thread/print.ts';
import { MIRRORS } from '../../thread/sequence.ts';
import { exactText } from '../exact-text.ts';
import { weaveSchema } from './weave-schema.ts';

const bandSchema = z.strictObject({
  shade: z.string().regex(SHADE_KEY),
  count: z.int().min(1).max(MAX_COUNT),
  /** How strongly it is printed; left out, as its set of stripes is. */
  strength: exactText(parseStrength).optional(),
});

const sequenceSchema = z.strictObject({
  bands: z.array(bandSchema).min(1).max(MAX_BANDS),
  mirror: z.enum(MIRRORS),
});

/** The two ways of crossing: thread by thread under an interlacing, or one set of stripes printed over the other. */
export const CROSSINGS = ['woven', 'printed'] as const;
export type Crossed = (typeof CROSSINGS)[number];

const printSchema = z.strictObject({
  blend: z.enum(PRINT_BLENDS),
  strength: exactText(parseStrength),
  top: z.enum(['warp', 'weft']),
  /** The shade that lies under everything; null is white. */
  ground: z.string().regex(SHADE_KEY).nullable(),
});

export type PrintChoice = z.infer<typeof printSchema>;

/**
 * A warp sequence crossed with a weft sequence. The weft's own bands are kept while it follows
 * the warp, and the weave while it is printed, so that nothing typed is lost.
 */
export const plaidSchema = z.strictObject({
  kind: z.literal('plaid'),
  warp: sequenceSchema,
  /** `turn`: threads by which a weft that follows begins later. `own` is null as long as it never had bands of its own. */
  weft: z
    .strictObject({
      follows: z.boolean(),
      turn: z.int().min(0).max(MAX_COUNT),
      own: sequenceSchema.nullable(),
    })
    .refine(({ follows, own }) => follows || own !== null, { path: ['own'] }),
  crossing: z.enum(CROSSINGS),
  weave: weaveSchema,
  print: printSchema,
});

export type Plaid = z.infer<typeof plaidSchema>;
