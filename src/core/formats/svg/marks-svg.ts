import { rational, toNumber } from '../../exact/rational.ts';
import { shiftsInto } from '../../shape/copies.ts';
import { roundedInset } from '../../shape/inset.ts';
import { SHARPEST } from '../../shape/line-joins.ts';
import { type Place, placesOf } from '../../shape/places.ts';
import type { Cut, Frames, Inset, Stroke, TorusShape } from '../../shape/shape.ts';
import { traceInset, tracePath } from '../../shape/trace.ts';
import { type DrawnPath, filled } from './drawn-path.ts';
import { lengthText } from './length-text.ts';
import { turnedDown, writePath } from './svg-path.ts';

type Draw<S extends TorusShape> = (shape: S, hex: string, pitch: Place) => DrawnPath;

const DRAW: { readonly [K in TorusShape['kind']]: Draw<Extract<TorusShape, { kind: K }>> } = {
  stroke: drawStroke,
  cut: drawCut,
  frames: drawFrames,
};

/**
 * A shape of one repeat, in millimetres from its upper left corner.
 * @param pitch  lengths of one repeat in millimetres
 */
export function drawShape(shape: TorusShape, hex: string, pitch: Place): DrawnPath {
  return (DRAW[shape.kind] as Draw<TorusShape>)(shape, hex, pitch);
}

/** Lines stay lines, so that their width can still be changed. */
function drawStroke({ paths, width, ends }: Stroke, hex: string, pitch: Place): DrawnPath {
  const wide = toNumber(width);
  const reach = (wide / 2) * (ends === 'sharp' ? SHARPEST : 1);
  const data = paths.flatMap(({ points, closed }) => {
    const places = placesOf(points, pitch);
    return shiftsInto(turnedDown(places, pitch), pitch, reach).map((shift) =>
      writePath(pitch, shift, (sink) => {
        tracePath(places, sink);
        if (closed) sink.close();
      }),
    );
  });
  return { data, paint: { kind: 'line', hex, width: wide, ends } };
}

/** The whole repeat, and in it the parts as holes. */
function drawCut({ parts }: Cut, hex: string, pitch: Place): DrawnPath {
  const holes = parts.flatMap((part) => insetPaths(part, pitch));
  const box = `M0 0H${lengthText(pitch.x)}V${lengthText(pitch.y)}H0z`;
  return filled(hex, [box, ...holes], true);
}

/** Each polygon, and its inset as a hole in it. */
function drawFrames({ parts }: Frames, hex: string, pitch: Place): DrawnPath {
  const zero = rational(0);
  const paths = parts.flatMap((part) => [
    ...insetPaths({ ...part, by: zero, corner: zero }, pitch),
    ...insetPaths(part, pitch),
  ]);
  return filled(hex, paths, true);
}

/** An inset wherever it comes into the repeat. */
function insetPaths({ corners, by, corner }: Inset, pitch: Place): readonly string[] {
  const inset = roundedInset(corners, pitch, toNumber(by), toNumber(corner));
  return shiftsInto(turnedDown(inset.middles, pitch), pitch, inset.radius).map((shift) =>
    writePath(pitch, shift, (sink) => traceInset(inset, sink)),
  );
}
