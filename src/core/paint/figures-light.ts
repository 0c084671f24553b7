import { modulo } from '../exact/modulo.ts';
import { type CopyPlace, paintedBefore, repeatsInto } from '../repeat/copy-order.ts';
import type { RowOrder } from '../repeat/repeat-unit.ts';
import type { Grid } from '../shape/grid.ts';
import { resolveEndless, resolveFigure } from '../shape/resolve-figure.ts';
import type { PlacedFigure } from '../shape/shape.ts';
import { edgesByRows } from './edge-lists.ts';
import { type LightPainter, over } from './light-rows.ts';
import type { PaintWindow } from './painting.ts';
import {
  accumulateRow,
  CHANNELS,
  emptySums,
  isTouched,
  type Placed,
  type RowSums,
  WHOLE,
} from './row-sums.ts';
import { type Standing, standAlone } from './stand-alone.ts';

/** A figure with its light: CHANNELS numbers. */
export interface LitFigure {
  readonly shape: PlacedFigure;
  readonly light: Float64Array;
}

/** A figure in subpixels, with its edges row by row. */
interface ReadyFigure extends Standing {
  readonly light: Float64Array;
  readonly listAt: (row: number) => Placed;
}

/** One copy of a figure, in pixels of the window. */
interface Copy extends CopyPlace {
  readonly figure: ReadyFigure;
  readonly left: number;
  readonly top: number;
}

/**
 * Figures by their coverage, each copy in every repeat laid over those before it in one order of the whole plane, so that
 * it is the same wherever the window lies.
 *
 * @param rows  which rows lie over which; left out, every copy of a figure lies over those of the figures before
 */
export function figuresLight(
  figures: readonly LitFigure[],
  rows: RowOrder | undefined,
  grid: Grid,
  window: PaintWindow,
): LightPainter {
  const { tile, width } = window;
  const across = Math.min(width, tile.width);
  const copies = figures
    .flatMap((figure, index) => copiesOf(figure, index, grid, { ...window, width: across }))
    .sort(paintedBefore(rows));
  const sums = emptySums(copies.reduce((most, { figure }) => Math.max(most, figure.across), 0));
  return (row, line) => {
    const y = modulo(row, tile.height);
    for (const { figure, left, top } of copies) {
      if (y < top || y >= top + figure.down) continue;
      accumulateRow(figure.edges, figure.listAt(y - top), y - top, figure.differences, sums);
      layRow(figure, left, across, sums, line);
    }
  };
}

/** The copies of a figure that come into a window, of at most one repeat. */
function copiesOf(
  { shape, light }: LitFigure,
  index: number,
  grid: Grid,
  { tile, width, offset }: PaintWindow,
): readonly Copy[] {
  const polygons = shape.endless ? resolveEndless(shape.figure, grid) : resolveFigure(shape.figure, grid);
  if (polygons.length === 0) return [];
  const standing = standAlone(polygons);
  const figure = { ...standing, light, listAt: edgesByRows(standing.edges) };
  const left = standing.left - offset.x;
  const top = standing.top - offset.y;
  return repeatsInto(left, standing.across, tile.width, width).flatMap((right) =>
    repeatsInto(top, standing.down, tile.height, tile.height).map((down) => ({
      figure,
      index,
      row: shape.row,
      piece: shape.piece,
      endless: shape.endless,
      right,
      up: -down,
      left: left + right * tile.width,
      top: top + down * tile.height,
    })),
  );
}

/** Lays one row of one copy over a line, and empties the sums. A hot loop. */
function layRow(
  { across, light }: ReadyFigure,
  left: number,
  room: number,
  sums: RowSums,
  line: Float64Array,
): void {
  const { sums: changes, touched } = sums;
  const [red, green, blue, whole] = light as unknown as [number, number, number, number];
  const to = Math.min(across, room - left);
  let cover = 0;
  let share = 0;
  for (let x = 0; x < to; x += 1) {
    if (isTouched(touched, x)) {
      cover += changes[x * CHANNELS + 3]!;
      // Rounding may lay outlines a subpixel over each other.
      share = Math.min(1, Math.max(0, cover / WHOLE));
    }
    if (share === 0 || left + x < 0) continue;
    over(line, (left + x) * CHANNELS, red * share, green * share, blue * share, whole * share);
  }
  changes.fill(0, 0, (across + 2) * CHANNELS);
  touched.fill(0, 0, ((across + 1) >> 5) + 1);
}
