import type { Place } from '../../../core/shape/places.ts';
import type { LaidPiece } from './motif-places.ts';

/** A way from a piece's place, and how far along it the edge of the piece lies, in millimetres. */
export interface SquareEdge {
  /** Of length 1. */
  readonly x: number;
  readonly y: number;
  readonly reach: number;
}

/** Degrees between the ways that are tried, to the right first. */
const STEP = 15;

/** Sine of what an edge may miss a right angle by. */
const ASIDE = 0.03;

/** A way from the piece's place that meets its outermost edge at a right angle; undefined where none does. */
export function squareEdge({ at, polygons, piece }: LaidPiece): SquareEdge | undefined {
  const turn = Number(piece.turn);
  const first = Number.isFinite(turn) ? turn % 90 : 0;
  for (let degrees = first; degrees < first + 360; degrees += STEP) {
    const angle = (degrees * Math.PI) / 180;
    const way = { x: Math.cos(angle), y: Math.sin(angle) };
    const found = outermost(polygons, at, way);
    if (found !== undefined && Math.abs(found.along) < ASIDE) return { ...way, reach: found.reach };
  }
  return undefined;
}

/** How far out a ray meets polygons, and how far the side that it meets goes along it, from −1 to 1. */
function outermost(polygons: readonly (readonly Place[])[], from: Place, way: Place) {
  let found: { readonly reach: number; readonly along: number } | undefined;
  for (const polygon of polygons) {
    for (const [index, one] of polygon.entries()) {
      const other = polygon[(index + 1) % polygon.length]!;
      const side = { x: other.x - one.x, y: other.y - one.y };
      const cross = way.x * side.y - way.y * side.x;
      if (cross === 0) continue;
      const to = { x: one.x - from.x, y: one.y - from.y };
      const part = (to.y * way.x - to.x * way.y) / -cross;
      const reach = (to.x * side.y - to.y * side.x) / cross;
      if (part < 0 || part > 1 || reach <= (found?.reach ?? 0)) continue;
      const along = (way.x * side.x + way.y * side.y) / Math.hypot(side.x, side.y);
      found = { reach, along };
    }
  }
  return found;
}
