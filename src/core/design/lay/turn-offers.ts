import { CoreError } from '../../error.ts';
import { divideSurds, multiplySurds, rationalOf, surdToNumber } from '../../exact/surd.ts';
import { type RepeatSlope, type Turn, turnOf } from '../../repeat/lay/exact-turn.ts';
import { nearTurns } from '../../repeat/lay/near-turns.ts';
import { mostTurned } from '../../repeat/lay/parts-of.ts';
import { type RepeatUnit, repeatSize } from '../../repeat/repeat-unit.ts';
import { MAX_SLOPE_REPEATS } from './lay-schema.ts';

/** A turn that repeats, near an angle that was asked for. */
export interface TurnOffer extends Turn {
  readonly slope: RepeatSlope;
  /** Degrees, and by how many it differs from what was asked, signed. */
  readonly degrees: number;
  readonly error: number;
}

/** Most repeats that a turned one may hold to be offered, and most offers. */
const MOST_REPEATS = 2_000;
const MOST_OFFERS = 8;

/** How many repeats a turned one holds at most to be offered: as many as can be laid, within reason. */
export function mostTurnedRepeats({ content }: RepeatUnit): number {
  return Math.min(MOST_REPEATS, mostTurned(content));
}

/**
 * Turns near an angle after which a repeat comes again upright, each nearer than all smaller ones, the smallest first; the
 * last is the nearest of all that hold no more repeats than `mostTurnedRepeats`.
 * @param degrees  −90 < degrees ≤ 90
 * @throws CoreError "lay/no-repeat"
 */
export function turnOffers(unit: RepeatUnit, degrees: number): readonly TurnOffer[] {
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('lay/no-repeat', {});
  const ratio = divideSurds(size.height, size.width);
  const near = nearTurns({
    degrees,
    square: rationalOf(multiplySurds(ratio, ratio)),
    ratio: surdToNumber(ratio),
    most: mostTurnedRepeats(unit),
    mostAlong: MAX_SLOPE_REPEATS,
  });
  return near
    .slice(-MOST_OFFERS)
    .map(({ slope, degrees: met, error }) => ({ ...turnOf(size, slope), slope, degrees: met, error }));
}

/** Degrees within which an angle that is typed is met, before a larger repeat is taken for it. */
const NEAR_ENOUGH = 0.05;

/** The smallest turn that is near enough an angle, else the nearest. @throws CoreError as `turnOffers` */
export function nearestTurn(unit: RepeatUnit, degrees: number): TurnOffer {
  return nearEnough(turnOffers(unit, degrees))!;
}

export function isNearEnough({ error }: { readonly error: number }): boolean {
  return Math.abs(error) <= NEAR_ENOUGH;
}

/** Of offers, the smallest first, the first that is near enough, else the nearest. */
export function nearEnough<Offer extends { readonly error: number }>(
  offers: readonly Offer[],
): Offer | undefined {
  return offers.find(isNearEnough) ?? offers.at(-1);
}
