import { z } from 'zod';
import { CoreError } from '../../error.ts';
import { HANDS, MAX_TWILL } from '../../thread/weave.ts';
import { buildWeave } from '../../thread/weaves/build-weave.ts';
import { MAX_DRAFT, MAX_MATRIX, MAX_SHAFTS, TWILL_TURNS } from '../../thread/weaves/weave-spec.ts';

const float = z.int().min(1).max(MAX_TWILL);
const line = z.array(float).min(2).max(MAX_TWILL);
const size = z.int().min(1).max(MAX_MATRIX);
const shaft = z.int().min(1).max(MAX_SHAFTS);

/** Structures that are not made of others. */
const SIMPLE = [
  z.strictObject({ kind: z.literal('twill'), over: float, under: float, hand: z.enum(HANDS) }),
  z.strictObject({ kind: z.literal('line'), line, step: size, hand: z.enum(HANDS) }),
  z.strictObject({
    kind: z.literal('steps'),
    line,
    steps: z.array(z.int().min(-MAX_MATRIX).max(MAX_MATRIX)).min(1).max(MAX_MATRIX),
  }),
  z.strictObject({ kind: z.literal('rib'), face: z.enum(['warp', 'weft']), a: float, b: float }),
  z.strictObject({ kind: z.literal('hopsack'), ends: float, picks: float }),
  z.strictObject({ kind: z.literal('turned'), line, run: size, turn: z.enum(TWILL_TURNS) }),
  z.strictObject({ kind: z.literal('satin'), ends: size, step: size, face: z.enum(['warp', 'weft']) }),
  z.strictObject({ kind: z.literal('honeycomb'), size }),
  z.strictObject({ kind: z.literal('crepe'), size, seed: z.int().min(0).max(999_999_999), most: size }),
  z.strictObject({ kind: z.literal('shaded'), ends: size, step: size, tones: size }),
  z.strictObject({ kind: z.literal('double'), stitched: z.boolean() }),
  z.strictObject({
    kind: z.literal('matrix'),
    rows: z
      .array(
        z
          .string()
          .regex(/^[#.]+$/)
          .max(MAX_MATRIX),
      )
      .min(1)
      .max(MAX_MATRIX),
  }),
  z.strictObject({
    kind: z.literal('draft'),
    threading: z.array(shaft).min(1).max(MAX_DRAFT),
    tieup: z.array(z.array(shaft).max(MAX_SHAFTS)).min(1).max(MAX_DRAFT),
    treadling: z.array(z.int().min(1).max(MAX_DRAFT)).min(1).max(MAX_DRAFT),
  }),
] as const;

/** How threads are interlaced; each kind as `WeaveSpec` says. */
export const weaveSchema = z
  .discriminatedUnion('kind', [
    ...SIMPLE,
    z.strictObject({
      kind: z.literal('blocks'),
      profile: z
        .array(
          z
            .string()
            .regex(/^[A-Z]+$/)
            .max(MAX_MATRIX),
        )
        .min(1)
        .max(MAX_MATRIX),
      weaves: z
        .array(
          z.strictObject({
            letter: z.string().regex(/^[A-Z]$/),
            weave: z.discriminatedUnion('kind', SIMPLE),
          }),
        )
        .min(1)
        .max(26),
    }),
  ])
  .superRefine((weave, context) => {
    try {
      buildWeave(weave);
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      context.addIssue({ code: 'custom', message: error.code });
    }
  });

export type Weave = z.infer<typeof weaveSchema>;
