import { gcd, type Rational } from '../../exact/rational.ts';
import type { RepeatSlope } from './exact-turn.ts';

/** A slope near a wished angle, and how many repeats what is turned on it holds. */
export interface NearTurn {
  readonly slope: RepeatSlope;
  readonly degrees: number;
  /** Degrees by which it differs from the wish, signed. */
  readonly error: number;
  readonly repeats: number;
}

interface NearTurnsWish {
  /** −90 … 90. */
  readonly degrees: number;
  /** The square of the repeat's height to its width, p/q; undefined where that is no fraction. */
  readonly square: Rational | undefined;
  /** The same ratio itself. */
  readonly ratio: number;
  /** Most repeats that a turned one may hold, and most along either side of its diagonal. */
  readonly most: number;
  readonly mostAlong: number;
}

/** Degrees that are the same but for the rounding of doubles. */
const SAME = 1e-9;

/**
 * The slopes near an angle after which an upright repeat comes again upright, each nearer than all that hold fewer
 * repeats. Only level and upright are left where the square of its ratio is no fraction.
 *
 * A diagonal of `across` and `up` repeats, without a common part, is at right angles to −up·p and across·q of them, which
 * have the common part g = gcd(up, q) · gcd(across, p). The two span (across²·q + up²·p) / g repeats. Since g is at most
 * p·q, all that hold `most` at most lie within across² / p + up² / q ≤ most, and every one there is looked at.
 */
export function nearTurns(wish: NearTurnsWish): readonly NearTurn[] {
  const level = turnAt({ up: 0, across: 1 }, 1, wish);
  const upright = turnAt({ up: wish.degrees < 0 ? -1 : 1, across: 0 }, 1, wish);
  const found = [level, upright, ...(wish.square === undefined ? [] : aslant(wish, wish.square))];
  const better: NearTurn[] = [];
  for (const turn of found.sort(byRepeats)) {
    const best = better.at(-1);
    if (best === undefined || Math.abs(turn.error) < Math.abs(best.error)) better.push(turn);
  }
  return better;
}

/** Fewer repeats first; of as many the nearer. */
function byRepeats(one: NearTurn, other: NearTurn): number {
  return one.repeats - other.repeats || Math.abs(one.error) - Math.abs(other.error);
}

function turnAt({ up, across }: RepeatSlope, repeats: number, { degrees, ratio }: NearTurnsWish): NearTurn {
  const met = (Math.atan2(up * ratio, across) * 180) / Math.PI;
  const error = met - degrees;
  return {
    slope: { up, across },
    degrees: met,
    error: Math.abs(error) < SAME ? 0 : error,
    repeats,
  };
}

/** The others, for each number of repeats the nearest. Those on the other side of level or upright are further off. */
function aslant(wish: NearTurnsWish, square: Rational): readonly NearTurn[] {
  const [p, q] = [Number(square.n), Number(square.d)];
  const along = (part: number) => Math.min(wish.mostAlong, Math.floor(Math.sqrt(wish.most * part)));
  const commonAcross = commonParts(along(p), square.n);
  const commonUp = commonParts(along(q), square.d);
  const nearest = new Map<number, NearTurn>();
  for (let up = 1; up <= along(q); up += 1) {
    for (let across = 1; across <= along(p); across += 1) {
      const part = commonAcross[across]! * commonUp[up]!;
      const repeats = Math.round((across * across * q) / part + (up * up * p) / part);
      if (repeats > wish.most || gcdOf(across, up) !== 1) continue;
      const turn = turnAt({ up: wish.degrees < 0 ? -up : up, across }, repeats, wish);
      const known = nearest.get(repeats);
      if (known === undefined || Math.abs(turn.error) < Math.abs(known.error)) nearest.set(repeats, turn);
    }
  }
  return [...nearest.values()];
}

/** For each number up to `most` the part that it has in common with another. */
function commonParts(most: number, other: bigint): readonly number[] {
  return Array.from({ length: most + 1 }, (_, at) => Number(gcd(BigInt(at), other)));
}

function gcdOf(one: number, other: number): number {
  let [a, b] = [one, other];
  while (b !== 0) [a, b] = [b, a % b];
  return a;
}
