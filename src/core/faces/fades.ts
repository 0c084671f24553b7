import type { Point } from '../exact/plane.ts';
import type { FadeFill } from '../shape/fill.ts';
import { type Place, placesOf } from '../shape/places.ts';

/** Which way shades go across a face. */
export interface FadeWish {
  /** In steps of 15° from the right, or with `turned` from the face's first side. */
  readonly angle: number;
  readonly turned: boolean;
}

/**
 * The way of a face's fade: from the line square to its direction that touches the face first to the one that
 * touches it last.
 * @param corners  in repeats
 * @param pitch    lengths of one repeat
 */
export function fadeAcross(
  corners: readonly Point[],
  { angle, turned }: FadeWish,
  pitch: Place,
): Pick<FadeFill, 'from' | 'to'> {
  const face = placesOf(corners, pitch);
  const first = face[0]!;
  const second = face[1]!;
  const base = turned ? Math.atan2(second.y - first.y, second.x - first.x) : 0;
  const way = { x: Math.cos(base + (angle * Math.PI) / 12), y: Math.sin(base + (angle * Math.PI) / 12) };
  const along = face.map(({ x, y }) => x * way.x + y * way.y);
  const middle = {
    x: face.reduce((sum, { x }) => sum + x, 0) / face.length,
    y: face.reduce((sum, { y }) => sum + y, 0) / face.length,
  };
  const at = (reach: number): Place => {
    const from = reach - (middle.x * way.x + middle.y * way.y);
    return { x: (middle.x + way.x * from) / pitch.x, y: (middle.y + way.y * from) / pitch.y };
  };
  return { from: at(Math.min(...along)), to: at(Math.max(...along)) };
}
