import { CoreError } from '../../error.ts';
import { type PlaneLattice, uprightRepeat } from '../../exact/lattice.ts';
import { add, multiply, type Rational, rational } from '../../exact/rational.ts';
import { squareRoot } from '../../exact/square-root.ts';
import {
  divideSurds,
  multiplySurds,
  rationalOf,
  type Surd,
  scaleSurd,
  subtractSurds,
  surd,
  surdToNumber,
  ZERO_SURD,
} from '../../exact/surd.ts';
import type { TrueSize } from '../repeat-unit.ts';

/** A turn counterclockwise by the angle of the diagonal of so many repeats up on so many across. */
export interface RepeatSlope {
  readonly up: number;
  readonly across: number;
}

/** An exact turn, and what it makes of an upright repeat. */
export interface Turn {
  readonly cosine: Surd;
  readonly sine: Surd;
  /** The smallest upright rectangle that repeats after the turn. */
  readonly size: TrueSize;
  /** Repeats that it holds. */
  readonly repeats: number;
}

/**
 * What is turned repeats upright again when the square of the repeat's height to its width is a fraction: then each way
 * across holds whole repeats, and the diagonal's length, √(across² + up²·(height/width)²) widths, is a square root of a
 * fraction.
 *
 * @throws CoreError "lay/no-turn" where no upright rectangle repeats
 */
export function turnOf({ width, height }: TrueSize, slope: RepeatSlope): Turn {
  const { cosine, sine } = directionOf({ width, height }, slope);
  const lattice = turnedLattice({ width, height }, cosine, sine);
  const upright = uprightRepeat(lattice);
  if (upright === undefined) throw new CoreError('lay/no-turn', {});
  const area = divideSurds(multiplySurds(upright.width, upright.height), multiplySurds(width, height));
  return { cosine, sine, size: upright, repeats: Math.round(surdToNumber(area)) };
}

/** @throws CoreError "lay/no-turn" */
function directionOf({ width, height }: TrueSize, slope: RepeatSlope): Pick<Turn, 'cosine' | 'sine'> {
  if (slope.across === 0) return { cosine: ZERO_SURD, sine: surd(Math.sign(slope.up)) };
  const ratio = divideSurds(height, width);
  const square = rationalOf(multiplySurds(ratio, ratio));
  const across = rational(slope.across);
  const up = rational(slope.up);
  const length = square && squareRoot(surd(sumOfSquares(across, up, square)));
  if (length === undefined) throw new CoreError('lay/no-turn', {});
  return { cosine: divideSurds(surd(across), length), sine: divideSurds(scaleSurd(ratio, up), length) };
}

function sumOfSquares(across: Rational, up: Rational, square: Rational): Rational {
  return add(multiply(across, across), multiply(multiply(up, up), square));
}

/** The repeat's two sides, turned. */
export function turnedLattice({ width, height }: TrueSize, cosine: Surd, sine: Surd): PlaneLattice {
  return [
    { x: multiplySurds(width, cosine), y: multiplySurds(width, sine) },
    { x: subtractSurds(ZERO_SURD, multiplySurds(height, sine)), y: multiplySurds(height, cosine) },
  ];
}
