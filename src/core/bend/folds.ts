import { CoreError } from '../error.ts';
import { type Bent, type FlatBox, lightOn } from './bent.ts';

/** Hung in folds, as a curtain is. */
export interface FoldsBend {
  readonly kind: 'folds';
  readonly count: number;
  /** From the front of a fold to its back, in millimetres. */
  readonly depth: number;
}

/** Pieces of half a fold, each taken as straight: over a hundred millimetres the chord of a piece misses its arc by nothing that is seen. */
const PIECES = 512;

/**
 * Seen from the front: cloth goes forward and back by a sine, so that more of it is taken up than is seen across. How much lies
 * left of a place is the length of the sine until there, ∫ √(1 + z′²), an elliptic integral of the second kind, as a sum of
 * chords.
 * @throws CoreError "bend/range" {least, most}
 */
export function inFolds({ count, depth }: FoldsBend, { width }: FlatBox): Bent {
  if (!(count >= 1 && count <= MOST_FOLDS)) throw new CoreError('bend/range', { least: 1, most: MOST_FOLDS });
  if (!(depth >= 0 && depth <= 10 * width)) throw new CoreError('bend/range', { least: 0, most: 10 * width });
  const half = width / count / 2;
  const forward = (x: number) => (depth / 2) * Math.sin((Math.PI * x) / half);
  const step = half / PIECES;
  const along = new Float64Array(PIECES + 1);
  for (let piece = 1; piece <= PIECES; piece += 1) {
    const rise = forward(piece * step) - forward((piece - 1) * step);
    along[piece] = along[piece - 1]! + Math.hypot(step, rise);
  }
  const whole = along[PIECES]!;
  const slope = (x: number) => ((depth / 2) * Math.PI * Math.cos((Math.PI * x) / half)) / half;
  return {
    there: (x, y, out) => {
      const folds = Math.floor(x / whole);
      out[0] = folds * half + placeOf(along, x - folds * whole) * step;
      out[1] = y;
    },
    back: (x, y, out) => {
      const folds = Math.floor(x / half);
      const at = (x - folds * half) / step;
      const piece = Math.min(PIECES - 1, Math.floor(at));
      out[0] = folds * whole + along[piece]! + (at - piece) * (along[piece + 1]! - along[piece]!);
      out[1] = y;
    },
    lightAt: (x) => lightOn(-slope(x), 0, 1),
  };
}

const MOST_FOLDS = 200;

/** How many pieces a length goes over, parts too. */
function placeOf(along: Float64Array, length: number): number {
  let low = 0;
  let high = along.length - 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (along[middle]! <= length) low = middle;
    else high = middle;
  }
  return low + (length - along[low]!) / (along[high]! - along[low]!);
}
