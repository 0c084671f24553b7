import { latticePoint, type PlaneLattice } from '../../exact/lattice.ts';
import { addPoints, cross, dot, type Point, subtractPoints } from '../../exact/plane.ts';
import { compareSurds, type Surd, signOf } from '../../exact/surd.ts';
import type { Place } from '../places.ts';
import type { StrapPoint } from './strap-line.ts';
import { SAME_PLACE, type Step } from './strap-torus.ts';

/** A straight piece between two points. */
interface StraightPiece {
  readonly from: StrapPoint;
  readonly to: StrapPoint;
}

/** Where two straight pieces meet: at a part of each, 0 … 1, of which 0 and 1 are its ends; or along a length. */
type LinkMeeting =
  | { readonly kind: 'point'; readonly first: number; readonly second: number }
  | { readonly kind: 'along'; readonly at: Place };

/**
 * Whether two straight pieces meet, the second moved by vectors of a lattice. Doubles decide where they can tell; within
 * a millionth of a millimetre the exact points do, where both pieces have them.
 */
export function meetingOf(
  one: StraightPiece,
  other: StraightPiece,
  moved: { readonly by: Place; readonly step: Step; readonly lattice: PlaneLattice },
): LinkMeeting | undefined {
  const a = one.from.place;
  const u = between(a, one.to.place);
  const c = plus(other.from.place, moved.by);
  const v = between(c, plus(other.to.place, moved.by));
  const w = between(a, c);
  const lengths = { u: Math.hypot(u.x, u.y), v: Math.hypot(v.x, v.y) };
  const area = wedge(u, v);
  const sine = area / (lengths.u * lengths.v);
  const exact = () => exactPieces(one, other, moved);
  if (Math.abs(sine) < PARALLEL && (exact()?.parallel ?? true)) return parallelMeeting(a, u, { w, v, exact });
  const first = wedge(w, v) / area;
  const second = wedge(w, u) / area;
  // A place that is off by SAME_PLACE across one piece is off by so much more along the other.
  const near = SAME_PLACE / Math.abs(sine);
  const parts = [
    { part: first, near: near / lengths.u },
    { part: second, near: near / lengths.v },
  ];
  if (parts.some(({ part, near: slack }) => part < -slack || part > 1 + slack)) return undefined;
  const isSure = parts.every(({ part, near: slack }) => part > slack && part < 1 - slack);
  if (isSure) return { kind: 'point', first, second };
  const judged = exact();
  const [left, right] = [
    judged === undefined ? snapped(parts[0]!) : judged.partOfFirst(first),
    judged === undefined ? snapped(parts[1]!) : judged.partOfSecond(second),
  ];
  return left === undefined || right === undefined
    ? undefined
    : { kind: 'point', first: left, second: right };
}

/** Sine of an angle below which doubles do not tell whether two pieces are parallel. */
const PARALLEL = 1e-9;

function snapped({ part, near }: { readonly part: number; readonly near: number }): number {
  if (part <= near) return 0;
  return part >= 1 - near ? 1 : part;
}

interface AlongPiece {
  /** From the first piece's start to the second's, and the second's own way. */
  readonly w: Place;
  readonly v: Place;
  readonly exact: () => ExactPieces | undefined;
}

function parallelMeeting(a: Place, u: Place, { w, v, exact }: AlongPiece): LinkMeeting | undefined {
  const length = Math.hypot(u.x, u.y);
  if (Math.abs(wedge(u, w)) / length > SAME_PLACE) return undefined;
  if (exact()?.onOneLine === false) return undefined;
  const along = (way: Place) => (way.x * u.x + way.y * u.y) / length;
  const start = along(w);
  const end = along(plus(w, v));
  const from = Math.max(0, Math.min(start, end));
  const to = Math.min(length, Math.max(start, end));
  if (to - from > SAME_PLACE) {
    const middle = (from + to) / 2 / length;
    return { kind: 'along', at: { x: a.x + u.x * middle, y: a.y + u.y * middle } };
  }
  if (to - from < -SAME_PLACE) return undefined;
  const isAtEnd = from > length / 2;
  const isSecondStart = Math.abs(start - (isAtEnd ? length : 0)) <= 2 * SAME_PLACE;
  return { kind: 'point', first: isAtEnd ? 1 : 0, second: isSecondStart ? 0 : 1 };
}

interface ExactPieces {
  readonly parallel: boolean;
  readonly onOneLine: boolean;
  /** A part in doubles put right: at an end exactly, between them, or undefined beyond. */
  readonly partOfFirst: (near: number) => number | undefined;
  readonly partOfSecond: (near: number) => number | undefined;
}

function exactPieces(
  one: StraightPiece,
  other: StraightPiece,
  { step, lattice }: { readonly step: Step; readonly lattice: PlaneLattice },
): ExactPieces | undefined {
  const points = [one.from.exact, one.to.exact, other.from.exact, other.to.exact];
  if (points.some((point) => point === undefined)) return undefined;
  const [a, b, c, d] = points as [Point, Point, Point, Point];
  const by = latticePoint(lattice, step);
  const u = subtractPoints(b, a);
  const v = subtractPoints(d, c);
  const w = subtractPoints(addPoints(c, by), a);
  const area = cross(u, v);
  const parallel = signOf(area) === 0;
  return {
    parallel,
    onOneLine: signOf(cross(u, w)) === 0 && signOf(dot(u, u)) !== 0,
    partOfFirst: (near) => judged(cross(w, v), area, near),
    partOfSecond: (near) => judged(cross(w, u), area, near),
  };
}

/** Where n/d lies: 0, 1, between them as it nearly is, or undefined beyond. */
function judged(n: Surd, d: Surd, near: number): number | undefined {
  const sign = signOf(d);
  const fromStart = signOf(n) * sign;
  const fromEnd = compareSurds(n, d) * sign;
  if (fromStart < 0 || fromEnd > 0) return undefined;
  if (fromStart === 0) return 0;
  if (fromEnd === 0) return 1;
  return Math.min(1 - Number.EPSILON, Math.max(Number.MIN_VALUE, near));
}

function between(from: Place, to: Place): Place {
  return { x: to.x - from.x, y: to.y - from.y };
}

function plus(one: Place, other: Place): Place {
  return { x: one.x + other.x, y: one.y + other.y };
}

function wedge(one: Place, other: Place): number {
  return one.x * other.y - one.y * other.x;
}
