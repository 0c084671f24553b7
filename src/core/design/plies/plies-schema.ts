import { z } from 'zod';
import { PLY_BLENDS, type PlyBlend } from '../../colour/ply-blend.ts';
import { SHADE_KEY } from '../../colour/shade.ts';
import { MOST_PLIES } from '../../repeat/plies/lay-plies.ts';
import { parseStrength } from '../../thread/print.ts';
import { designSchema } from '../design-schema.ts';
import { exactText } from '../exact-text.ts';
import { parseRepeats, parseScale } from '../lay/lay-numbers.ts';
import { slopeSchema } from '../lay/lay-schema.ts';
import { parseDegrees, parseWay, SOME_SCALE } from '../motif/motif-numbers.ts';

const shadeKey = z.string().regex(SHADE_KEY);

/** What lies in a ply: another design as it was when it was taken, one shade, or a fade over all of the common repeat. */
const contentSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('design'),
    // Designs hold plies that hold designs: either module may be loaded first.
    design: z.lazy(() => designSchema),
    /** Where it lies on the shelf, and which version of it this is; null where it lies nowhere. */
    from: z.strictObject({ id: z.string().min(1).max(120), version: z.int().min(1) }).nullable(),
    /** For each of its own shades one of this design. */
    shades: z.record(shadeKey, shadeKey),
    /** All of it in one shade, as light and as dark as its own shades are; null for these. */
    tint: shadeKey.nullable(),
  }),
  z.strictObject({ kind: z.literal('shade'), shade: shadeKey }),
  z.strictObject({
    kind: z.literal('fade'),
    shades: z.array(shadeKey).min(2).max(12),
    /** Degrees, counterclockwise from the right. */
    angle: exactText(parseDegrees),
  }),
]);

export type PlyContent = z.infer<typeof contentSchema>;

const part = exactText((text) => parseWay(text, SOME_SCALE));

const plySchema = z.strictObject({
  content: contentSchema,
  /** Larger or smaller than it is by itself, or so many to one repeat of the lowest design. */
  scale: z.discriminatedUnion('to', [
    z.strictObject({ to: z.literal('factor'), factor: exactText(parseScale) }),
    z.strictObject({ to: z.literal('count'), count: exactText(parseRepeats) }),
  ]),
  slope: slopeSchema.nullable(),
  /** To the right and up: in millimetres where no unit is given, or in its own repeats. */
  shift: z.strictObject({ in: z.enum(['length', 'repeats']), x: part, y: part }),
  blend: z.enum(PLY_BLENDS as [PlyBlend, ...PlyBlend[]]),
  strength: exactText(parseStrength),
  /** The ply in whose painted parts alone it is seen, counted from the lowest, which is 0. */
  clip: z
    .int()
    .min(0)
    .max(MOST_PLIES - 1)
    .nullable(),
  shown: z.boolean(),
});

export type PlySpec = z.infer<typeof plySchema>;

/** Designs over each other, the lowest first. */
export const pliesSchema = z
  .strictObject({
    kind: z.literal('plies'),
    plies: z.array(plySchema).min(1).max(MOST_PLIES),
  })
  .superRefine(({ plies }, context) => {
    plies.forEach(({ content, clip }, at) => {
      if (clip !== null && (clip === at || clip >= plies.length)) {
        context.addIssue({ code: 'custom', path: ['plies', at, 'clip'], message: 'ply/clip' });
      }
      if (content.kind !== 'design') return;
      for (const { key } of content.design.shades) {
        if (Object.hasOwn(content.shades, key)) continue;
        context.addIssue({
          code: 'custom',
          path: ['plies', at, 'content', 'shades', key],
          message: 'ply/shade',
        });
      }
    });
  });

export type PliesSpec = z.infer<typeof pliesSchema>;
