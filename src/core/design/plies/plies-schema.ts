import { z } from 'zod';
import { PLY_BLENDS, type PlyBlend } from '../../colour/ply-blend.ts';
import { SHADE_KEY } from '../../colour/shade.ts';
import { MOST_PLIES } from '../../repeat/plies/lay-plies.ts';
import { MAX_FADE_SHADES } from '../../shape/fade-way.ts';
import { parseStrength } from '../../thread/print.ts';
import { type Design, designSchema } from '../design-schema.ts';
import { exactText } from '../exact-text.ts';
import { parseRepeats, parseScale } from '../lay/lay-numbers.ts';
import { slopeSchema } from '../lay/lay-schema.ts';
import { parseDegrees, parseWay, SOME_SCALE } from '../motif/motif-numbers.ts';
import { MOST_PLY_DEPTH, plyDepth } from './ply-depth.ts';

const shadeKey = z.string().regex(SHADE_KEY);

/** Where a ply's design lies on the shelf, and which version of it the ply has. */
const sourceSchema = z.strictObject({ id: z.string().min(1).max(120), version: z.int().min(1) });

const shadeSchema = z.strictObject({ kind: z.literal('shade'), shade: shadeKey });

const fadeSchema = z.strictObject({
  kind: z.literal('fade'),
  shades: z.array(shadeKey).min(2).max(MAX_FADE_SHADES),
  /** Degrees, counterclockwise from the right. */
  angle: exactText(parseDegrees),
});

/** A design in a ply, as it was when it was taken. Designs hold plies that hold designs, so the types are written out. */
export interface DesignContent {
  kind: 'design';
  design: Design;
  /** Null where it lies nowhere on the shelf. */
  from: z.infer<typeof sourceSchema> | null;
  /** For each of its own shades one of the design that it is a ply of. */
  shades: Record<string, string>;
  /** All of it in one shade, as light and as dark as its own shades are; null for these. */
  tint: string | null;
}

/** What lies in a ply: another design, one shade, or a fade over all of the common repeat. */
export type PlyContent = DesignContent | z.infer<typeof shadeSchema> | z.infer<typeof fadeSchema>;

const contentSchema: z.ZodType<PlyContent> = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('design'),
    // Either module may be loaded first.
    design: z.lazy((): z.ZodType<Design> => designSchema),
    from: sourceSchema.nullable(),
    shades: z.record(shadeKey, shadeKey),
    tint: shadeKey.nullable(),
  }),
  shadeSchema,
  fadeSchema,
]);

const part = exactText((text) => parseWay(text, SOME_SCALE));

/** What a shift is counted in. */
export const SHIFTED_IN = ['length', 'steps', 'repeats'] as const;

/** How a ply lies over those beneath it. */
const lookSchema = z.strictObject({
  /** Larger or smaller than it is by itself, or so many to one repeat of the lowest design. */
  scale: z.discriminatedUnion('to', [
    z.strictObject({ to: z.literal('factor'), factor: exactText(parseScale) }),
    z.strictObject({ to: z.literal('count'), count: exactText(parseRepeats) }),
  ]),
  slope: slopeSchema.nullable(),
  /** To the right and up: in millimetres where no unit is given, in its own threads or steps, or in its own repeats. */
  shift: z.strictObject({ in: z.enum(SHIFTED_IN), x: part, y: part }),
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

export interface PlySpec extends z.infer<typeof lookSchema> {
  content: PlyContent;
}

export interface PliesSpec {
  kind: 'plies';
  plies: PlySpec[];
}

const plySchema = lookSchema.extend({ content: contentSchema });

/** Designs over each other, the lowest first. */
export const pliesSchema: z.ZodType<PliesSpec> = z
  .strictObject({
    kind: z.literal('plies'),
    plies: z.array(plySchema).min(1).max(MOST_PLIES),
  })
  .superRefine((construction, context) => {
    const { plies } = construction;
    if (plyDepth(construction) > MOST_PLY_DEPTH) {
      context.addIssue({ code: 'custom', path: ['plies'], message: 'ply/depth' });
    }
    plies.forEach(({ content, clip }, at) => {
      if (clip !== null && (clip === at || clip >= plies.length)) {
        context.addIssue({ code: 'custom', path: ['plies', at, 'clip'], message: 'ply/clip' });
      }
      if (content.kind !== 'design') return;
      if (Object.keys(content.design.pictures).length > 0) {
        context.addIssue({
          code: 'custom',
          path: ['plies', at, 'content', 'design', 'pictures'],
          message: 'ply/pictures',
        });
      }
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
