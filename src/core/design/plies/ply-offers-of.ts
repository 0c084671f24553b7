import { divide, ONE, toText } from '../../exact/rational.ts';
import {
  divideSurds,
  multiplySurds,
  rationalOf,
  type Surd,
  scaleSurd,
  surdToNumber,
} from '../../exact/surd.ts';
import { mostTurned } from '../../repeat/lay/parts-of.ts';
import { commonRepeat } from '../../repeat/plies/common-repeat.ts';
import {
  type AngleOffer,
  angleOffers,
  type CountOffer,
  countOffers,
  scaleOffers,
} from '../../repeat/plies/ply-offers.ts';
import { type RepeatUnit, repeatSize, type TrueSize } from '../../repeat/repeat-unit.ts';
import { NO_PICTURES } from '../../shape/picture.ts';
import type { PliesDesign } from '../design-schema.ts';
import type { PlySpec } from './plies-schema.ts';
import { type PlyUnits, plyUnits } from './ply-units.ts';
import { nearestWhole } from './whole-to-lowest.ts';
import { withThreads } from './with-threads.ts';

/** A scale at which a ply comes together with the others, as so many of its repeats to one of the lowest design. */
export interface PlyScaleOffer {
  /** Exact, as text. */
  readonly count: string;
  /** By how much it is made larger or smaller than it is now. */
  readonly factor: number;
  /** The repeat that all have in common then. */
  readonly size: TrueSize;
}

/** Numbers near those of a ply at which it comes together with the others sooner, or at all. */
export interface PlyOffers {
  /** Its nearest whole number to one repeat of the lowest; null where it is that, or closes at none. */
  readonly whole: PlyScaleOffer | null;
  readonly scales: readonly PlyScaleOffer[];
  readonly counts: readonly CountOffer[];
  readonly angles: readonly AngleOffer[];
}

const NONE: PlyOffers = { whole: null, scales: [], counts: [], angles: [] };

/** A ply, and the degrees near which it may be turned. */
export interface OffersWish {
  readonly ply: number;
  readonly degrees: number;
}

/**
 * What may be offered for some plies, in their order. None for the lowest design, which the others are counted to, nor for
 * shades and fades.
 * @throws CoreError as `plyUnits`
 */
export function plyOffersOf(design: PliesDesign, wished: readonly OffersWish[]): readonly PlyOffers[] {
  const { plies } = design.construction;
  const units = plyUnits(plies, { shades: design.shades, pictures: NO_PICTURES });
  return wished.map((wish) => offersFor(plies, units, wish));
}

function offersFor(
  plies: readonly PlySpec[],
  { units, lowest }: PlyUnits,
  { ply: at, degrees }: OffersWish,
): PlyOffers {
  const ply = plies[at]!;
  const sizes = units.map((unit) => unit && repeatSize(unit.laid));
  const size = sizes[at];
  const level = units[at] && repeatSize(units[at].scaled);
  const lowestSize = units[lowest] && repeatSize(units[lowest].scaled);
  if (at === lowest || !size || !level || !lowestSize || !sizes[lowest]) return NONE;
  const beneath = closing(
    sizes[lowest],
    sizes.filter((each, other) => other !== at && each) as readonly TrueSize[],
  );
  const wide = divideSurds(lowestSize.width, level.width);
  const scales = scaleOffers(beneath, size).flatMap((offer): PlyScaleOffer[] => {
    // Counted before it is turned.
    const count = rationalOf(divideSurds(wide, offer.factor));
    return count === undefined
      ? []
      : [{ count: toText(count), factor: surdToNumber(offer.factor), size: offer.size }];
  });
  return {
    whole: ply.slope === null ? wholeOffer(wide, level, beneath) : null,
    scales,
    counts: countsFor(ply, units[at]!.scaled, beneath),
    angles: angleOffers(beneath, level, { degrees, most: mostTurned(units[at]!.scaled.content) }),
  };
}

/** What the lowest and all others that come together with it have in common. */
function closing(lowest: TrueSize, others: readonly TrueSize[]): TrueSize {
  return others.reduce((beneath, other) => {
    const common = commonRepeat([beneath, other]);
    return common.kind === 'common' ? common.size : beneath;
  }, lowest);
}

/** A factor closer to 1 than this differs from it by rounding alone. */
const SAME = 1e-12;

/**
 * So many whole repeats of a ply to one of the lowest, or one to so many, as is nearest to what it is.
 * @param wide  repeats of the ply in the width of one of the lowest
 */
function wholeOffer(wide: Surd, level: TrueSize, beneath: TrueSize): PlyScaleOffer | null {
  const count = nearestWhole(wide);
  const factor = scaleSurd(wide, divide(ONE, count));
  const scaled = { width: multiplySurds(level.width, factor), height: multiplySurds(level.height, factor) };
  const common = commonRepeat([beneath, scaled]);
  if (common.kind !== 'common' || Math.abs(surdToNumber(factor) - 1) < SAME) return null;
  return { count: toText(count), factor: surdToNumber(factor), size: common.size };
}

/** Other counts of a ply's threads, where threads are what lies beneath it too. */
function countsFor(
  { content }: PlySpec,
  { grid, pitch }: RepeatUnit,
  beneath: TrueSize,
): readonly CountOffer[] {
  if (content.kind !== 'design' || grid.step !== 'thread') return [];
  const threads = rationalOf(divideSurds(beneath.width, pitch.x));
  if (threads === undefined || threads.d !== 1n) return [];
  return countOffers(Number(threads.n), grid.ends).filter(
    ({ count }) => withThreads(content.design, count) !== undefined,
  );
}
