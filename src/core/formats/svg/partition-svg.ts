import { type Rational, toNumber } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import type { Rectangle } from '../../exact/vector.ts';
import { type Corner, edgeName } from '../../faces/check-partition.ts';
import { hasClear, type Partition } from '../../faces/partition.ts';
import type { Place } from '../../shape/places.ts';
import { tracePath, tracePolygon } from '../../shape/trace.ts';
import { type DrawnPath, filled } from './drawn-path.ts';
import { type DrawnWindow, ONE_REPEAT } from './drawn-window.ts';
import { writePath } from './svg-path.ts';

/**
 * Width of the lines under the edges, as a part of the repeat's shorter side. Faces lie over both halves of them, so
 * they may be broad; where some faces are left clear, a line must not reach into those.
 */
const SEAM = { covered: 1 / 16, clear: 1 / 400 } as const;

/** A side, or a face: corners that are joined. */
type Outline = readonly Corner[];

type Draw = (corners: Outline, closed: boolean) => string;

/**
 * One repeat of a partition as paths, one a shade, in millimetres from the upper left corner, piece by piece. A viewer
 * blends every path's edge with what lies under it: so that this is never the ground, the edges between faces lie first,
 * as lines in the colour of the face that is painted first.
 *
 * @param underlap  how far a face runs under its neighbours, in millimetres; left out, a part of the repeat
 */
export function* drawPartition(
  partition: Partition,
  size: Rectangle,
  {
    underlap,
    window = ONE_REPEAT,
  }: { readonly underlap?: Rational | undefined; readonly window?: DrawnWindow },
): Iterable<DrawnPath> {
  const lengths = { x: toNumber(size.width), y: toNumber(size.height) };
  const draw = drawer(partition, lengths, window);
  const seam = hasClear(partition) ? SEAM.clear : SEAM.covered;
  const usual = Math.min(lengths.x, lengths.y) * seam;
  const width = underlap === undefined ? usual : 2 * toNumber(underlap);
  for (const [shade, seams] of seamsOf(partition).entries()) {
    if (seams.length === 0) continue;
    const { hex } = partition.shades[shade]!;
    const data = seams.map((side) => draw(side, false));
    yield { data, paint: { kind: 'line', hex, width } };
  }
  for (const [shade, { hex }] of partition.shades.entries()) {
    const faces = partition.faces.filter(({ fill }) => fill.kind !== 'clear' && fill.shade === shade);
    if (faces.length === 0) continue;
    yield filled(hex, traced(faces, draw));
  }
}

/** Outlines of faces, one by one, since they are many. */
function* traced(faces: Partition['faces'], draw: Draw): Iterable<string> {
  for (const { corners } of faces) yield draw(corners, true);
}

/** No shade. */
const CLEAR = -1;

/** For each shade, the sides that lie under it: of two faces, the one that is painted first has the line. */
function seamsOf({ faces, shades }: Partition): readonly (readonly Outline[])[] {
  const seams = shades.map((): Outline[] => []);
  const sides = new Map<string, number>();
  for (const { corners, fill } of faces) {
    // Beside what is clear there is no seam.
    const shade = fill.kind === 'clear' ? CLEAR : fill.shade;
    for (const [index, from] of corners.entries()) {
      const to = corners[(index + 1) % corners.length]!;
      const [name] = edgeName(from, to);
      const other = sides.get(name);
      sides.set(name, shade);
      if (other === undefined || other === shade || other === CLEAR || shade === CLEAR) continue;
      seams[Math.min(shade, other)]!.push([from, to]);
    }
  }
  return seams;
}

/** Draws an outline wherever it comes into the window; in doubles, since a drawing has six places. */
function drawer({ vertices }: Partition, lengths: Place, { across: wide, down, margin }: DrawnWindow): Draw {
  const xs = Float64Array.from(vertices, ({ x }) => surdToNumber(x));
  const ys = Float64Array.from(vertices, ({ y }) => surdToNumber(y));
  return (corners, closed) => {
    const points = corners.map(({ vertex, across, up }) => ({
      x: xs[vertex]! + across,
      y: ys[vertex]! + up,
    }));
    const [left, right] = reach(
      points.map(({ x }) => x),
      margin / lengths.x,
    );
    const [low, high] = reach(
      points.map(({ y }) => y),
      margin / lengths.y,
    );
    const trace = closed ? tracePolygon : tracePath;
    let path = '';
    for (let across = -right; across < wide - left; across += 1) {
      // The window goes downward from the first repeat.
      for (let up = 1 - down - high; up <= -low; up += 1) {
        const places = points.map(({ x, y }) => ({ x: (x + across) * lengths.x, y: (y + up) * lengths.y }));
        path += writePath(lengths, ORIGIN, (sink) => trace(places, sink));
      }
    }
    return path;
  };
}

/** Nothing is moved: places lie where they are drawn. */
const ORIGIN: Place = { x: 0, y: 0 };

/** First and last whole repeat that a range of coordinates touches with a margin. */
function reach(values: readonly number[], margin: number): readonly [number, number] {
  return [Math.floor(Math.min(...values) - margin), Math.floor(Math.max(...values) + margin)];
}
