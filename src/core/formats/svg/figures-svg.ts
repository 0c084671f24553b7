import type { Shade } from '../../colour/shade.ts';
import { type CopyPlace, paintedBefore, repeatsInto } from '../../repeat/copy-order.ts';
import type { RowOrder } from '../../repeat/repeat-unit.ts';
import { hullOf, traceContour } from '../../shape/contour.ts';
import type { FadeWay } from '../../shape/fade-way.ts';
import type { Grid } from '../../shape/grid.ts';
import type { Place } from '../../shape/places.ts';
import { resolveEndless, resolveFigure } from '../../shape/resolve-figure.ts';
import type { Mark, PlacedFigure, Softness } from '../../shape/shape.ts';
import { tracePolygon } from '../../shape/trace.ts';
import { type DrawnPiece, filled } from './drawn-path.ts';
import type { DrawnWindow } from './drawn-window.ts';
import { gradientStops } from './gradient-stops.ts';
import { lengthText } from './length-text.ts';
import type { PicturesSvg } from './picture-svg.ts';
import { writePath } from './svg-path.ts';

/** A figure with the shade that it has, and what is done to it. */
export type ShadedFigure = Omit<Mark, 'shape'> & { readonly shape: PlacedFigure };

/** What figures are drawn with. */
interface DrawingRoom {
  readonly shades: readonly Shade[];
  /** Lengths of one repeat in millimetres. */
  readonly pitch: Place;
  readonly window: DrawnWindow;
  readonly pictures: PicturesSvg;
}

/** Parts of a millimetre that a figure is rounded to where it is worked out as polygons. */
const FINE = 10_000;

/**
 * Figures of one repeat with all their copies in the window, in painting order, in millimetres from its upper left corner.
 * Outlines keep their true arcs and curves; what is worked out from others is polygons.
 * @throws CoreError "picture/missing" {name}
 */
export function* drawFigures(
  figures: readonly ShadedFigure[],
  rows: RowOrder | undefined,
  room: DrawingRoom,
): Iterable<DrawnPiece> {
  const { shades } = room;
  const drawn = figures.flatMap((each, index) => copiesOf(each, index, room));
  drawn.sort(paintedBefore(rows));
  // Copies of one figure that follow each other are one path: inside is what lies in any of them.
  for (let from = 0; from < drawn.length; ) {
    const copy = drawn[from]!;
    let end = from + 1;
    while (!isPainted(copy) && drawn[end]?.index === copy.index) end += 1;
    if (isPainted(copy)) yield* drawPainted(copy, from, room);
    else if (copy.shade !== null) yield filled(shades[copy.shade]!.hex, traced(drawn.slice(from, end)));
    from = end;
  }
}

/** Whether a figure has more than one shade to be filled with. */
function isPainted({ fade, soft, picture }: DrawnCopy): boolean {
  return fade !== undefined || soft !== undefined || picture !== undefined;
}

function* traced(copies: readonly DrawnCopy[]): Iterable<string> {
  for (const { draw } of copies) yield draw();
}

/** A copy with a gradient, a picture or a filter of its own. */
function* drawPainted(
  copy: DrawnCopy,
  at: number,
  { shades, pitch, pictures }: DrawingRoom,
): Iterable<string> {
  const { fade, picture, shade, shift, draw } = copy;
  if (copy.soft !== undefined) yield drawSoft(copy, copy.soft, at, shades);
  else if (fade !== undefined) {
    const steps = gradientStops(fade.shades.map((each) => shades[each]!.hex));
    yield gradient(fade.way, `fade-1-${at}`, { pitch, shift, steps });
    yield `<path fill="url(#fade-1-${at})" d="${draw()}"/>\n`;
  } else if (shade !== null) yield `<path fill="${shades[shade]!.hex}" d="${draw()}"/>\n`;
  if (picture === undefined) return;
  yield* pictures.draw(picture, draw(), ({ x, y }) => ({ x: x + shift.x, y: pitch.y - y + shift.y }));
}

