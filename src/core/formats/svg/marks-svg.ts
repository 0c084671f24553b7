import { toNumber } from '../../exact/rational.ts';
import { roundedInset } from '../../shape/inset.ts';
import { SHARPEST } from '../../shape/line-joins.ts';
import { type Place, placesOf } from '../../shape/places.ts';
import type { Cut, Frames, Inset, Stroke, TorusShape } from '../../shape/shape.ts';
import { traceInset, tracePath } from '../../shape/trace.ts';
import { type DrawnPath, filled } from './drawn-path.ts';
import { type DrawnWindow, shiftsIntoWindow } from './drawn-window.ts';
import { lengthText } from './length-text.ts';
import { turnedDown, writePath } from './svg-path.ts';

type Draw<S extends TorusShape> = (shape: S, hex: string, room: Room) => DrawnPath;

/** @param pitch  lengths of one repeat in millimetres */
interface Room {
  readonly pitch: Place;
  readonly window: DrawnWindow;
}

const DRAW: { readonly [K in TorusShape['kind']]: Draw<Extract<TorusShape, { kind: K }>> } = {
  stroke: drawStroke,
  cut: drawCut,
  frames: drawFrames,
};

/** A shape wherever it comes into the window, in millimetres from the first repeat's upper left corner. */
export function drawShape(shape: TorusShape, hex: string, room: Room): DrawnPath {
  return (DRAW[shape.kind] as Draw<TorusShape>)(shape, hex, room);
}

/** Lines stay lines, so that their width can still be changed. */
function drawStroke({ paths, width, ends }: Stroke, hex: string, { pitch, window }: Room): DrawnPath {
  const wide = toNumber(width);
  const reach = (wide / 2) * (ends === 'sharp' ? SHARPEST : 1);
  const data = paths.flatMap(({ points, closed }) => {
    const places = placesOf(points, pitch);
    return shiftsIntoWindow(turnedDown(places, pitch), pitch, window, reach).map((shift) =>
      writePath(pitch, shift, (sink) => {
        tracePath(places, sink);
        if (closed) sink.close();
      }),
    );
  });
  return { data, paint: { kind: 'line', hex, width: wide, ends } };
}

/** The whole window, and in it the parts as holes. */
function drawCut({ parts }: Cut, hex: string, room: Room): DrawnPath {
  const holes = parts.flatMap((part) => insetPaths(part, room));
  const { pitch, window } = room;
  const low = lengthText(0 - window.margin);
  const right = lengthText(window.across * pitch.x + window.margin);
  const bottom = lengthText(window.down * pitch.y + window.margin);
  const box = `M${low} ${low}H${right}V${bottom}H${low}z`;
  return filled(hex, [box, ...holes], true);
}

/** Each inset, and the smaller one as a hole in it. */
function drawFrames({ parts }: Frames, hex: string, room: Room): DrawnPath {
  const paths = parts.flatMap((part) => [
    ...insetPaths({ corners: part.corners, ...part.outer }, room),
    ...insetPaths(part, room),
  ]);
  return filled(hex, paths, true);
}

/** An inset wherever it comes into the window. */
function insetPaths({ corners, by, corner }: Inset, { pitch, window }: Room): readonly string[] {
  const inset = roundedInset(corners, pitch, toNumber(by), toNumber(corner));
  return shiftsIntoWindow(turnedDown(inset.middles, pitch), pitch, window, inset.radius).map((shift) =>
    writePath(pitch, shift, (sink) => traceInset(inset, sink)),
  );
}
