import { CoreError } from '../../error.ts';
import { type Rational, rational, toNumber } from '../../exact/rational.ts';
import type { SeenWindow } from '../../paint/seen/seen-window.ts';
import type { WholeDrawing } from '../../scene/whole-drawing.ts';
import { polyline } from '../../shape/contour.ts';
import { type Box, boxOfFigure } from '../../shape/figure-box.ts';
import { pixelsIn, pixelsPerMetre } from '../../units/resolution.ts';
import { inkOf, type TriedScene } from './compile-try-on.ts';

/** Most pixels along a side of a picture of a scene. */
export const MOST_SCENE_SIDE = 20_000;

/** How a scene is sent. */
export interface TryOnOrder {
  /** Pixels per inch of the picture. */
  readonly dpi: Rational;
  /** Millimetres of the thing for one of the picture: 1 is true size. */
  readonly smaller: number;
  /** Whether outlines, dimensions and the person are drawn, on paper; else cloth alone, on nothing. */
  readonly drawn: boolean;
}

/** What of a drawing a picture holds. */
export interface OrderedTryOn {
  readonly drawing: WholeDrawing;
  readonly window: SeenWindow;
  /** Width of an outline, in millimetres of the drawing. */
  readonly line: number;
  readonly pixelsPerMetre: number;
}

/** Room round a drawing, as a part of its longer side, and the width of an outline as one of the mean of both. */
const MARGIN = 0.04;
const LINE = 1 / 560;

/** Half of a dimension's number, in widths of an outline. */
const LABEL = 30;

/** Fewest pixels that an outline is wide. */
const THINNEST = 1.3;

/** @throws CoreError "scene/too-large" {width, height, most} */
export function orderTryOn(tried: TriedScene, order: TryOnOrder): OrderedTryOn {
  const ordered = layOutTryOn(tried, order);
  const { width, height } = ordered.window;
  if (Math.max(width, height) > MOST_SCENE_SIDE) {
    throw new CoreError('scene/too-large', { width, height, most: MOST_SCENE_SIDE });
  }
  return ordered;
}

/** The same however many pixels it has: for its size on paper. */
export function layOutTryOn(tried: TriedScene, { dpi, smaller, drawn }: TryOnOrder): OrderedTryOn {
  const perMillimetre = toNumber(pixelsIn(rational(1), dpi)) / smaller;
  const drawing = inkOf(tried);
  const { left, right, bottom, top } = drawn ? drawing.bounds : clothBounds(tried);
  const line = Math.max(THINNEST / perMillimetre, Math.sqrt((right - left) * (top - bottom)) * LINE);
  // Numbers of dimensions reach a little beyond their lines.
  const margin = drawn ? Math.max(right - left, top - bottom) * MARGIN + LABEL * line : 0;
  const width = Math.max(1, Math.ceil((right - left + 2 * margin) * perMillimetre));
  const height = Math.max(1, Math.ceil((top - bottom + 2 * margin) * perMillimetre));
  const window = { width, height, perMillimetre, corner: { x: left - margin, y: top + margin } };
  return { drawing, window, line, pixelsPerMetre: pixelsPerMetre(dpi) };
}

/** A box that holds all parts, as they are bent. */
function clothBounds({ parts }: TriedScene): Box {
  const contours = parts.flatMap(({ drawn }) =>
    drawn.outline.map(({ places, closed }) => polyline(places, closed)),
  );
  return boxOfFigure({ kind: 'outline', contours });
}
