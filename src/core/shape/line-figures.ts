import { CoreError } from '../error.ts';
import type { Contour, Segment } from './contour.ts';
import type { Place } from './places.ts';
import { type Arc, circleArc, onArc } from './sink.ts';

/** A point of a line: a corner, rounded by a radius where that is above 0, or one that a curve goes through. */
export interface LinePoint extends Place {
  readonly bend: 'corner' | 'curve';
  readonly radius: number;
}

/**
 * How a line goes on at its ends: it stops, goes back to its start, or goes on as it began, so that the first point
 * comes again where the last one is.
 */
export type LineRun = 'open' | 'closed' | 'onward';

/**
 * A line through points. Between points that it curves through it is a centripetal Catmull–Rom spline: P. J. Barry,
 * R. N. Goldman, A recursive evaluation algorithm for a class of Catmull–Rom splines, Computer Graphics 22 (1988)
 * 199–204; knots by the root of the distance, C. Yuksel, S. Schaefer, J. Keyser, CAD 43 (2011) 747–755.
 *
 * @param beyond  pieces by which a line that goes on is drawn out at both ends
 * @throws CoreError "figure/points" {points, least} | "figure/same-point" {point} | "figure/bend" {radius, most}
 */
export function lineThrough(points: readonly LinePoint[], run: LineRun, beyond = 0): Contour {
  const least = run === 'closed' ? 3 : 2;
  if (points.length < least) throw new CoreError('figure/points', { points: points.length, least });
  points.forEach((point, at) => {
    const next = points[at + 1] ?? (run === 'closed' ? points[0]! : undefined);
    if (next !== undefined && point.x === next.x && point.y === next.y) {
      throw new CoreError('figure/same-point', { point: at + 1 });
    }
  });
  const pointAt = neighbours(points, run);
  const count = points.length;
  const first = -beyond;
  const last = (run === 'closed' ? count : count - 1) + beyond;
  const start = cornerOf(pointAt, first, run === 'closed');
  const segments: Segment[] = [];
  let from = start.leave;
  for (let at = first; at < last; at += 1) {
    const to = cornerOf(pointAt, at + 1, run === 'closed' || at + 1 < last);
    segments.push(between(pointAt, at, from, to.arrive));
    if (to.arc !== undefined) segments.push({ kind: 'arc', arc: to.arc });
    from = to.leave;
  }
  return { start: start.leave, segments, closed: run === 'closed' };
}

type PointAt = (at: number) => LinePoint;

/** The points before the first and after the last one too. */
function neighbours(points: readonly LinePoint[], run: LineRun): PointAt {
  const count = points.length;
  const last = points[count - 1]!;
  const first = points[0]!;
  return (at) => {
    if (at >= 0 && at < count) return points[at]!;
    if (run === 'closed') return points[(at + count) % count]!;
    if (run === 'onward') {
      // The last point is the first of the line that follows.
      const period = count - 1;
      const times = Math.floor(at / period);
      const same = points[at - times * period]!;
      return { ...same, x: same.x + times * (last.x - first.x), y: same.y + times * (last.y - first.y) };
    }
    const end = at < 0 ? first : last;
    const inner = at < 0 ? points[1]! : points[count - 2]!;
    return { ...end, x: 2 * end.x - inner.x, y: 2 * end.y - inner.y };
  };
}

/** Where a line comes to a point and leaves it, with the arc between where its corner is rounded. */
function cornerOf(pointAt: PointAt, at: number, passed: boolean): { arrive: Place; leave: Place; arc?: Arc } {
  const point = pointAt(at);
  if (!passed || point.bend === 'curve' || point.radius === 0) return { arrive: point, leave: point };
  const back = unit(point, pointAt(at - 1));
  const on = unit(point, pointAt(at + 1));
  const turn = Math.acos(Math.max(-1, Math.min(1, back.x * on.x + back.y * on.y)));
  // From the corner to where the arc touches: r / tan(half of the angle between the sides).
  const way = point.radius / Math.tan(turn / 2);
  const room = Math.min(back.length, on.length) / 2;
  if (way > room * (1 + 1e-12)) {
    throw new CoreError('figure/bend', { radius: point.radius, most: room * Math.tan(turn / 2) });
  }
  const arrive = { x: point.x + back.x * way, y: point.y + back.y * way };
  const side = Math.sign(-back.x * on.y + back.y * on.x);
  if (side === 0) return { arrive: point, leave: point };
  const middle = { x: arrive.x - side * -back.y * point.radius, y: arrive.y - side * back.x * point.radius };
  const from = Math.atan2(arrive.y - middle.y, arrive.x - middle.x);
  const arc = circleArc(middle, point.radius, from, from + side * (Math.PI - turn));
  return { arrive: onArc(arc, arc.from), leave: onArc(arc, arc.to), arc };
}

function unit(from: Place, to: Place) {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return { x: (to.x - from.x) / length, y: (to.y - from.y) / length, length };
}

/** From a point to the next: curved where either of them is curved through, else straight. */
function between(pointAt: PointAt, at: number, from: Place, to: Place): Segment {
  const [before, one, other, after] = [at - 1, at, at + 1, at + 2].map(pointAt) as [
    LinePoint,
    LinePoint,
    LinePoint,
    LinePoint,
  ];
  if (one.bend === 'corner' && other.bend === 'corner') return { kind: 'line', to };
  const gap = knot(one, other);
  const leaving = one.bend === 'curve' ? tangent(before, one, other) : chordSlope(one, other);
  const arriving = other.bend === 'curve' ? tangent(one, other, after) : chordSlope(one, other);
  const third = gap / 3;
  return {
    kind: 'curve',
    curve: {
      leave: { x: from.x + leaving.x * third, y: from.y + leaving.y * third },
      arrive: { x: to.x - arriving.x * third, y: to.y - arriving.y * third },
      to,
    },
  };
}

/** The root of the distance. */
function knot(one: Place, other: Place): number {
  return Math.sqrt(Math.hypot(other.x - one.x, other.y - one.y));
}

function chordSlope(one: Place, other: Place): Place {
  const gap = knot(one, other);
  return { x: (other.x - one.x) / gap, y: (other.y - one.y) / gap };
}

/** The slope at the middle one of three points, by their knots. */
function tangent(before: Place, point: Place, after: Place): Place {
  const [a, b] = [knot(before, point), knot(point, after)];
  const along = (p: number, q: number, r: number) => (q - p) / a - (r - p) / (a + b) + (r - q) / b;
  return { x: along(before.x, point.x, after.x), y: along(before.y, point.y, after.y) };
}
