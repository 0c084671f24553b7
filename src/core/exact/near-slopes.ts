import { MAX_SLOPE, type Slope, slopeDegrees } from './slope.ts';

/** A slope near a wished angle. */
export interface NearSlope {
  readonly slope: Slope;
  readonly degrees: number;
  /** Degrees by which it differs from the wish, signed. */
  readonly error: number;
}

/** Differences of angles below this are rounding of doubles: 90 × 2^−50. */
const NOTHING = 8e-14;

/**
 * The slopes that come nearest an angle, each nearer than every simpler one, simplest first. Rise and run are at
 * most `most`, so that the list ends; it ends sooner where the angle is met.
 *
 * Walks the Stern–Brocot tree toward the angle by whole runs of equal turns, so that the work grows with the
 * logarithm of `most`. Of a run only its second half can be nearer than what stands before it, and of a long one only
 * the first and last of those are listed. Source: R. L. Graham, D. E. Knuth, O. Patashnik,
 * Concrete Mathematics, 2nd ed. 1994, §4.5 and §6.7.
 *
 * @param degrees  −90 < degrees ≤ 90
 */
export function nearSlopes(degrees: number, most = MAX_SLOPE): readonly NearSlope[] {
  const steep = Math.abs(degrees) > 45;
  const target = Math.tan(((steep ? 90 - Math.abs(degrees) : Math.abs(degrees)) * Math.PI) / 180);
  const found: NearSlope[] = [];
  const offer = (top: number, bottom: number) => {
    const [rise, run] = steep ? [bottom, top] : [top, bottom];
    const slope = { rise: degrees < 0 && run > 0 ? -rise + 0 : rise, run };
    const error = slopeDegrees(slope) - degrees;
    const best = found.at(-1);
    if (best === undefined || Math.abs(error) < Math.abs(best.error) - NOTHING) {
      found.push({ slope, degrees: slopeDegrees(slope), error: Math.abs(error) < NOTHING ? 0 : error });
    }
  };
  offer(0, 1);
  // Fractions 0/1 … 1/1: the two neighbours between which the target lies, bottoms the larger parts.
  let [low, high] = [
    [0, 1],
    [1, 1],
  ] as [[number, number], [number, number]];
  offer(1, 1);
  for (let up = true; Math.abs(found.at(-1)!.error) > 0; up = !up) {
    const [moved, fixed] = up ? [low, high] : [high, low];
    const turns = turnsToward(target, moved, fixed, most);
    for (let turn = Math.max(1, Math.floor(turns / 2)); turn <= turns; turn += 1) {
      if (turns > 8 && turn > turns / 2 + 2 && turn < turns - 1) turn = turns - 1;
      offer(moved[0] + turn * fixed[0], moved[1] + turn * fixed[1]);
    }
    const next: [number, number] = [moved[0] + turns * fixed[0], moved[1] + turns * fixed[1]];
    if (up) low = next;
    else high = next;
    if (low[1] + high[1] > most) break;
    if (turns === 0 && !up) break;
  }
  return found;
}

/** How often `fixed` can be added to `moved` before it passes the target, or grows beyond `most`. */
function turnsToward(
  target: number,
  moved: readonly [number, number],
  fixed: readonly [number, number],
  most: number,
): number {
  const toward = Math.abs(fixed[0] - target * fixed[1]);
  const left = Math.abs(moved[0] - target * moved[1]);
  const room = Math.floor((most - moved[1]) / fixed[1]);
  return Math.min(room, toward === 0 ? room : Math.floor(left / toward));
}
