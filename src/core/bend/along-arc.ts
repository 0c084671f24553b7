import { CoreError } from '../error.ts';
import type { Bent, FlatBox } from './bent.ts';

/** Curved along an arc: the line through its middle keeps its length. */
export interface ArcBend {
  readonly kind: 'arc';
  /** Degrees that the whole width goes round; above 0 its ends go down, below 0 up. */
  readonly degrees: number;
}

/** Below this it is straight: a metre rises by less than a thousandth of a millimetre. */
const STRAIGHT = 1e-4;

/**
 * Upright lines become radii of a circle, level ones arcs about its middle; u = R φ, so that lengths along the middle stay.
 * @throws CoreError "bend/folds-over" {x, y} where the edge toward the middle would pass it; "bend/range" {least, most}
 */
export function alongArc({ degrees }: ArcBend, { width, height }: FlatBox): Bent {
  if (!(Math.abs(degrees) <= 360)) throw new CoreError('bend/range', { least: -360, most: 360 });
  if (Math.abs(degrees) < STRAIGHT) return straight;
  const radius = width / ((degrees * Math.PI) / 180);
  if (Math.abs(radius) <= height / 2) {
    throw new CoreError('bend/folds-over', { x: width / 2, y: radius > 0 ? 0 : height });
  }
  const middle = { x: width / 2, y: height / 2 };
  const centre = middle.y - radius;
  return {
    there: (x, y, out) => {
      const angle = (x - middle.x) / radius;
      const reach = radius + y - middle.y;
      out[0] = middle.x + reach * Math.sin(angle);
      out[1] = centre + reach * Math.cos(angle);
    },
    back: (x, y, out) => {
      // Seen from a middle that lies above, both ways are turned round.
      const side = Math.sign(radius);
      const angle = Math.atan2(side * (x - middle.x), side * (y - centre));
      out[0] = middle.x + radius * angle;
      out[1] = middle.y - radius + side * Math.hypot(x - middle.x, y - centre);
    },
  };
}

/** What bends nothing. */
export const straight: Bent = {
  there: (x, y, out) => {
    out[0] = x;
    out[1] = y;
  },
  back: (x, y, out) => {
    out[0] = x;
    out[1] = y;
  },
};
