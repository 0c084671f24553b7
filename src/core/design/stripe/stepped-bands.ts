import { commonMultiple } from '../../exact/common-multiple.ts';
import { exactDecimal } from '../../exact/exact-decimal.ts';
import { compare, divide, multiply, type Rational, rational, round } from '../../exact/rational.ts';
import type { Band } from '../../thread/band.ts';
import type { Mirror, Sequence } from '../../thread/sequence.ts';
import { widthIn } from '../../units/band-width.ts';
import { bandScale, type Lay } from '../lay/lay-schema.ts';
import type { Stripe, WideBand } from './stripe-schema.ts';

/** What the widths of a stripe's bands follow from. */
interface Measured {
  readonly construction: Stripe;
  readonly lay: Lay;
  readonly resolution: string;
}

/**
 * A band of a stripe as the rail works it: its width as a whole number of steps. The typed width stays with it and
 * counts as long as the number of steps is the one that it had.
 */
export interface SteppedBand extends Band {
  readonly width?: string;
  readonly widthCount?: number;
}

export interface SteppedSequence extends Sequence {
  readonly bands: readonly SteppedBand[];
  readonly mirror: Mirror;
  /** In the stripe's unit; left out, what is usual for the stripe. */
  readonly step?: Rational;
}

/** Most steps of the typed bands together; finer widths are rounded on the rail, not in the design. */
const MOST_STEPS = 50_000;

/** Largest common denominator that is tried. */
const MOST_PARTS = 1_000_000;

/** What one step of the rail is, in the stripe's unit: the largest that all widths are whole in, where that can be. */
export function stepOf(design: Measured): Rational {
  const { bands, unit } = design.construction;
  const scale = bandScale(design);
  const widths = bands.map(({ width }) => widthIn(width, unit, scale));
  let parts = 1;
  for (const { d } of widths) {
    parts = d > BigInt(MOST_PARTS) ? MOST_PARTS : commonMultiple(parts, Number(d));
    if (parts >= MOST_PARTS) break;
  }
  const fine = rational(1, Math.min(parts, MOST_PARTS));
  const total = widths.reduce((sum, width) => sum + Number(round(multiply(width, rational(1000)))) / 1000, 0);
  let step = fine;
  // Then the finest of 1, 10, 100 … thousandths that is coarse enough.
  for (let nice = 1; total * Number(step.d) > MOST_STEPS * Number(step.n); nice *= 10) {
    step = rational(nice, 1000);
  }
  return compare(step, fine) < 0 ? fine : step;
}

/** The bands of a stripe for the rail. */
export function steppedSequence(design: Measured): SteppedSequence & { readonly step: Rational } {
  const { bands, mirror, unit } = design.construction;
  const scale = bandScale(design);
  const step = stepOf(design);
  return {
    mirror,
    step,
    bands: bands.map(({ shade, width }) => {
      const count = Math.max(1, Number(round(divide(widthIn(width, unit, scale), step))));
      return { shade, count, width, widthCount: count };
    }),
  };
}

/** The stripe with the rail's bands; a width that was not touched stays as it was typed. */
export function withStepped(design: Measured, { bands, mirror, step }: SteppedSequence): Stripe {
  const one = step ?? stepOf(design);
  return { ...design.construction, mirror, bands: bands.map((band) => wideBand(band, one)) };
}

function wideBand({ shade, count, width, widthCount }: SteppedBand, step: Rational): WideBand {
  if (width !== undefined && count === widthCount) return { shade, width };
  return { shade, width: exactDecimal(multiply(step, rational(count))) };
}

/** What is written on a band: its width as typed, or what the hand has made of it. */
export function widthOnRail(band: SteppedBand, step: Rational): string {
  return wideBand(band, step).width;
}
