import type { SeenLayer } from '../../paint/seen/paint-scene.ts';
import type { BentLine } from '../../scene/bent-outline.ts';
import type { DrawnLine } from '../../scene/draw-part.ts';
import type { InkWeight } from '../../scene/scene.ts';
import type { DrawnDimension, WholeDrawing } from '../../scene/whole-drawing.ts';
import { polyline } from '../../shape/contour.ts';
import type { Dashes, Figure } from '../../shape/figure.ts';
import { dimensionShapes } from './dimension-shapes.ts';

/** Colours of a working drawing. */
export const INK = '#20292b';
export const FAINT_INK = '#6b7472';
export const MEASURE_INK = '#2c5f7c';
export const PAPER = '#fffdf8';

/** Widths of lines, as parts of that of an outline. */
export const WEIGHTS: Readonly<Record<InkWeight, number>> = { outline: 1, detail: 0.6, stitch: 0.6 };

/** Dashes of stitches, in widths of an outline. */
const STITCH = { length: 4, gap: 3 } as const;

/** The ink of a drawing as it is painted over its cloth. @param width  of an outline, in millimetres of the drawing */
export function inkLayers(drawing: WholeDrawing, width: number): readonly SeenLayer[] {
  const person = drawing.person === undefined ? [] : [drawing.person];
  return [
    ...weighed(drawing.ink, width),
    layer(strokes(person, width, null), FAINT_INK),
    ...drawing.dimensions.flatMap((each) => dimensionLayers(each, width)),
  ];
}

/** The ink that cloth hides. */
export function behindLayers({ behind }: WholeDrawing, width: number): readonly SeenLayer[] {
  return weighed(behind, width);
}

function weighed(ink: readonly DrawnLine[], width: number): readonly SeenLayer[] {
  const dashes: Dashes = { length: STITCH.length * width, gap: STITCH.gap * width, endless: false };
  return (['stitch', 'detail', 'outline'] as const).map((weight) => {
    const lines = ink.filter((each) => each.weight === weight).flatMap((each) => each.lines);
    return layer(strokes(lines, WEIGHTS[weight] * width, weight === 'stitch' ? dashes : null), INK);
  });
}

function layer(figure: Figure, hex: string): SeenLayer {
  return { figure, paint: { hex } };
}

function strokes(lines: readonly BentLine[], width: number, dashes: Dashes | null): Figure {
  return {
    kind: 'join',
    parts: lines.map(
      ({ places, closed }): Figure => ({
        kind: 'line',
        contour: polyline(places, closed),
        width,
        ends: 'round',
        capped: true,
        dashes,
      }),
    ),
  };
}

function dimensionLayers(dimension: DrawnDimension, width: number): readonly SeenLayer[] {
  const { lines, card, text, thin } = dimensionShapes(dimension, width);
  const paper: Figure = { kind: 'outline', contours: [polyline(card.places, true)] };
  return [
    layer(strokes(lines, thin, null), MEASURE_INK),
    layer(paper, PAPER),
    layer({ kind: 'edge', of: paper, width: thin, ends: 'sharp', dashes: null }, MEASURE_INK),
    layer(text, MEASURE_INK),
  ];
}
