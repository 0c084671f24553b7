import { modulo } from '../exact/modulo.ts';
import { type CopyPlace, paintedBefore, repeatsInto } from '../repeat/copy-order.ts';
import type { RowOrder } from '../repeat/repeat-unit.ts';
import type { FadeWay } from '../shape/fade-way.ts';
import { type Grid, SUBPIXELS } from '../shape/grid.ts';
import type { ShownPicture } from '../shape/picture.ts';
import type { Place } from '../shape/places.ts';
import { resolveEndless, resolveFigure } from '../shape/resolve-figure.ts';
import type { PlacedFigure, Softness } from '../shape/shape.ts';
import { alongFade, type PixelGrid } from './along-fade.ts';
import { coverOf, type FigureRow, fadeLightAt, plainRows, softRows, variedRows } from './figure-rows.ts';
import type { LightPainter } from './light-rows.ts';
import type { PaintWindow } from './painting.ts';
import { type LightAt, type PictureLight, withPicture } from './picture-light.ts';
import { emptySums, type RowSums } from './row-sums.ts';
import { softCover } from './soft-cover.ts';
import { type Standing, standAlone } from './stand-alone.ts';

/** A figure with its light: CHANNELS numbers. */
export interface LitFigure {
  readonly shape: PlacedFigure;
  readonly light: Float64Array;
  readonly fade?: { readonly lights: readonly Float64Array[]; readonly way: FadeWay };
  readonly picture?: { readonly shown: ShownPicture; readonly lightOf: PictureLight };
  readonly soft?: Softness;
}

/** A figure from its first pixel in the repeat, as far as it reaches, and how its rows are laid. */
interface ReadyFigure {
  readonly left: number;
  readonly top: number;
  readonly across: number;
  readonly down: number;
  readonly layRow: FigureRow;
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
  const standing = figures.map(({ shape }) => standingOf(shape, grid));
  const sums = emptySums(standing.reduce((most, each) => Math.max(most, each?.across ?? 0), 0));
  const copies = figures
    .flatMap((figure, index) => {
      const stands = standing[index];
      if (stands === undefined) return [];
      const ready = readyFigure(figure, stands, { sums, grid, window });
      return copiesOf(figure.shape, ready, index, { ...window, width: across });
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
function stripsOf(copies: readonly Copy[], height: number): readonly (readonly Copy[])[] {
  const strips: Copy[][] = Array.from({ length: Math.ceil(height / STRIP) }, () => []);
  for (const copy of copies) {
    const first = Math.max(0, Math.floor(copy.top / STRIP));
    const last = Math.min(strips.length - 1, Math.floor((copy.top + copy.figure.down - 1) / STRIP));
    for (let strip = first; strip <= last; strip += 1) strips[strip]!.push(copy);
  }
  return strips;
}

function standingOf({ figure, endless }: PlacedFigure, grid: Grid): Standing | undefined {
  const polygons = endless ? resolveEndless(figure, grid) : resolveFigure(figure, grid);
  return polygons.length === 0 ? undefined : standAlone(polygons);
}

interface PaintRoom {
  readonly sums: RowSums;
  readonly grid: Grid;
  readonly window: PaintWindow;
}

function readyFigure(figure: LitFigure, standing: Standing, room: PaintRoom): ReadyFigure {
  const { shape, light, soft } = figure;
  const { sums, grid, window } = room;
  const { left, top, across, down } = standing;
  const scale = { x: grid.scale.x / SUBPIXELS, y: grid.scale.y / SUBPIXELS };
  if (soft !== undefined) {
    const deviation = soft.deviation * Math.sqrt(scale.x * scale.y);
    const hard = coverOf(standing, sums);
    if (!(deviation > LEAST_BLUR))
      return { left, top, across, down, layRow: softRows(hard, light, soft.strength) };
    const cover = softCover(
      shape.endless ? wholeTile(hard, standing, window.tile) : hard,
      deviation,
      shape.endless,
    );
    return {
      left: (shape.endless ? 0 : left) - cover.margin,
      top: (shape.endless ? 0 : top) - cover.margin,
      across: cover.across,
      down: cover.down,
      layRow: softRows(cover, light, soft.strength),
    };
  }
  const lightAt = lightWithin(figure, { x: left, y: top }, { tile: window.tile, scale });
  const layRow =
    lightAt === undefined ? plainRows(standing, light, sums) : variedRows(coverOf(standing, sums), lightAt);
  return { left, top, across, down, layRow };
}

/** The light at each pixel of a figure, from its first; undefined where it is one. */
function lightWithin(
  { light, fade, picture }: LitFigure,
  first: Place,
  grid: PixelGrid,
): LightAt | undefined {
  const beneath = fade && fadeLightAt(fade.lights, alongFade(fade.way, first, grid));
  if (picture === undefined) return beneath;
  const { tile, scale } = grid;
  const place = ({ x, y }: Place) => ({ x: x * scale.x, y: tile.height - y * scale.y });
  const plain: LightAt = (_, __, out) => out.set(light);
  return withPicture(beneath ?? plain, picture.lightOf(picture.shown, { first, place }));
}

/** Pixels of a standard deviation below which nothing is blurred that can be seen. */
const LEAST_BLUR = 0.1;

/** The cover of what goes on from repeat to repeat, over the whole of one. */
function wholeTile(
  cover: ReturnType<typeof coverOf>,
  { left, top, across, down }: Standing,
  { width, height }: PaintWindow['tile'],
): ReturnType<typeof coverOf> {
  const shares = new Float64Array(across);
  return {
    across: width,
    down: height,
    rowAt: (row, all) => {
      all.fill(0);
      if (row < top || row >= top + down) return;
      cover.rowAt(row - top, shares);
      all.set(shares.subarray(0, Math.min(across, width - left)), left);
    },
  };
}

/** The copies of a figure that come into a window, of at most one repeat. */
function copiesOf(
  shape: PlacedFigure,
  figure: ReadyFigure,
  index: number,
  { tile, width, offset }: PaintWindow,
): readonly Copy[] {
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
