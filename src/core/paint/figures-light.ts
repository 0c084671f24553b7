import type { RowOrder } from '../repeat/repeat-unit.ts';
import type { FadeWay } from '../shape/fade-way.ts';
import { type Grid, SUBPIXELS } from '../shape/grid.ts';
import type { ShownPicture } from '../shape/picture.ts';
import type { Place } from '../shape/places.ts';
import type { PlacedFigure, Softness } from '../shape/shape.ts';
import { alongFade, type PixelGrid } from './along-fade.ts';
import { coverOf, fadeLightAt, plainRows, softRows, variedRows } from './figure-rows.ts';
import type { LightPainter } from './light-rows.ts';
import { overlaid, type ReadyFigure } from './overlaid-figures.ts';
import type { PaintWindow } from './painting.ts';
import { type LightAt, type PictureLight, withPicture } from './picture-light.ts';
import type { RowSums } from './row-sums.ts';
import { softCover } from './soft-cover.ts';
import type { Standing } from './stand-alone.ts';

/** A figure with its light: CHANNELS numbers. */
export interface LitFigure {
  readonly shape: PlacedFigure;
  readonly light: Float64Array;
  readonly fade?: { readonly lights: readonly Float64Array[]; readonly way: FadeWay };
  readonly picture?: { readonly shown: ShownPicture; readonly lightOf: PictureLight };
  readonly soft?: Softness;
}

/**
 * The light of figures by their coverage.
 * @param rows  which rows lie over which; left out, every copy of a figure lies over those of the figures before
 */
export function figuresLight(
  figures: readonly LitFigure[],
  rows: RowOrder | undefined,
  grid: Grid,
  window: PaintWindow,
): LightPainter {
  return overlaid<LitFigure, Float64Array>(figures, {
    rows,
    grid,
    window,
    ready: (figure, standing, sums) => readyFigure(figure, standing, { sums, grid, window }),
  });
}

interface PaintRoom {
  readonly sums: RowSums;
  readonly grid: Grid;
  readonly window: PaintWindow;
}

function readyFigure(figure: LitFigure, standing: Standing, room: PaintRoom): ReadyFigure<Float64Array> {
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
