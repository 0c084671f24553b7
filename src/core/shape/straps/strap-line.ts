import type { Point } from '../../exact/plane.ts';
import { type Contour, endOf } from '../contour.ts';
import { chordsOf } from '../flatten.ts';
import type { Place } from '../places.ts';

/** A point of a strap's middle line, exact where it is known so. */
export interface StrapPoint {
  readonly place: Place;
  readonly exact: Point | undefined;
}

/** Which line of which piece. */
export interface StrapName {
  readonly piece: number;
  readonly line: number;
}

/** A middle line from point to point, in millimetres. */
export interface StrapLine {
  readonly name: StrapName;
  /** Lines of one style go on into each other where they meet end to end. */
  readonly style: number;
  readonly points: readonly StrapPoint[];
  /** It has two ends, goes back to its first point, or goes on as it began where its last point is its first one's copy. */
  readonly run: 'open' | 'closed' | 'onward';
}

/** Most that a chord may lie beside an arc or a curve, in millimetres. */
const SAGITTA = 1e-3;

/**
 * The points of a contour: arcs and curves by chords.
 * @param corners  exact ones of a contour that is straight between them, its start first
 */
export function strapPoints(contour: Contour, corners?: readonly Point[]): readonly StrapPoint[] {
  if (corners !== undefined) {
    const places = [contour.start, ...contour.segments.map(endOf)];
    const points = corners.map((exact, at) => ({ place: places[at]!, exact }));
    return points;
  }
  const places = chordsOf(contour, SAGITTA);
  const isBack = contour.closed && places.length > 1 && isSame(places[0]!, places.at(-1)!);
  return (isBack ? places.slice(0, -1) : places)
    .filter((place, at, all) => at === 0 || !isSame(place, all[at - 1]!))
    .map((place) => ({ place, exact: undefined }));
}

function isSame(one: Place, other: Place): boolean {
  return Math.hypot(one.x - other.x, one.y - other.y) < 1e-9;
}
