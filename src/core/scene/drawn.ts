import type { FlatBox } from '../bend/bent.ts';
import { type Contour, endOf, moveContour, polyline, type Segment, shiftBy } from '../shape/contour.ts';
import type { Place } from '../shape/places.ts';
import { readPath } from './read-path.ts';
import type { InkLine, InkWeight } from './scene.ts';

/** Contours of path data in millimetres, y upward, stretched by a part each way. */
export function drawn(path: string, across = 1, up = 1): readonly Contour[] {
  return readPath(path).map((contour) => stretched(contour, across, up));
}

/** Contours as they lie in a box whose lower left is at a place of the drawing. */
export function within(at: Place, contours: readonly Contour[]): readonly Contour[] {
  return contours.map((each) => moveContour(each, shiftBy(-at.x, -at.y)));
}

export function rectangle({ x, y }: Place, { width, height }: FlatBox): Contour {
  return polyline(
    [
      { x, y },
      { x: x + width, y },
      { x: x + width, y: y + height },
      { x, y: y + height },
    ],
    true,
  );
}

/** A straight line from place to place: x, y, x, y … */
export function line(...numbers: readonly number[]): Contour {
  const places: Place[] = [];
  for (let at = 0; at < numbers.length; at += 2) places.push({ x: numbers[at]!, y: numbers[at + 1]! });
  return polyline(places, false);
}

export function ink(weight: InkWeight, ...contours: readonly Contour[]): InkLine {
  return { weight, contours };
}

/** The same contour seen in a mirror that stands upright at a place across. */
export function mirrored({ start, segments, closed }: Contour, middle: number): Contour {
  const flip = ({ x, y }: Place): Place => ({ x: 2 * middle - x, y });
  return { start: flip(start), segments: segments.map((each) => mapped(each, flip)), closed };
}

/** One outline of a half that goes down the right of its middle, and its mirror image. */
export function both(half: Contour, middle: number): Contour {
  const left = backward(mirrored(half, middle));
  return {
    start: half.start,
    segments: [...half.segments, { kind: 'line', to: left.start }, ...left.segments],
    closed: true,
  };
}

/** An open contour the other way round. */
export function backward({ start, segments }: Contour): Contour {
  const starts = [start, ...segments.map(endOf)];
  const turned = segments.map((segment, at): Segment => {
    const to = starts[at]!;
    if (segment.kind === 'curve') {
      const { leave, arrive } = segment.curve;
      return { kind: 'curve', curve: { leave: arrive, arrive: leave, to } };
    }
    if (segment.kind === 'arc') {
      return { kind: 'arc', arc: { ...segment.arc, from: segment.arc.to, to: segment.arc.from } };
    }
    return { kind: 'line', to };
  });
  return { start: starts.at(-1)!, segments: turned.reverse(), closed: false };
}

function stretched({ start, segments, closed }: Contour, across: number, up: number): Contour {
  const stretch = ({ x, y }: Place): Place => ({ x: x * across, y: y * up });
  return { start: stretch(start), segments: segments.map((each) => mapped(each, stretch)), closed };
}

/** A path of lines and curves under a map that keeps those; scenes have no arcs but whole rounds. */
function mapped(segment: Segment, map: (place: Place) => Place): Segment {
  if (segment.kind === 'line') return { kind: 'line', to: map(segment.to) };
  if (segment.kind === 'curve') {
    const { leave, arrive, to } = segment.curve;
    return { kind: 'curve', curve: { leave: map(leave), arrive: map(arrive), to: map(to) } };
  }
  const { arc } = segment;
  const way = (to: Place): Place => {
    const from = map({ x: 0, y: 0 });
    const end = map(to);
    return { x: end.x - from.x, y: end.y - from.y };
  };
  return {
    kind: 'arc',
    arc: { ...arc, middle: map(arc.middle), across: way(arc.across), up: way(arc.up) },
  };
}
