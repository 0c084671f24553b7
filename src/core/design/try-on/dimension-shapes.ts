import type { BentLine } from '../../scene/bent-outline.ts';
import { type DrawnDimension, labelPlace } from '../../scene/whole-drawing.ts';
import { shiftBy } from '../../shape/contour.ts';
import { moveFigure, type OutlineFigure } from '../../shape/figure.ts';
import { boxOfFigure } from '../../shape/figure-box.ts';
import { letters } from '../../shape/letters/letters.ts';

/** A dimension's lines with their ticks, the card that its number stands on, and the number; millimetres of the drawing. */
export interface DimensionShapes {
  readonly lines: readonly BentLine[];
  readonly card: BentLine;
  readonly text: OutlineFigure;
  /** How wide its lines are. */
  readonly thin: number;
}

/** Sizes in widths of an outline: ticks either way, capitals of the number, paper round it. */
const TICK = 5;
const CAPITALS = 9;
const AROUND = 4;
const THIN = 0.7;

/** How far a letter of the type of numbers goes on, as a part of its capitals' height. */
const LETTER = 0.88;

/** A length as it is written beside what it measures. */
export function dimensionText(length: number): string {
  return `${Number(length.toFixed(1))} mm`;
}

/** @param width  of an outline, in millimetres of the drawing */
export function dimensionShapes(dimension: DrawnDimension, width: number): DimensionShapes {
  const { from, to, leaders, length } = dimension;
  const words = dimensionText(length);
  const half = (words.length * LETTER * CAPITALS * width) / 2 + (AROUND + 1) * width;
  const label = labelPlace(dimension, half);
  const tick = TICK * width;
  const open = (places: BentLine['places']): BentLine => ({ places, closed: false });
  const text = moveFigure(
    letters(words, 'mono', CAPITALS * width),
    shiftBy(label.x, label.y),
  ) as OutlineFigure;
  const { left, right, bottom, top } = boxOfFigure(text);
  const around = AROUND * width;
  return {
    lines: [
      open([from, to]),
      ...[from, to].map(({ x, y }) =>
        open([
          { x: x - tick, y: y - tick },
          { x: x + tick, y: y + tick },
        ]),
      ),
      ...leaders.map(open),
    ],
    card: {
      places: [
        { x: left - around, y: bottom - around },
        { x: right + around, y: bottom - around },
        { x: right + around, y: top + around },
        { x: left - around, y: top + around },
      ],
      closed: true,
    },
    text,
    thin: THIN * width,
  };
}
