import { CoreError } from '../error.ts';
import type { Place } from '../shape/places.ts';
import type { Bent, FlatBox } from './bent.ts';

/** Seen in perspective. */
export interface PerspectiveBend {
  readonly kind: 'perspective';
  /** Where the corners come to lie, from the lower left counterclockwise, in millimetres. */
  readonly corners: readonly [Place, Place, Place, Place];
}

/** Sines of the turn at a corner below which three lie on a line. */
const ON_A_LINE = 1e-6;

/**
 * The one projective map that takes a rectangle's corners to four places: straight lines stay straight, and the cross-ratio of
 * four places on one does not change.
 * Source: P. S. Heckbert, Fundamentals of Texture Mapping and Image Warping, 1989, §2.2.3 (square to quadrilateral), and its
 * adjugate for the way back.
 *
 * @throws CoreError "bend/perspective" where three corners lie on a line, or they do not go round counterclockwise
 */
export function inPerspective({ corners }: PerspectiveBend, { width, height }: FlatBox): Bent {
  for (const [at, corner] of corners.entries()) {
    checkTurn(corners[(at + 3) % 4]!, corner, corners[(at + 1) % 4]!);
  }
  const [p0, p1, p2, p3] = corners;
  const d1 = { x: p1.x - p2.x, y: p1.y - p2.y };
  const d2 = { x: p3.x - p2.x, y: p3.y - p2.y };
  const sum = { x: p0.x - p1.x + p2.x - p3.x, y: p0.y - p1.y + p2.y - p3.y };
  const area = d1.x * d2.y - d1.y * d2.x;
  const g = (sum.x * d2.y - sum.y * d2.x) / area;
  const h = (d1.x * sum.y - d1.y * sum.x) / area;
  const a = p1.x - p0.x + g * p1.x;
  const b = p3.x - p0.x + h * p3.x;
  const d = p1.y - p0.y + g * p1.y;
  const e = p3.y - p0.y + h * p3.y;
  // Rows of the adjugate of (a b x0; d e y0; g h 1).
  const back = [
    [e - p0.y * h, p0.x * h - b, b * p0.y - p0.x * e],
    [p0.y * g - d, a - p0.x * g, p0.x * d - a * p0.y],
    [d * h - e * g, b * g - a * h, a * e - b * d],
  ] as const;
  const side = Math.sign(back[2][0] * p0.x + back[2][1] * p0.y + back[2][2]);
  return {
    there: (x, y, out) => {
      const u = x / width;
      const v = y / height;
      const far = g * u + h * v + 1;
      // What lies behind the eye is not seen.
      out[0] = far > 0 ? (a * u + b * v + p0.x) / far : Number.NaN;
      out[1] = far > 0 ? (d * u + e * v + p0.y) / far : Number.NaN;
    },
    back: (x, y, out) => {
      const far = back[2][0] * x + back[2][1] * y + back[2][2];
      const isSeen = far * side > 0;
      out[0] = isSeen ? (width * (back[0][0] * x + back[0][1] * y + back[0][2])) / far : Number.NaN;
      out[1] = isSeen ? (height * (back[1][0] * x + back[1][1] * y + back[1][2])) / far : Number.NaN;
    },
  };
}

/** @throws CoreError "bend/perspective" */
function checkTurn(before: Place, here: Place, after: Place): void {
  const one = { x: here.x - before.x, y: here.y - before.y };
  const other = { x: after.x - here.x, y: after.y - here.y };
  const turn = one.x * other.y - one.y * other.x;
  const most = Math.hypot(one.x, one.y) * Math.hypot(other.x, other.y);
  if (!(turn > ON_A_LINE * most)) throw new CoreError('bend/perspective', { x: here.x, y: here.y });
}
