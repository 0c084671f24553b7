import { CoreError } from '../../error.ts';
import { nearSlopes } from '../../exact/near-slopes.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { type RepeatSlope, type Turn, turnOf } from '../../repeat/lay/exact-turn.ts';
import { partsOf } from '../../repeat/lay/parts-of.ts';
import { type RepeatUnit, repeatSize, type TrueSize } from '../../repeat/repeat-unit.ts';
import { MAX_SLOPE_REPEATS } from './lay-schema.ts';

/** A turn that repeats, near an angle that was asked for. */
export interface TurnOffer extends Turn {
  readonly slope: RepeatSlope;
  /** Degrees, and by how many it differs from what was asked, signed. */
  readonly degrees: number;
  readonly error: number;
}

/** Most repeats that a turned one may hold to be offered, most parts of all of them, and most offers. */
const MOST_REPEATS = 2_000;
const MOST_PARTS = 20_000;
const MOST_OFFERS = 8;

/**
 * Turns near an angle after which a repeat comes again upright, each nearer than all smaller ones, the smallest first.
 * @param degrees  −90 < degrees ≤ 90
 * @throws CoreError "lay/no-turn" where none does; "lay/no-repeat"
 */
export function turnOffers(unit: RepeatUnit, degrees: number): readonly TurnOffer[] {
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('lay/no-repeat', {});
  const most = Math.min(MOST_REPEATS, Math.floor(MOST_PARTS / partsOf(unit.content)));
  const ratio = surdToNumber(size.height) / surdToNumber(size.width);
  const asked = (degrees * Math.PI) / 180;
  // The same angle on repeats that were stretched to squares.
  const inSquares = (Math.atan2(Math.sin(asked), Math.cos(asked) * ratio) * 180) / Math.PI;
  const offers = nearSlopes(inSquares, MAX_SLOPE_REPEATS).flatMap(
    ({ slope: { rise, run } }): readonly TurnOffer[] => {
      const slope = { up: rise, across: run };
      const turn = turnIf(size, slope);
      if (turn === undefined || turn.repeats > Math.max(1, most)) return [];
      const met = (Math.atan2(rise * ratio, run) * 180) / Math.PI;
      const error = met - degrees;
      return [{ ...turn, slope, degrees: met, error: Math.abs(error) < 1e-9 ? 0 : error }];
    },
  );
  if (offers.length === 0) throw new CoreError('lay/no-turn', {});
  const better: TurnOffer[] = [];
  for (const offer of [...offers].sort((one, other) => one.repeats - other.repeats)) {
    const best = better.at(-1);
    if (best === undefined || Math.abs(offer.error) < Math.abs(best.error)) better.push(offer);
  }
  return better.slice(-MOST_OFFERS);
}

function turnIf(size: TrueSize, slope: RepeatSlope): Turn | undefined {
  try {
    return turnOf(size, slope);
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}

/** Degrees within which an angle that is typed is met, before a larger repeat is taken for it. */
const NEAR_ENOUGH = 0.05;

/** The smallest turn that is near enough an angle, else the nearest. @throws CoreError as `turnOffers` */
export function nearestTurn(unit: RepeatUnit, degrees: number): TurnOffer {
  return nearEnough(turnOffers(unit, degrees))!;
}

/** Of offers, the smallest first, the first that is near enough, else the nearest. */
export function nearEnough<Offer extends { readonly error: number }>(
  offers: readonly Offer[],
): Offer | undefined {
  return offers.find(({ error }) => Math.abs(error) <= NEAR_ENOUGH) ?? offers.at(-1);
}
