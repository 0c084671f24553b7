import { toNumber } from '../exact/rational.ts';
import { type Contour, polyline, type Segment, shiftBy } from './contour.ts';
import { shiftsInto } from './copies.ts';
import { type Figure, moveFigure } from './figure.ts';
import { boxOfFigure } from './figure-box.ts';
import { roundedInset } from './inset.ts';
import { type Place, placesOf } from './places.ts';
import type { Inset, TorusShape } from './shape.ts';
import type { Sink } from './sink.ts';
import { traceInset } from './trace.ts';

/** A shape on the torus as a figure, as far as it lies in the first repeat. @param pitch  millimetres of a repeat */
export function figureInRepeat(shape: TorusShape, pitch: Place): Figure {
  const whole = rectangle(pitch);
  switch (shape.kind) {
    case 'stroke': {
      const { width, ends } = shape;
      const lines = shape.paths.map(
        ({ points, closed }): Figure => ({
          kind: 'line',
          contour: polyline(placesOf(points, pitch), closed),
          width: toNumber(width),
          ends,
          capped: true,
          dashes: null,
        }),
      );
      return inRepeat(lines, pitch);
    }
    case 'cut':
      return {
        kind: 'cut',
        parts: [
          whole,
          inRepeat(
            shape.parts.map((part) => insetFigure(part, pitch)),
            pitch,
          ),
        ],
      };
    case 'frames':
      return inRepeat(
        shape.parts.map((part): Figure => {
          const outer = insetFigure({ corners: part.corners, ...part.outer }, pitch);
          return { kind: 'cut', parts: [outer, insetFigure(part, pitch)] };
        }),
        pitch,
      );
    default:
      return shape satisfies never;
  }
}

/** What lies in the first repeat of figures that come again in every one. */
export function inRepeat(figures: readonly Figure[], pitch: Place): Figure {
  const parts = figures.flatMap((figure) => {
    const { left, right, bottom, top } = boxOfFigure(figure);
    if (!(left <= right)) return [];
    const corners = [
      { x: left, y: bottom },
      { x: right, y: top },
    ];
    return shiftsInto(corners, pitch, 0).map(({ x, y }) => moveFigure(figure, shiftBy(x, y)));
  });
  return { kind: 'overlap', parts: [{ kind: 'join', parts }, rectangle(pitch)] };
}

function rectangle({ x, y }: Place): Figure {
  const corners = [
    { x: 0, y: 0 },
    { x, y: 0 },
    { x, y },
    { x: 0, y },
  ];
  return { kind: 'outline', contours: [polyline(corners, true)] };
}

function insetFigure({ corners, by, corner }: Inset, pitch: Place): Figure {
  const contours: Contour[] = [];
  traceInset(roundedInset(corners, pitch, toNumber(by), toNumber(corner)), contourSink(contours));
  return { kind: 'outline', contours };
}

/** Keeps closed outlines. */
function contourSink(contours: Contour[]): Sink {
  let start: Place = { x: 0, y: 0 };
  let segments: Segment[] = [];
  return {
    move: (place) => {
      start = place;
      segments = [];
    },
    line: (to) => segments.push({ kind: 'line', to }),
    arc: (arc) => segments.push({ kind: 'arc', arc }),
    curve: (curve) => segments.push({ kind: 'curve', curve }),
    close: () => contours.push({ start, segments, closed: true }),
  };
}
