import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { add, compare, divide, type Rational, rational, toDecimal } from '../../exact/rational.ts';
import type { Slope } from '../../exact/slope.ts';
import { nearFraction, root, type Surd, scaleSurd, surd, ZERO_SURD } from '../../exact/surd.ts';
import type { Corner } from '../../faces/check-partition.ts';
import type { Face, Partition } from '../../faces/partition.ts';
import type { RepeatUnit, TrueSize } from '../../repeat/repeat-unit.ts';
import { type BandScale, MAX_WIDTH, widthMillimetres } from '../../units/band-width.ts';
import type { Measured, Stripe, WideBand } from './stripe-schema.ts';

/** A band where it lies in the full repeat of its stripe. */
export interface LaidWidth {
  readonly shade: string;
  /** Millimetres, exact, and those before it. */
  readonly width: Rational;
  readonly start: Rational;
}

/** One repeat of the bands, turned back at its pivots as `layOut` does. */
export function layWidths({ bands, mirror, unit }: Stripe, scale: BandScale): readonly LaidWidth[] {
  const back = mirror === 'none' ? [] : mirror === 'shared' ? bands.slice(1, -1) : bands;
  let start = rational(0);
  return [...bands, ...[...back].reverse()].map(({ shade, width }: WideBand) => {
    const laid = { shade, width: widthMillimetres(width, unit, scale), start };
    start = add(start, laid.width);
    return laid;
  });
}

/** Millimetres of one repeat of the bands, measured as the stripe says. */
export function periodOf(laid: readonly LaidWidth[]): Rational {
  const last = laid.at(-1)!;
  return add(last.start, last.width);
}

/**
 * The upright repeat of stripes of one period. A tile holds a whole number of periods along each edge, here one: for
 * the unit normal (n₁, n₂) of the lines, width = period/n₁ and height = period/n₂, and n₁ : n₂ = rise : run.
 * Lines that are upright or level repeat after any length along themselves; a square is taken.
 * Common practice of the trade.
 */
export function stripeRepeat(period: Rational, { rise, run }: Slope, measured: Measured): TrueSize {
  if (rise === 0 || run === 0) return { width: root(period), height: root(period) };
  const up = rational(Math.abs(rise));
  const along = rational(run);
  if (measured === 'edge') {
    return { width: root(period), height: root(divide(period, divide(along, up))) };
  }
  const diagonal = root(period, rise * rise + run * run);
  return {
    width: scaleSurd(diagonal, divide(rational(1), up)),
    height: scaleSurd(diagonal, divide(rational(1), along)),
  };
}

/**
 * The smallest square that repeats: as many periods along its lower edge as the slope rises, and along its side as it
 * runs. This is what a slope costs.
 */
export function stripeSquare(period: Rational, slope: Slope, measured: Measured): Surd {
  const { width } = stripeRepeat(period, slope, measured);
  return scaleSurd(width, rational(Math.max(1, Math.abs(slope.rise))));
}

/** @throws CoreError of the widths, "stripe/too-large" {width, height, most} */
export function compileStripe(
  stripe: Stripe,
  shades: readonly Shade[],
  scale: BandScale,
): RepeatUnit<Partition> {
  const laid = layWidths(stripe, scale);
  const size = stripeRepeat(periodOf(laid), stripe.slope, stripe.measured);
  checkSize(size);
  const one = rational(1);
  const zero = rational(0);
  return {
    lattice: [
      { x: one, y: zero },
      { x: zero, y: one },
    ],
    repeat: { width: one, height: one },
    pitch: { x: size.width, y: size.height },
    grid: { step: 'mm' },
    content: partitionOf(stripe, laid, shades),
  };
}

function checkSize({ width, height }: TrueSize): void {
  const most = rational(MAX_WIDTH);
  const sides = [width, height].map(nearFraction);
  if (sides.some((side) => compare(side, most) > 0)) {
    const [across, up] = sides.map((side) => toDecimal(divide(side, rational(1000)), 1));
    throw new CoreError('stripe/too-large', { width: across!, height: up!, most: MAX_WIDTH / 1000 });
  }
}

/** One parallelogram a band: from its piece of the lower edge (or of the left one, when level) a repeat along the lines. */
function partitionOf(
  { slope: { rise, run }, clear }: Stripe,
  laid: readonly LaidWidth[],
  shades: readonly Shade[],
): Partition {
  const period = periodOf(laid);
  const level = rise === 0;
  const lean = level || run === 0 ? 0 : Math.sign(rise);
  const vertices = laid.map(({ start }) => {
    const part = divide(start, period);
    return level ? { x: ZERO_SURD, y: surd(part) } : { x: surd(part), y: ZERO_SURD };
  });
  const corner = (edge: number, along: 0 | 1): Corner => {
    const beyond = edge === laid.length ? 1 : 0;
    const vertex = edge % laid.length;
    return level
      ? { vertex, across: along, up: beyond }
      : { vertex, across: beyond + along * lean, up: along };
  };
  const faces = laid.map(({ shade }, band): Face => {
    const index = shades.findIndex(({ key }) => key === shade);
    if (index < 0) throw new CoreError('band/shade', { shade });
    const near = [corner(band, 0), corner(band + 1, 0)] as const;
    const far = [corner(band + 1, 1), corner(band, 1)] as const;
    return {
      fill: { kind: shade === clear ? 'clear' : 'shade', shade: index },
      corners: level ? [near[0], far[1], far[0], near[1]] : [...near, ...far],
    };
  });
  return { kind: 'partition', shades, vertices, faces };
}
