import { CoreError } from '../../error.ts';
import { commonMultiple } from '../../exact/common-multiple.ts';
import { gcd, type Rational, rational } from '../../exact/rational.ts';
import {
  divideSurds,
  multiplySurds,
  nearNumber,
  type Surd,
  scaleSurd,
  surdToNumber,
} from '../../exact/surd.ts';
import { type RepeatSlope, turnOf } from '../lay/exact-turn.ts';
import type { TrueSize } from '../repeat-unit.ts';
import { commonRepeat } from './common-repeat.ts';

/** Another scale of a ply, at which it comes together with those beneath sooner, or at all. */
export interface ScaleOffer {
  /** By how much it is made larger or smaller than it is. */
  readonly factor: Surd;
  /** So many of its repeats across are as wide as so many of those beneath. */
  readonly repeats: Rational;
  /** The common repeat. */
  readonly size: TrueSize;
}

/** Most repeats of a ply, and of what lies beneath, that come together. */
const MOST_REPEATS = 60;

/** Offers that are made. */
const OFFERS = 6;

/**
 * The scales near the one that a ply has at which it closes with what lies beneath it: each closer to it than all that cost
 * less, the cheapest first. None where the two are of a shape that never closes in both directions.
 *
 * @param beneath  the repeat that all other plies have in common
 * @param ply      its own, as it is scaled now
 */
export function scaleOffers(beneath: TrueSize, ply: TrueSize): readonly ScaleOffer[] {
  const wide = nearNumber(divideSurds(ply.width, beneath.width));
  const found = new Map<string, ScaleOffer>();
  for (let repeats = 1; repeats <= MOST_REPEATS; repeats += 1) {
    for (const below of [Math.floor(wide * repeats), Math.ceil(wide * repeats)]) {
      if (below < 1 || below > MOST_REPEATS) continue;
      const part = rational(below, repeats);
      const factor = divideSurds(scaleSurd(beneath.width, part), ply.width);
      const scaled = {
        width: multiplySurds(ply.width, factor),
        height: multiplySurds(ply.height, factor),
      };
      const common = commonRepeat([beneath, scaled]);
      if (common.kind === 'none') return [];
      if (common.kind === 'too-long') continue;
      const name = `${part.n}/${part.d}`;
      found.set(name, { factor, repeats: rational(part.d, part.n), size: common.size });
    }
  }
  const distance = ({ factor }: ScaleOffer) => Math.abs(Math.log(nearNumber(factor)));
  // The scale that there is is no offer.
  return bestOf([...found.values()], { cost: areaOf, distance }).filter((offer) => distance(offer) > SAME);
}

/** Another count of threads, and after how many threads it comes together with what lies beneath. */
export interface CountOffer {
  readonly count: number;
  readonly common: number;
}

/** Part of a count by which another may differ that is offered for it. */
const NEAR_COUNT = 1 / 4;

/**
 * The counts of threads near one that come together with another sooner: 36 for 35 over 24, after 72 and not 840.
 * @param beneath  threads of the repeat that all other plies have in common
 */
export function countOffers(beneath: number, count: number): readonly CountOffer[] {
  const reach = Math.max(1, Math.floor(count * NEAR_COUNT));
  const near = Array.from({ length: 2 * reach + 1 }, (_, at) => count - reach + at)
    .filter((each) => each >= 1)
    .map((each) => ({ count: each, common: commonMultiple(beneath, each) }));
  return bestOf(near, {
    cost: ({ common }) => common,
    distance: (offer) => Math.abs(offer.count - count),
  }).filter((offer) => offer.count !== count);
}

/** Another slope of a ply, on which it comes together with those beneath. */
export interface AngleOffer {
  readonly slope: RepeatSlope;
  /** Of the slope, and by how many it differs from what was asked, signed. */
  readonly degrees: number;
  readonly error: number;
  /** The common repeat. */
  readonly size: TrueSize;
}

/** Most repeats along each side of the diagonal of an offered slope. */
export const MOST_SLOPE = 24;

/** Degrees by which an offered angle may differ. */
const NEAR_ANGLE = 15;

/** Degrees that are the same but for the rounding of doubles. */
const SAME_ANGLE = 1e-9;

interface AngleWish {
  /** Counterclockwise, −90 … 90. */
  readonly degrees: number;
  /** Most of its repeats that a turned ply may hold. */
  readonly most: number;
}

/**
 * The angles near one at which a ply closes with what lies beneath it, that angle itself where it does. Squares over
 * squares do on the diagonals of whole numbers whose length is whole too: 3 on 4 is 36.87° and takes five repeats each
 * way, 45° never closes.
 *
 * @param beneath  the repeat that all other plies have in common
 * @param ply      its own, before it is turned
 */
export function angleOffers(
  beneath: TrueSize,
  ply: TrueSize,
  { degrees, most }: AngleWish,
): readonly AngleOffer[] {
  const ratio = surdToNumber(ply.height) / surdToNumber(ply.width);
  const found: AngleOffer[] = [];
  for (let across = 0; across <= MOST_SLOPE; across += 1) {
    for (let up = -MOST_SLOPE; up <= MOST_SLOPE; up += 1) {
      if (gcd(BigInt(across), BigInt(Math.abs(up))) !== 1n) continue;
      const met = (Math.atan2(up * ratio, across) * 180) / Math.PI;
      if (Math.abs(met - degrees) > NEAR_ANGLE) continue;
      const slope = { up, across };
      const common = turnedCommon(beneath, ply, { slope, most });
      if (common === undefined) continue;
      const error = Math.abs(met - degrees) < SAME_ANGLE ? 0 : met - degrees;
      found.push({ slope, degrees: met, error, size: common });
    }
  }
  return bestOf(found, { cost: areaOf, distance: ({ error }) => Math.abs(error) });
}

/** @returns undefined where it never closes */
function turnedCommon(
  beneath: TrueSize,
  ply: TrueSize,
  { slope, most }: { readonly slope: RepeatSlope; readonly most: number },
): TrueSize | undefined {
  try {
    const turned = turnOf(ply, slope);
    if (turned.repeats > most) return undefined;
    const common = commonRepeat([beneath, turned.size]);
    return common.kind === 'common' ? common.size : undefined;
  } catch (error) {
    // Turned so, the ply itself has no upright repeat.
    if (error instanceof CoreError && error.code === 'lay/no-turn') return undefined;
    throw error;
  }
}

function areaOf({ size }: { readonly size: TrueSize }): number {
  return surdToNumber(size.width) * surdToNumber(size.height);
}

interface Judging<Offer> {
  readonly cost: (offer: Offer) => number;
  readonly distance: (offer: Offer) => number;
}

/** Parts by which costs and distances differ that are the same but for rounding. */
const SAME = 1e-9;

/** Offers that are nearer than all that cost no more, the cheapest first; of many the nearest. */
function bestOf<Offer>(offers: readonly Offer[], { cost, distance }: Judging<Offer>): readonly Offer[] {
  const order = [...offers].sort((one, other) => {
    const costs = cost(one) - cost(other);
    return Math.abs(costs) > SAME * cost(one) ? costs : distance(one) - distance(other);
  });
  const best: Offer[] = [];
  let nearest = Number.POSITIVE_INFINITY;
  for (const offer of order) {
    if (distance(offer) >= nearest - SAME) continue;
    nearest = distance(offer);
    best.push(offer);
  }
  return best.slice(-OFFERS);
}
