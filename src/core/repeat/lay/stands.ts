import type { Point } from '../../exact/plane.ts';
import { aboutPoint, type PlaneMotion } from '../../exact/plane-motion.ts';
import { rational } from '../../exact/rational.ts';
import { ONE_SURD, type Surd, scaleSurd, subtractSurds } from '../../exact/surd.ts';
import { type Motion, mirrorIn, STILL, shiftBy, thenMotion, turnAbout } from '../../shape/contour.ts';
import type { Place } from '../../shape/places.ts';
import type { BoxStand } from './group-blocks.ts';

const MIDDLE: Place = { x: 0, y: 0 };

const MOTIONS: Readonly<Record<BoxStand, Motion>> = {
  same: STILL,
  across: mirrorIn(MIDDLE, 90),
  down: mirrorIn(MIDDLE, 0),
  half: turnAbout(MIDDLE, 180),
  left: turnAbout(MIDDLE, 90),
  right: turnAbout(MIDDLE, 270),
  diagonal: mirrorIn(MIDDLE, 45),
  other: mirrorIn(MIDDLE, 135),
};

/** How a stand carries what lies in a box, about its middle. @param size  of the box */
export function standMotion(stand: BoxStand, size: Place): Motion {
  const middle = { x: size.x / 2, y: size.y / 2 };
  return thenMotion(thenMotion(shiftBy(-middle.x, -middle.y), MOTIONS[stand]), shiftBy(middle.x, middle.y));
}

/** The same, exactly: mirrored in the level line or not, then turned by quarters, about the middle. */
export function standExactly(stand: BoxStand, width: Surd, height: Surd): PlaneMotion {
  const { a, b, mirrored } = MOTIONS[stand];
  const quarters = Math.round(Math.atan2(b, a) / (Math.PI / 2));
  const half = rational(1, 2);
  return aboutPoint({ x: scaleSurd(width, half), y: scaleSurd(height, half) }, 6 * quarters, mirrored);
}

/** Whether a stand exchanges what runs across and what runs up. */
export function isTransposing(stand: BoxStand): boolean {
  return MOTIONS[stand].a === 0;
}

/** Whether a stand leaves left and right as they were drawn, so that corners go round the same way. */
export function isMirroring(stand: BoxStand): boolean {
  return MOTIONS[stand].mirrored;
}

/** A point of a box as a stand carries it, exact; in boxes from its lower left. */
export function standPoint({ x, y }: Point, stand: BoxStand): Point {
  const { a, b, mirrored } = MOTIONS[stand];
  const sign = mirrored ? -1 : 1;
  return { x: along(x, a, y, -sign * b), y: along(x, b, y, sign * a) };
}

/** What two coordinates in 0 … 1 come to when one of them is taken, forward or from the far side back. */
function along(x: Surd, ofX: number, y: Surd, ofY: number): Surd {
  const [value, way] = ofX === 0 ? [y, ofY] : [x, ofX];
  return way < 0 ? subtractSurds(ONE_SURD, value) : value;
}

/** The same of a place in doubles. */
export function standPlace({ x, y }: Place, stand: BoxStand): Place {
  const { a, b, mirrored } = MOTIONS[stand];
  const sign = mirrored ? -1 : 1;
  const take = (ofX: number, ofY: number) => {
    const [value, way] = ofX === 0 ? [y, ofY] : [x, ofX];
    return way < 0 ? 1 - value : value;
  };
  return { x: take(a, -sign * b), y: take(b, sign * a) };
}

/** A way in doubles. */
export function standWay({ x, y }: Place, stand: BoxStand): Place {
  const { a, b, mirrored } = MOTIONS[stand];
  const upward = mirrored ? -y : y;
  return { x: a * x - b * upward, y: b * x + a * upward };
}
