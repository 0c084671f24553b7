import { z } from 'zod';
import { divide, ONE, type Rational } from '../exact/rational.ts';
import type { Vector } from '../exact/vector.ts';
import type { BandScale } from '../units/band-width.ts';
import { DENSITY_BASES, parseDensity, threadPitch } from '../units/density.ts';
import { LENGTH_UNITS, toMillimetres } from '../units/length.ts';
import { parseResolution } from '../units/resolution.ts';
import { exactText } from './exact-text.ts';

/** How units are set side by side, how dense threads are, and the unit in which lengths are shown. */
export const laySchema = z.strictObject({
  kind: z.literal('straight'),
  ends: exactText(parseDensity),
  picks: exactText(parseDensity),
  per: z.enum(DENSITY_BASES),
  unit: z.enum(LENGTH_UNITS),
});

export type Lay = z.infer<typeof laySchema>;

/** Millimetres of one thread, across and up. */
export function pitchOf({ ends, picks, per }: Lay): Vector {
  return { x: threadPitch(parseDensity(ends), per), y: threadPitch(parseDensity(picks), per) };
}

/** What a thread and a pixel measure, for bands that are counted in them. */
export function bandScale({
  lay,
  resolution,
}: {
  readonly lay: Lay;
  readonly resolution: string;
}): BandScale {
  return {
    thread: pitchOf(lay).x,
    pixel: pixelOf(resolution),
  };
}

/** Millimetres of a pixel. @throws CoreError as `parseResolution` */
export function pixelOf(resolution: string): Rational {
  return divide(toMillimetres(ONE, 'in'), parseResolution(resolution));
}