function drawSoft(
  { shade, draw, box }: DrawnCopy,
  { deviation, strength }: Softness,
  at: number,
  shades: readonly Shade[],
): string {
  return (
    `<filter id="soft-${at}" filterUnits="userSpaceOnUse" x="${lengthText(box.left)}" y="${lengthText(box.top)}" ` +
    `width="${lengthText(box.width)}" height="${lengthText(box.height)}" color-interpolation-filters="sRGB">` +
    `<feGaussianBlur stdDeviation="${lengthText(deviation)}"/></filter>` +
    `<path filter="url(#soft-${at})" fill="${shades[shade!]!.hex}" fill-opacity="${lengthText(strength)}" ` +
    `d="${draw()}"/>\n`
  );
}

interface GradientPlace {
  readonly pitch: Place;
  readonly shift: Place;
  readonly steps: string;
}

/** A gradient in millimetres; one that comes again in every repeat stands in the one that is drawn. */
function gradient(way: FadeWay, id: string, { pitch, shift, steps }: GradientPlace): string {
  const by = way.every === null ? shift : { x: 0, y: 0 };
  const right = ({ x }: Place) => lengthText(x + by.x);
  const down = ({ y }: Place) => lengthText(pitch.y - y + by.y);
  const named = `id="${id}" gradientUnits="userSpaceOnUse"`;
  if (way.kind === 'outward') {
    const { middle, radius } = way;
    return `<radialGradient ${named} cx="${right(middle)}" cy="${down(middle)}" r="${lengthText(radius)}">${steps}</radialGradient>`;
  }
  const ends = `x1="${right(way.from)}" y1="${down(way.from)}" x2="${right(way.to)}" y2="${down(way.to)}"`;
  return `<linearGradient ${named} ${ends}>${steps}</linearGradient>`;
}

interface DrawnCopy extends CopyPlace, Omit<Mark, 'shape'> {
  /** In millimetres, y downward. */
  readonly shift: Place;
  /** As far as it reaches, in millimetres, y downward. */
  readonly box: {
    readonly left: number;
    readonly top: number;
    readonly width: number;
    readonly height: number;
  };
  readonly draw: () => string;
}

/** Standard deviations within which all that can be seen of a blur lies. */
const BLUR_REACH = 3;

function copiesOf(
  { shape, ...paint }: ShadedFigure,
  index: number,
  { pitch, window }: DrawingRoom,
): readonly DrawnCopy[] {
  const { places, draw } = drawnFigure(shape, pitch);
  // What goes on into other repeats is blurred with what it goes on to.
  const around = shape.endless && paint.soft !== undefined ? [-1, 0, 1] : [0];
  if (places.length === 0) return [];
  const blur = BLUR_REACH * (paint.soft?.deviation ?? 0);
  const [left, width] = stretchOf(
    places.map(({ x }) => x),
    blur,
  );
  const [bottom, height] = stretchOf(
    places.map(({ y }) => y),
    blur,
  );
  const { margin } = window;
  const wide = window.across * pitch.x + 2 * margin;
  const high = window.down * pitch.y + 2 * margin;
  // The window goes downward from the first repeat, which is counted from its foot.
  const foot = bottom + (window.down - 1) * pitch.y;
  return repeatsInto(left + margin, width, pitch.x, wide).flatMap((right) =>
    repeatsInto(foot + margin, height, pitch.y, high).map((up) => ({
      ...paint,
      index,
      row: shape.row,
      piece: shape.piece,
      endless: shape.endless,
      right,
      up,
      shift: { x: right * pitch.x, y: -up * pitch.y },
      box: { left: left + right * pitch.x, top: pitch.y - bottom - height - up * pitch.y, width, height },
      draw: () =>
        around
          .flatMap((i) => around.map((j) => draw({ x: (right + i) * pitch.x, y: (j - up) * pitch.y })))
          .join(''),
    })),
  );
}

function stretchOf(values: readonly number[], beyond: number): readonly [from: number, length: number] {
  let [least, most] = [Infinity, -Infinity];
  for (const value of values) {
    least = Math.min(least, value);
    most = Math.max(most, value);
  }
  return [least - beyond, most - least + 2 * beyond];
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
