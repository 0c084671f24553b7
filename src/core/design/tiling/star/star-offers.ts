import { type Rational, rational } from '../../../exact/rational.ts';

/** An angle at which the lines of a regular face close a star of as many points, each going to a corner so many further on. */
export interface StarOffer {
  readonly sides: number;
  readonly step: number;
  readonly angle: Rational;
}

/**
 * The regular stars of a polygon: lines from the middle of a side to the middle of the k-th next stand at k·180°/n to it.
 * @param sides  of the largest face
 */
export function starOffers(sides: number): readonly StarOffer[] {
  const steps = Array.from({ length: Math.max(0, Math.ceil(sides / 2) - 2) }, (_, at) => at + 2);
  return steps.map((step) => ({ sides, step, angle: rational(180 * step, sides) }));
}
