import { addPoints, middleOf, type Point, scalePoint, subtractPoints } from '../exact/plane.ts';
import type { Rational } from '../exact/rational.ts';
import { surd } from '../exact/surd.ts';

/** A ring inside a face: how large the face is there beside its full size, and the shade from there inward. */
export interface FaceRing {
  readonly share: Rational;
  /** Undefined: the face's own. */
  readonly shade: number | undefined;
}

/** A part of a face in one shade. */
export interface FacePart {
  readonly corners: readonly Point[];
  readonly shade: number;
}

/** A face made smaller about its middle. */
export function shrunk(corners: readonly Point[], share: Rational): readonly Point[] {
  const middle = middleOf(corners);
  return corners.map((corner) => addPoints(middle, scalePoint(subtractPoints(corner, middle), surd(share))));
}

/**
 * A face as rings round its middle, each made of as many four-sided parts as the face has sides, and what is left inside.
 * The parts cover the face once and share their corners; convex faces only.
 *
 * @param rings  shares falling, above 0 and at most 1; a share of 1 gives the whole face that shade
 */
export function ringed({ corners, shade }: FacePart, rings: readonly FaceRing[]): readonly FacePart[] {
  const parts: FacePart[] = [];
  let outer = corners;
  let current = shade;
  for (const ring of rings) {
    const whole = ring.share.n === ring.share.d;
    if (!whole) {
      const inner = shrunk(corners, ring.share);
      outer.forEach((corner, at) => {
        const next = (at + 1) % outer.length;
        parts.push({ corners: [corner, outer[next]!, inner[next]!, inner[at]!], shade: current });
      });
      outer = inner;
    }
    current = ring.shade ?? shade;
  }
  return [...parts, { corners: outer, shade: current }];
}
