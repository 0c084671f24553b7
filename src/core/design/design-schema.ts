import { z } from 'zod';
import { HEX } from '../colour/hex.ts';
import { MAX_SHADES, SHADE_KEY } from '../colour/shade.ts';
import { cleanLines, cleanText } from '../formats/clean-text.ts';
import { parseResolution } from '../units/resolution.ts';
import { type Construction, constructionSchema } from './constructions.ts';
import { exactText } from './exact-text.ts';
import { type Lay, laySchema } from './lay/lay-schema.ts';
import type { Motif } from './motif/motif-schema.ts';
import { carriedSchema } from './picture-schema.ts';
import type { Plaid } from './plaid/plaid-schema.ts';
import type { PliesSpec } from './plies/plies-schema.ts';
import { shadesUsed } from './shades-used.ts';
import type { Stripe } from './stripe/stripe-schema.ts';
import type { TilingSpec } from './tiling/tiling-schema.ts';
import { type TryOn, tryOnSchema } from './try-on/try-on-schema.ts';
import { yarnSchema } from './yarn-schema.ts';

/** What every design document says of itself. */
export const DESIGN_FORMAT = 'vetro-design';
export const DESIGN_VERSION = 16;

/** Longest name and number. */
export const MAX_NAME = 120;

/** Longest notes. */
export const MAX_NOTES = 10_000;

/** A name on one line that every file can hold. */
const nameSchema = z.string().overwrite(cleanText).trim().min(1).max(MAX_NAME);

const shadeSchema = z.strictObject({
  key: z.string().regex(SHADE_KEY),
  name: z.string().overwrite(cleanText).min(1).max(MAX_NAME),
  hex: z.string().regex(HEX),
});

/** Most colourways of one design. */
export const MAX_COLOURWAYS = 60;

/** Another set of colours: for each shade's key another colour; a shade that is not named keeps its own. */
const colourwaySchema = z.strictObject({
  name: nameSchema,
  colours: z.record(z.string().regex(SHADE_KEY), z.string().regex(HEX)),
});

const keptSchema = z.strictObject({
  section: z.string().min(1).max(MAX_NAME),
  lines: z.array(z.array(z.string().max(4000)).length(2)).max(20_000),
});

/** The stored document of one design: its numbers, never its pixels. docs/formats.md explains each field. */
export const designSchema = z
  .strictObject({
    format: z.literal(DESIGN_FORMAT),
    version: z.literal(DESIGN_VERSION),
    name: nameSchema,
    number: z.string().overwrite(cleanText).max(MAX_NAME),
    /** What its maker wants to remember of it; lines of text. */
    notes: z.string().overwrite(cleanLines).max(MAX_NOTES),
    shades: z.array(shadeSchema).min(1).max(MAX_SHADES),
    colourways: z.array(colourwaySchema).max(MAX_COLOURWAYS),
    // Start points are written as text that is read by this schema, so either module may be loaded first.
    construction: z.lazy(() => constructionSchema),
    lay: laySchema,
    resolution: exactText(parseResolution),
    /** What the cloth is tried on; null where on nothing yet. */
    tryOn: z.lazy((): z.ZodType<TryOn | null> => tryOnSchema.nullable()),
    /** What a piece of the cloth is to be. */
    yarn: yarnSchema,
    /** Files of the pictures that it shows, where it is not a shelf that keeps them. */
    pictures: carriedSchema,
    /** What a file held that Vetro has no place for, to be written back. */
    kept: z.array(keptSchema).max(200),
  })
  .superRefine((design, context) => {
    const keys = new Set<string>();
    design.shades.forEach(({ key }, index) => {
      if (keys.has(key)) {
        context.addIssue({ code: 'custom', path: ['shades', index, 'key'], message: 'shade/twice' });
      }
      keys.add(key);
    });
    const names = design.colourways.map(({ name }) => name);
    names.forEach((name, index) => {
      if (names.indexOf(name) < index) {
        context.addIssue({ code: 'custom', path: ['colourways', index, 'name'], message: 'colourway/twice' });
      }
    });
    for (const { path, key } of shadesUsed(design.construction)) {
      if (!keys.has(key)) {
        context.addIssue({ code: 'custom', path: ['construction', ...path], message: 'band/shade' });
      }
    }
  });

export type Design = z.infer<typeof designSchema>;
export type { Construction, Lay };

/** A design of one construction. */
export type DesignOf<C> = Design & { construction: C };
export type PlaidDesign = DesignOf<Plaid>;
export type StripeDesign = DesignOf<Stripe>;
export type TilingDesign = DesignOf<TilingSpec>;
export type MotifDesign = DesignOf<Motif>;
export type PliesDesign = DesignOf<PliesSpec>;
