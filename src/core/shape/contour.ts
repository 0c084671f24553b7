import type { Place } from './places.ts';
import { type Arc, type Curve, onArc, type Sink } from './sink.ts';

/** What an outline goes along next: straight to a place, round an arc, or by a Bézier curve. */
export type Segment =
  | { readonly kind: 'line'; readonly to: Place }
  | { readonly kind: 'arc'; readonly arc: Arc }
  | { readonly kind: 'curve'; readonly curve: Curve };

/** An outline or a line, in millimetres, y upward. A closed one goes straight back to its start. */
export interface Contour {
  readonly start: Place;
  readonly segments: readonly Segment[];
  readonly closed: boolean;
}

/** A turn about a place, or a mirroring, and a shift: (x, y) ↦ (a·x − m·b·y + dx, b·x + m·a·y + dy), m being −1 where it mirrors. */
export interface Motion {
  /** Cosine and sine of the turn. */
  readonly a: number;
  readonly b: number;
  readonly mirrored: boolean;
  readonly dx: number;
  readonly dy: number;
}

export const STILL: Motion = { a: 1, b: 0, mirrored: false, dx: 0, dy: 0 };

export function shiftBy(dx: number, dy: number): Motion {
  return { ...STILL, dx, dy };
}

/** A turn about a place by degrees, counterclockwise; quarters of a turn are exact. */
export function turnAbout({ x, y }: Place, degrees: number): Motion {
  const [a, b] = turnOf(degrees);
  return { a, b, mirrored: false, dx: x - a * x + b * y, dy: y - b * x - a * y };
}

/** Mirrored in the line through a place that rises by degrees. */
export function mirrorIn({ x, y }: Place, degrees: number): Motion {
  const [a, b] = turnOf(2 * degrees);
  return { a, b, mirrored: true, dx: x - a * x - b * y, dy: y - b * x + a * y };
}

function turnOf(degrees: number): readonly [number, number] {
  const quarters = degrees / 90;
  if (Number.isInteger(quarters)) {
    const turn = ((quarters % 4) + 4) % 4;
    return (
      [
        [1, 0],
        [0, 1],
        [-1, 0],
        [0, -1],
      ] as const
    )[turn]!;
  }
  const angle = (degrees * Math.PI) / 180;
  return [Math.cos(angle), Math.sin(angle)];
}

/** First one motion, then the other. */
export function thenMotion(first: Motion, second: Motion): Motion {
  const { x: dx, y: dy } = movePlace({ x: first.dx, y: first.dy }, second);
  const sign = second.mirrored ? -1 : 1;
  // What turns before a mirroring turns the other way round after it.
  const a = second.a * first.a - sign * second.b * first.b;
  const b = second.b * first.a + sign * second.a * first.b;
  return { a, b, mirrored: first.mirrored !== second.mirrored, dx, dy };
}

/** What takes a motion back. */
export function inverseMotion({ a, b, mirrored, dx, dy }: Motion): Motion {
  // A mirroring takes itself back.
  const back = { a, b: mirrored ? b : -b, mirrored, dx: 0, dy: 0 };
  const { x, y } = moveWay({ x: -dx, y: -dy }, back);
  return { ...back, b: back.b + 0, dx: x, dy: y };
}

export function movePlace(place: Place, motion: Motion): Place {
  const { x, y } = moveWay(place, motion);
  return { x: x + motion.dx, y: y + motion.dy };
}

/** A way is turned and mirrored, not shifted. */
export function moveWay({ x, y }: Place, { a, b, mirrored }: Motion): Place {
  const upward = mirrored ? -y : y;
  return { x: a * x - b * upward, y: b * x + a * upward };
}

export function moveContour({ start, segments, closed }: Contour, motion: Motion): Contour {
  return {
    start: movePlace(start, motion),
    segments: segments.map((each) => moveSegment(each, motion)),
    closed,
  };
}

function moveSegment(segment: Segment, motion: Motion): Segment {
  const at = (place: Place) => movePlace(place, motion);
  switch (segment.kind) {
    case 'line':
      return { kind: 'line', to: at(segment.to) };
    case 'arc': {
      const { middle, across, up, ...angles } = segment.arc;
      const arc = { ...angles, middle: at(middle), across: moveWay(across, motion), up: moveWay(up, motion) };
      return { kind: 'arc', arc };
    }
    case 'curve': {
      const { leave, arrive, to } = segment.curve;
      return { kind: 'curve', curve: { leave: at(leave), arrive: at(arrive), to: at(to) } };
    }
    default:
      return segment satisfies never;
  }
}

/** Straight from place to place. */
export function polyline(places: readonly Place[], closed: boolean): Contour {
  const [start, ...others] = places;
  return { start: start!, segments: others.map((to) => ({ kind: 'line', to })), closed };
}

/** A whole ellipse, counterclockwise from its right. */
export function ellipse(middle: Place, across: number, up: number): Contour {
  const arc: Arc = { middle, across: { x: across, y: 0 }, up: { x: 0, y: up }, from: 0, to: 2 * Math.PI };
  return { start: onArc(arc, 0), segments: [{ kind: 'arc', arc }], closed: true };
}

export function traceContour({ start, segments, closed }: Contour, sink: Sink): void {
  sink.move(start);
  for (const segment of segments) {
    if (segment.kind === 'line') sink.line(segment.to);
    else if (segment.kind === 'arc') sink.arc(segment.arc);
    else sink.curve(segment.curve);
  }
  if (closed) sink.close();
}

/** Where a segment ends. */
export function endOf(segment: Segment): Place {
  if (segment.kind === 'line') return segment.to;
  return segment.kind === 'arc' ? onArc(segment.arc, segment.arc.to) : segment.curve.to;
}

/** Places that the outline stays within the hull of: for boxes round it. */
export function hullOf({ start, segments }: Contour): readonly Place[] {
  const [only, ...others] = segments;
  // A whole circle or ellipse has no place where it begins.
  if (only?.kind === 'arc' && others.length === 0 && isWhole(only.arc)) return extremesOf(only.arc);
  return [start, ...segments.flatMap((segment) => hullOfSegment(segment))];
}

function isWhole({ from, to }: Arc): boolean {
  return Math.abs(to - from) >= 2 * Math.PI;
}

function hullOfSegment(segment: Segment): readonly Place[] {
  switch (segment.kind) {
    case 'line':
      return [segment.to];
    case 'curve':
      return [segment.curve.leave, segment.curve.arrive, segment.curve.to];
    case 'arc':
      return extremesOf(segment.arc);
    default:
      return segment satisfies never;
  }
}

/** An arc's ends, and where it is furthest to a side between them. */
function extremesOf(arc: Arc): readonly Place[] {
  const { across, up, from, to } = arc;
  const low = Math.min(from, to);
  const high = Math.max(from, to);
  const still = [Math.atan2(up.x, across.x), Math.atan2(up.y, across.y)].flatMap((angle) => {
    const first = angle + Math.ceil((low - angle) / Math.PI) * Math.PI;
    return [0, 1, 2, 3].map((half) => first + half * Math.PI).filter((each) => each < high);
  });
  const ends = isWhole(arc) ? [] : [from, to];
  return [...ends, ...still].map((angle) => onArc(arc, angle));
}
