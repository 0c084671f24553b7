import type { Shade } from '../../colour/shade.ts';
import { type CopyPlace, paintedBefore, repeatsInto } from '../../repeat/copy-order.ts';
import type { RowOrder } from '../../repeat/repeat-unit.ts';
import { hullOf, traceContour } from '../../shape/contour.ts';
import type { Grid } from '../../shape/grid.ts';
import type { Place } from '../../shape/places.ts';
import { resolveEndless, resolveFigure } from '../../shape/resolve-figure.ts';
import type { PlacedFigure } from '../../shape/shape.ts';
import { tracePolygon } from '../../shape/trace.ts';
import { writePath } from './svg-path.ts';

/** A figure with the shade that it has. */
export interface ShadedFigure {
  readonly shape: PlacedFigure;
  readonly shade: number;
}

/** Parts of a millimetre that a figure is rounded to where it is worked out as polygons. */
const FINE = 10_000;

/**
 * Figures of one repeat with all their copies in it, in painting order, in millimetres from its upper left corner.
 * Outlines keep their true arcs and curves; what is worked out from others is polygons.
 *
 * @param pitch  lengths of one repeat in millimetres
 */
export function* drawFigures(
  figures: readonly ShadedFigure[],
  rows: RowOrder | undefined,
  shades: readonly Shade[],
  pitch: Place,
): Iterable<string> {
  const drawn = figures.flatMap((each, index) => copiesOf(each, index, pitch));
  drawn.sort(paintedBefore(rows));
  for (const [at, copy] of drawn.entries()) {
    const hex = shades[copy.shade]!.hex;
    // Copies of one figure that follow each other are one path: inside is what lies in any of them.
    const begins = drawn[at - 1]?.index !== copy.index;
    const ends = drawn[at + 1]?.index !== copy.index;
    yield `${begins ? `<path fill="${hex}" d="` : ''}${copy.draw()}${ends ? '"/>\n' : ''}`;
  }
}

interface DrawnCopy extends CopyPlace {
  readonly shade: number;
  readonly draw: () => string;
}

function copiesOf({ shape, shade }: ShadedFigure, index: number, pitch: Place): readonly DrawnCopy[] {
  const { places, draw } = drawnFigure(shape, pitch);
  if (places.length === 0) return [];
  const [left, width] = stretchOf(places.map(({ x }) => x));
  const [bottom, height] = stretchOf(places.map(({ y }) => y));
  return repeatsInto(left, width, pitch.x, pitch.x).flatMap((right) =>
    repeatsInto(bottom, height, pitch.y, pitch.y).map((up) => ({
      index,
      row: shape.row,
      piece: shape.piece,
      endless: shape.endless,
      right,
      up,
      shade,
      draw: () => draw({ x: right * pitch.x, y: -up * pitch.y }),
    })),
  );
}

function stretchOf(values: readonly number[]): readonly [from: number, length: number] {
  let [least, most] = [Infinity, -Infinity];
  for (const value of values) {
    least = Math.min(least, value);
    most = Math.max(most, value);
  }
  return [least, most - least];
}

/** Places round a figure, y upward, and how its path is written. */
function drawnFigure({ figure, endless }: PlacedFigure, pitch: Place) {
  if (figure.kind === 'outline' && !endless) {
    return {
      places: figure.contours.flatMap(hullOf),
      draw: (shift: Place) =>
        figure.contours.map((each) => writePath(pitch, shift, (sink) => traceContour(each, sink))).join(''),
    };
  }
  const grid: Grid = {
    width: pitch.x * FINE,
    height: pitch.y * FINE,
    pitch,
    scale: { x: FINE, y: FINE },
  };
  const resolved = endless ? resolveEndless(figure, grid) : resolveFigure(figure, grid);
  const polygons = resolved.map((polygon) =>
    polygon.map(({ x, y }) => ({ x: x / FINE, y: pitch.y - y / FINE })),
  );
  return {
    places: polygons.flat(),
    draw: (shift: Place) =>
      polygons.map((each) => writePath(pitch, shift, (sink) => tracePolygon(each, sink))).join(''),
  };
}
