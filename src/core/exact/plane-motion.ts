import { addPoints, ORIGIN, type Point, subtractPoints, turnPoint } from './plane.ts';
import { negateSurd } from './surd.ts';

/** An exact motion: mirrored in the level line or not, then turned by steps of 15°, then moved. */
export interface PlaneMotion {
  readonly turn: number;
  readonly mirrored: boolean;
  readonly by: Point;
}

export const PLANE_STILL: PlaneMotion = { turn: 0, mirrored: false, by: ORIGIN };

export function movePoint(point: Point, { turn, mirrored, by }: PlaneMotion): Point {
  const facing = mirrored ? { x: point.x, y: negateSurd(point.y) } : point;
  return addPoints(turnPoint(facing, turn), by);
}

/** The same, so that a point stays where it is. */
export function aboutPoint(point: Point, turn: number, mirrored: boolean): PlaneMotion {
  const moved = movePoint(point, { turn, mirrored, by: ORIGIN });
  return { turn, mirrored, by: subtractPoints(point, moved) };
}
