import { z } from 'zod';
import { SHADE_KEY } from '../../colour/shade.ts';
import { gcd } from '../../exact/rational.ts';
import { readDegrees } from '../../exact/read-degrees.ts';
import { MAX_SLOPE } from '../../exact/slope.ts';
import { MAX_BANDS } from '../../thread/band.ts';
import { MIRRORS } from '../../thread/sequence.ts';
import { BAND_UNITS, readWidth } from '../../units/band-width.ts';
import { exactText } from '../exact-text.ts';

/** Whether widths are measured at a right angle to the lines, or along the edge of the cloth that they run into. */
export const MEASURED = ['across', 'edge'] as const;
export type Measured = (typeof MEASURED)[number];

const wideBandSchema = z.strictObject({
  shade: z.string().regex(SHADE_KEY),
  width: exactText(readWidth),
});

/** Bands side by side, in widths, running upright, level or at a slope. Printed or painted, not woven. */
export const stripeSchema = z.strictObject({
  kind: z.literal('stripe'),
  bands: z.array(wideBandSchema).min(1).max(MAX_BANDS),
  mirror: z.enum(MIRRORS),
  /** What a width without a unit of its own is measured in. */
  unit: z.enum(BAND_UNITS),
  /** Where the lines go: 1/0 upright, 0/1 level; in lowest terms. */
  slope: z
    .strictObject({
      rise: z.int().min(-MAX_SLOPE).max(MAX_SLOPE),
      run: z.int().min(0).max(MAX_SLOPE),
    })
    .refine(({ rise, run }) => inLowestTerms(rise, run)),
  /** The angle that was asked for, in degrees, as it was typed; null when a slope was. */
  asked: exactText(readDegrees).nullable(),
  measured: z.enum(MEASURED),
  /** The shade whose bands are left clear; null when none are. */
  clear: z.string().regex(SHADE_KEY).nullable(),
});

export type Stripe = z.infer<typeof stripeSchema>;
export type WideBand = Stripe['bands'][number];

function inLowestTerms(rise: number, run: number): boolean {
  return gcd(BigInt(rise), BigInt(run)) === 1n && (run > 0 || rise === 1);
}
