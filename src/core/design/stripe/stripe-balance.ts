import type { Shade } from '../../colour/shade.ts';
import { add, compare, divide, equals, type Rational, rational } from '../../exact/rational.ts';
import type { StripeDesign } from '../design-schema.ts';
import { bandScale } from '../lay/lay-schema.ts';
import { type LaidWidth, layWidths, periodOf } from './compile-stripe.ts';

/** What there is of each shade of a stripe, and what is the same as what. Widths in millimetres. */
export interface StripeBalance {
  readonly period: Rational;
  /** Shades that there are some of; width of a period and share of the cloth, exact. */
  readonly shares: readonly { readonly shade: Shade; readonly width: Rational; readonly share: Rational }[];
  readonly laid: readonly LaidWidth[];
  readonly largest: LaidWidth;
  readonly smallest: LaidWidth;
  /** Whether it reads the same backward from some place. */
  readonly symmetric: boolean;
}

/** @throws CoreError of the widths */
export function stripeBalance(design: StripeDesign): StripeBalance {
  const laid = layWidths(design.construction, bandScale(design));
  const period = periodOf(laid);
  const shares = design.shades
    .map((shade) => {
      const own = laid.filter((band) => band.shade === shade.key);
      const width = own.reduce((sum, band) => add(sum, band.width), rational(0));
      return { shade, width, share: divide(width, period) };
    })
    .filter(({ width }) => width.n > 0n);
  const sorted = [...laid].sort((a, b) => compare(b.width, a.width));
  return {
    period,
    shares,
    laid,
    largest: sorted[0]!,
    smallest: sorted.at(-1)!,
    symmetric: isSymmetric(laid),
  };
}

/** Whether a period read backward is the same period, begun at some band. */
function isSymmetric(laid: readonly LaidWidth[]): boolean {
  const bands = joined(laid);
  const count = bands.length;
  return bands.some((_, shift) =>
    bands.every((band, index) => {
      const other = bands[(2 * count + shift - index) % count]!;
      return band.shade === other.shade && equals(band.width, other.width);
    }),
  );
}

/** Bands round the period, neighbours of one shade as one. */
function joined(laid: readonly LaidWidth[]): readonly Pick<LaidWidth, 'shade' | 'width'>[] {
  const bands: { shade: string; width: Rational }[] = [];
  for (const { shade, width } of laid) {
    const last = bands.at(-1);
    if (last?.shade === shade) last.width = add(last.width, width);
    else bands.push({ shade, width });
  }
  const first = bands[0]!;
  const last = bands.at(-1)!;
  if (bands.length < 2 || first.shade !== last.shade) return bands;
  return [{ shade: first.shade, width: add(first.width, last.width) }, ...bands.slice(1, -1)];
}
