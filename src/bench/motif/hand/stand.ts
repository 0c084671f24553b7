import { parseDegrees } from '../../../core/design/motif/motif-numbers.ts';
import type { Piece } from '../../../core/design/motif/motif-schema.ts';
import { toNumber } from '../../../core/exact/rational.ts';
import { mirrorIn, moveWay, STILL, thenMotion, turnAbout } from '../../../core/shape/contour.ts';
import type { Place } from '../../../core/shape/places.ts';
import { valueIfAny } from '../../../wording/attempt.ts';

const MIDDLE: Place = { x: 0, y: 0 };

/** How a piece stands: ways of its shape as they lie on the cloth, and back. */
export interface Stand {
  readonly onCloth: (way: Place) => Place;
  readonly inShape: (way: Place) => Place;
}

export function standOf({ turn, mirrored }: Piece): Stand {
  const degrees = valueIfAny(() => toNumber(parseDegrees(turn))) ?? 0;
  const mirror = mirrored ? mirrorIn(MIDDLE, 90) : STILL;
  const there = thenMotion(mirror, turnAbout(MIDDLE, degrees));
  const back = thenMotion(turnAbout(MIDDLE, -degrees), mirror);
  return { onCloth: (way) => moveWay(way, there), inShape: (way) => moveWay(way, back) };
}
