import { modulo } from '../exact/modulo.ts';
import { type CopyPlace, paintedBefore, repeatsInto } from '../repeat/copy-order.ts';
import type { RowOrder } from '../repeat/repeat-unit.ts';
import type { Grid } from '../shape/grid.ts';
import type { PlacedFigure } from '../shape/shape.ts';
import type { PaintWindow } from './painting.ts';
import { resolvedEndless, resolvedFigure } from './resolved-shapes.ts';
import { emptySums, type RowSums } from './row-sums.ts';
import { type Standing, standAlone } from './stand-alone.ts';

/**
 * Lays one row of a figure, counted from its top, over a line.
 * @param left  where its first pixel lies on the line
 * @param room  pixels of the line
 */
export type FigureRow<Line> = (row: number, left: number, room: number, line: Line) => void;

/** A figure from its first pixel in the repeat, as far as it reaches, and how its rows are laid. */
export interface ReadyFigure<Line> {
  readonly left: number;
  readonly top: number;
  readonly across: number;
  readonly down: number;
  readonly layRow: FigureRow<Line>;
}

/** One copy of a figure, in pixels of the window. */
interface Copy<Line> extends CopyPlace {
  readonly figure: ReadyFigure<Line>;
  readonly left: number;
  readonly top: number;
}

/** What figures are laid over each other with. */
interface Laying<Figure, Line> {
  /** Which rows lie over which; left out, every copy of a figure lies over those of the figures before. */
  readonly rows: RowOrder | undefined;
  readonly grid: Grid;
  readonly window: PaintWindow;
  /** @param sums  room for the widest figure, empty before and after */
  readonly ready: (figure: Figure, standing: Standing, sums: RowSums) => ReadyFigure<Line>;
}

/**
 * Figures by their coverage, each copy in every repeat laid over those before it in one order of the whole plane, so that
 * it is the same wherever the window lies.
 */
export function overlaid<Figure extends { readonly shape: PlacedFigure }, Line>(
  figures: readonly Figure[],
  { rows, grid, window, ready }: Laying<Figure, Line>,
): (row: number, line: Line) => void {
  const { tile, width } = window;
  const across = Math.min(width, tile.width);
  const standing = figures.map(({ shape }) => standingOf(shape, grid));
  const sums = emptySums(standing.reduce((most, each) => Math.max(most, each?.across ?? 0), 0));
  const copies = figures
    .flatMap((figure, index) => {
      const stands = standing[index];
      if (stands === undefined) return [];
      return copiesOf(figure.shape, ready(figure, stands, sums), index, { ...window, width: across });
    })
    .sort(paintedBefore(rows));
  const strips = stripsOf(copies, tile.height);
  return (row, line) => {
    const y = modulo(row, tile.height);
    const strip = strips[Math.floor(y / STRIP)]!;
    for (let at = 0; at < strip.length; at += 1) {
      const { figure, left, top } = strip[at]!;
      if (y >= top && y < top + figure.down) figure.layRow(y - top, left, across, line);
    }
  };
}

/** Rows whose copies are listed together. */
const STRIP = 16;

/** The copies that come into each strip of rows, in their order. */
function stripsOf<Line>(copies: readonly Copy<Line>[], height: number): readonly (readonly Copy<Line>[])[] {
  const strips: Copy<Line>[][] = Array.from({ length: Math.ceil(height / STRIP) }, () => []);
  for (const copy of copies) {
    const first = Math.max(0, Math.floor(copy.top / STRIP));
    const last = Math.min(strips.length - 1, Math.floor((copy.top + copy.figure.down - 1) / STRIP));
    for (let strip = first; strip <= last; strip += 1) strips[strip]!.push(copy);
  }
  return strips;
}

function standingOf({ figure, endless }: PlacedFigure, grid: Grid): Standing | undefined {
  const polygons = endless ? resolvedEndless(figure, grid) : resolvedFigure(figure, grid);
  return polygons.length === 0 ? undefined : standAlone(polygons);
}

/** The copies of a figure that come into a window, of at most one repeat. */
function copiesOf<Line>(
  shape: PlacedFigure,
  figure: ReadyFigure<Line>,
  index: number,
  { tile, width, offset }: PaintWindow,
): readonly Copy<Line>[] {
  const left = figure.left - offset.x;
  const top = figure.top - offset.y;
  return repeatsInto(left, figure.across, tile.width, width).flatMap((right) =>
    repeatsInto(top, figure.down, tile.height, tile.height).map((down) => ({
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
