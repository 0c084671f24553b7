import { divide, ONE } from '../exact/rational.ts';
import type { Vector } from '../exact/vector.ts';
import { type RepeatUnit, straightUnit } from '../repeat/repeat-unit.ts';
import type { Cells } from '../thread/cells.ts';
import type { Partition } from '../tiling/partition.ts';
import type { Stack } from '../tiling/stack.ts';
import type { BandScale } from '../units/band-width.ts';
import { parseDensity, threadPitch } from '../units/density.ts';
import { toMillimetres } from '../units/length.ts';
import { parseResolution } from '../units/resolution.ts';
import type { Design, Lay, PlaidDesign, StripeDesign, TilingDesign } from './design-schema.ts';
import { compilePlaid } from './plaid/compile-plaid.ts';
import { compileStripe } from './stripe/compile-stripe.ts';
import { compileTiling } from './tiling/compile-tiling.ts';

/**
 * The exact repeat of a design: the one way from its numbers to anything that is shown, checked or sent.
 * @throws CoreError of the construction
 */
export function compile(design: PlaidDesign): RepeatUnit<Cells>;
export function compile(design: StripeDesign): RepeatUnit<Partition>;
export function compile(design: TilingDesign): RepeatUnit<Partition | Stack>;
export function compile(design: Design): RepeatUnit;
export function compile(design: Design): RepeatUnit {
  const { construction, shades, lay } = design;
  switch (construction.kind) {
    case 'plaid':
      return straightUnit(compilePlaid(construction, shades), pitchOf(lay));
    case 'stripe':
      return compileStripe(construction, shades, bandScale(design));
    case 'tiling':
      return compileTiling(construction, shades);
    default:
      return construction satisfies never;
  }
}

/** What a thread and a pixel measure, for bands that are counted in them. */
export function bandScale({ lay, resolution }: Pick<Design, 'lay' | 'resolution'>): BandScale {
  return {
    thread: pitchOf(lay).x,
    pixel: divide(toMillimetres(ONE, 'in'), parseResolution(resolution)),
  };
}

/** Millimetres of one thread, across and up. */
export function pitchOf({ ends, picks, per }: Lay): Vector {
  return { x: threadPitch(parseDensity(ends), per), y: threadPitch(parseDensity(picks), per) };
}
