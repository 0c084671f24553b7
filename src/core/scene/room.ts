import type { PerspectiveBend } from '../bend/perspective.ts';
import type { Contour } from '../shape/contour.ts';
import { polyline } from '../shape/contour.ts';
import type { Place } from '../shape/places.ts';

/** Who looks into a room: the place straight before the eye on the front plane, and how far the eye is from that. */
export interface Eye {
  readonly at: Place;
  readonly distance: number;
}

/** A place of a room: to the right, up, and away from the front plane; millimetres. */
export type Spot = readonly [x: number, y: number, z: number];

/**
 * Where a spot of a room is seen on its front plane, which is drawn at true size.
 * Source: central projection; what lies z behind the plane is smaller by d / (d + z).
 */
export function seenAt({ at, distance }: Eye, [x, y, z]: Spot): Place {
  const smaller = distance / (distance + z);
  return { x: at.x + (x - at.x) * smaller, y: at.y + (y - at.y) * smaller };
}

/** A rectangle of a room in perspective. @param corners  as its cloth lies: lower left, lower right, upper right, upper left */
export function inRoom(eye: Eye, corners: readonly [Spot, Spot, Spot, Spot]): PerspectiveBend {
  const [a, b, c, d] = corners;
  return {
    kind: 'perspective',
    corners: [seenAt(eye, a), seenAt(eye, b), seenAt(eye, c), seenAt(eye, d)],
  };
}

/** A line through spots of a room. */
export function roomLine(eye: Eye, spots: readonly Spot[], closed = false): Contour {
  return polyline(
    spots.map((spot) => seenAt(eye, spot)),
    closed,
  );
}
