import type { SeenLayer } from '../../paint/seen/paint-scene.ts';
import type { BentLine } from '../../scene/bent-outline.ts';
import type { DrawnLine } from '../../scene/draw-part.ts';
import { line } from '../../scene/drawn.ts';
import type { InkWeight } from '../../scene/scene.ts';
import { type DrawnDimension, labelPlace, type WholeDrawing } from '../../scene/whole-drawing.ts';
import { polyline, shiftBy } from '../../shape/contour.ts';
import type { Dashes, Figure } from '../../shape/figure.ts';
import { moveFigure } from '../../shape/figure.ts';
import { boxOfFigure } from '../../shape/figure-box.ts';
import { letters } from '../../shape/letters/letters.ts';

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

/** A length as it is written beside what it measures. */
export function dimensionText(length: number): string {
  return `${Number(length.toFixed(1))} mm`;
}

/** Half of a dimension's number with the card that it stands on, in millimetres. @param width  of an outline */
export function halfLabel(length: number, width: number): number {
  return (dimensionText(length).length * LETTER * 9 * width) / 2 + 5 * width;
}

/** How far a letter of the type of numbers goes on, as a part of its capitals' height. */
const LETTER = 0.88;

function dimensionLayers(dimension: DrawnDimension, width: number) {
  const { from, to, leaders, length } = dimension;
  const label = labelPlace(dimension, halfLabel(length, width));
  const thin = 0.7 * width;
  const tick = 5 * width;
  const height = 9 * width;
  const written = letters(dimensionText(length), 'mono', height);
  const text = moveFigure(written, shiftBy(label.x, label.y));
  const { left, right, bottom, top } = boxOfFigure(text);
  const around = 4 * width;
  const card = polyline(
    [
      { x: left - around, y: bottom - around },
      { x: right + around, y: bottom - around },
      { x: right + around, y: top + around },
      { x: left - around, y: top + around },
    ],
    true,
  );
  const lines = [
    line(from.x, from.y, to.x, to.y),
    ...[from, to].map(({ x, y }) => line(x - tick, y - tick, x + tick, y + tick)),
    ...leaders.map(([one, other]) => line(one.x, one.y, other.x, other.y)),
  ];
  return [
    layer(
      strokes(
        lines.map(({ start, segments }) => ({
          places: [start, ...segments.flatMap((each) => (each.kind === 'line' ? [each.to] : []))],
          closed: false,
        })),
        thin,
        null,
      ),
      MEASURE_INK,
    ),
    layer({ kind: 'outline', contours: [card] }, PAPER),
    layer(
      { kind: 'edge', of: { kind: 'outline', contours: [card] }, width: thin, ends: 'sharp', dashes: null },
      MEASURE_INK,
    ),
    layer(text, MEASURE_INK),
  ];
}
