import { CoreError } from '../error.ts';
import { type Contour, ellipse, polyline, type Segment } from './contour.ts';
import type { Figure } from './figure.ts';
import type { Place } from './places.ts';
import { circleArc, onArc } from './sink.ts';

const MIDDLE: Place = { x: 0, y: 0 };
const QUARTER = Math.PI / 2;

function outline(...contours: readonly Contour[]): Figure {
  return { kind: 'outline', contours };
}

/**
 * A rectangle with a radius for each corner, from the upper left clockwise.
 * @throws CoreError "figure/radius" {radius, most}, in millimetres, where two corners meet on a side
 */
export function rectangle({
  width,
  height,
  radii,
}: {
  width: number;
  height: number;
  radii: readonly number[];
}): Figure {
  radii.forEach((radius, at) => {
    const side = at % 2 === 0 ? width : height;
    const next = radii[(at + 1) % radii.length]!;
    // A rounding error is no mistake of the designer's.
    if (radius + next > side * (1 + 1e-12)) throw new CoreError('figure/radius', { radius, most: side / 2 });
  });
  const [upperLeft, upperRight, lowerRight, lowerLeft] = radii as [number, number, number, number];
  const corners = [
    { x: width / 2, y: height / 2, radius: upperRight, turn: 0 },
    { x: -width / 2, y: height / 2, radius: upperLeft, turn: 1 },
    { x: -width / 2, y: -height / 2, radius: lowerLeft, turn: 2 },
    { x: width / 2, y: -height / 2, radius: lowerRight, turn: 3 },
  ];
  const places: Segment[] = corners.flatMap(({ x, y, radius, turn }): Segment[] => {
    if (radius === 0) return [{ kind: 'line', to: { x, y } }];
    const middle = { x: x - Math.sign(x) * radius, y: y - Math.sign(y) * radius };
    const arc = circleArc(middle, radius, turn * QUARTER, (turn + 1) * QUARTER);
    return [
      { kind: 'line', to: onArc(arc, arc.from) },
      { kind: 'arc', arc },
    ];
  });
  const [first, ...segments] = places;
  return outline({ start: first!.kind === 'line' ? first!.to : MIDDLE, segments, closed: true });
}

export function disc(across: number): Figure {
  return outline(ellipse(MIDDLE, across / 2, across / 2));
}

export function ellipseFigure({ width, height }: { width: number; height: number }): Figure {
  return outline(ellipse(MIDDLE, width / 2, height / 2));
}

/** @throws CoreError "figure/band" {band, most} where nothing is left open */
export function ring({ across, band }: { across: number; band: number }): Figure {
  if (band >= across / 2) throw new CoreError('figure/band', { band, most: across / 2 });
  const inner = across / 2 - band;
  return outline(ellipse(MIDDLE, across / 2, across / 2), ellipse(MIDDLE, inner, -inner));
}

/**
 * A piece of a disc between two directions, counterclockwise; from an inner diameter on, a piece of a ring.
 * @throws CoreError "figure/inner" {inner, most} | "figure/sector" {turn}
 */
export function sector(numbers: { across: number; inner: number; from: number; to: number }): Figure {
  const { across, inner, from, to } = numbers;
  if (inner >= across) throw new CoreError('figure/inner', { inner, most: across });
  const turn = to - from;
  if (!(turn > 0 && turn <= 360)) throw new CoreError('figure/sector', { turn });
  if (turn === 360) return inner === 0 ? disc(across) : ring({ across, band: (across - inner) / 2 });
  const radians = (degrees: number) => (degrees * Math.PI) / 180;
  const outer = circleArc(MIDDLE, across / 2, radians(from), radians(to));
  const back = circleArc(MIDDLE, inner / 2, radians(to), radians(from));
  const close: readonly Segment[] =
    inner === 0
      ? [{ kind: 'line', to: MIDDLE }]
      : [
          { kind: 'line', to: onArc(back, back.from) },
          { kind: 'arc', arc: back },
        ];
  return outline({
    start: onArc(outer, outer.from),
    segments: [{ kind: 'arc', arc: outer }, ...close],
    closed: true,
  });
}

/** A bar with round ends, level. @throws CoreError "figure/capsule" {width, most} */
export function capsule({ length, width }: { length: number; width: number }): Figure {
  if (width > length) throw new CoreError('figure/capsule', { width, most: length });
  if (width === length) return disc(width);
  const half = (length - width) / 2;
  const right = circleArc({ x: half, y: 0 }, width / 2, -QUARTER, QUARTER);
  const left = circleArc({ x: -half, y: 0 }, width / 2, QUARTER, 3 * QUARTER);
  return outline({
    start: onArc(right, right.from),
    segments: [
      { kind: 'arc', arc: right },
      { kind: 'line', to: onArc(left, left.from) },
      { kind: 'arc', arc: left },
    ],
    closed: true,
  });
}

/** Straight from place to place and back. */
export function polygonFigure(places: readonly Place[]): Figure {
  return outline(polyline(places, true));
}
