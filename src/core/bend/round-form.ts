import { CoreError } from '../error.ts';
import { type Bent, type FlatBox, lightOn } from './bent.ts';

/** Laid round a form, as a sleeve or a cushion's cover is. */
export interface FormBend {
  readonly kind: 'form';
  /** Degrees that its width and its height go round, 0 to 180: flat, to half a cylinder. */
  readonly across: number;
  readonly up: number;
}

/**
 * Each direction lies round a cylinder by itself and is seen from the front: what lies at an angle φ from its middle is seen at
 * R sin φ, and R φ of cloth lies between. The box is what is seen, so that more cloth goes round than it is wide. Where both
 * are round it is a cushion, not a ball.
 * @throws CoreError "bend/range" {least, most}
 */
export function roundForm({ across, up }: FormBend, { width, height }: FlatBox): Bent {
  const one = roundAxis(across, width);
  const other = roundAxis(up, height);
  return {
    there: (x, y, out) => {
      out[0] = one.there(x);
      out[1] = other.there(y);
    },
    back: (x, y, out) => {
      out[0] = one.back(x);
      out[1] = other.back(y);
    },
    lightAt: (x, y) => lightOn(one.tilt(x), other.tilt(y), 1),
  };
}

interface RoundAxis {
  readonly there: (flat: number) => number;
  readonly back: (seen: number) => number;
  /** The tangent of the angle by which the surface is turned away. */
  readonly tilt: (seen: number) => number;
}

/** Nothing is seen at the very edge of half a cylinder: its tilt is taken as this much at the most. */
const STEEPEST = 1e6;

function roundAxis(degrees: number, length: number): RoundAxis {
  if (!(degrees >= 0 && degrees <= 180)) throw new CoreError('bend/range', { least: 0, most: 180 });
  if (degrees < FLAT) return { there: (flat) => flat, back: (seen) => seen, tilt: () => 0 };
  const radius = length / (2 * Math.sin((degrees * Math.PI) / 360));
  const middle = length / 2;
  return {
    there: (flat) => {
      const angle = (flat - middle) / radius;
      return Math.abs(angle) > Math.PI / 2 ? Number.NaN : middle + radius * Math.sin(angle);
    },
    back: (seen) => {
      const way = seen - middle;
      // A rounding beyond half a cylinder's edge is the edge.
      if (Math.abs(way) > radius * (1 + EDGE)) return Number.NaN;
      return middle + radius * Math.asin(Math.min(1, Math.max(-1, way / radius)));
    },
    tilt: (seen) => {
      const sine = Math.min(1, Math.max(-1, (seen - middle) / radius));
      return Math.min(STEEPEST, Math.max(-STEEPEST, sine / Math.sqrt(Math.max(1e-12, 1 - sine * sine))));
    },
  };
}

const EDGE = 1e-9;

/** Degrees below which a form is flat: a metre bulges by less than a thousandth of a millimetre. */
const FLAT = 1e-4;
