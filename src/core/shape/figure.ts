import { type Contour, type Motion, moveContour } from './contour.ts';
import type { LineEnds } from './shape.ts';

/** What lies inside outlines that do not cross: outer ones counterclockwise, holes clockwise. */
export interface OutlineFigure {
  readonly kind: 'outline';
  readonly contours: readonly Contour[];
}

/** In millimetres; both are stretched alike, so that they go a whole number of times. */
export interface Dashes {
  readonly length: number;
  readonly gap: number;
  /** Whether a gap follows the last one too, as where the line goes on. */
  readonly endless: boolean;
}

/** A line with a width; dashes are so long, and as long apart, along it. */
export interface LineFigure {
  readonly kind: 'line';
  readonly contour: Contour;
  readonly width: number;
  readonly ends: LineEnds;
  /** Whether its two ends are drawn as its corners are; else they are cut off. */
  readonly capped: boolean;
  readonly dashes: Dashes | null;
}

/** Another figure grown by a distance all round, or shrunk where it is below 0. */
export interface GrownFigure {
  readonly kind: 'grown';
  readonly of: Figure;
  readonly by: number;
  readonly corner: LineEnds;
}

/** A line of one width along the outlines of another figure. */
export interface EdgeFigure {
  readonly kind: 'edge';
  readonly of: Figure;
  readonly width: number;
  readonly ends: LineEnds;
  readonly dashes: Dashes | null;
}

/** Another figure with its corners rounded by a radius, outer and inner ones alike. */
export interface RoundedFigure {
  readonly kind: 'rounded';
  readonly of: Figure;
  readonly radius: number;
}

/** Figures put together, the first less all others, or what lies in all of them. */
export interface CombinedFigure {
  readonly kind: 'join' | 'cut' | 'overlap';
  readonly parts: readonly Figure[];
}

/** A shape in the plane, in millimetres, y upward. */
export type Figure = OutlineFigure | LineFigure | EdgeFigure | GrownFigure | RoundedFigure | CombinedFigure;

export function moveFigure(figure: Figure, motion: Motion): Figure {
  switch (figure.kind) {
    case 'outline': {
      const contours = figure.contours.map((each) => moveContour(each, motion));
      // A mirroring turns the way round; the resolver rights it.
      return { ...figure, contours };
    }
    case 'line':
      return { ...figure, contour: moveContour(figure.contour, motion) };
    case 'edge':
    case 'grown':
    case 'rounded':
      return { ...figure, of: moveFigure(figure.of, motion) };
    case 'join':
    case 'cut':
    case 'overlap':
      return { ...figure, parts: figure.parts.map((each) => moveFigure(each, motion)) };
    default:
      return figure satisfies never;
  }
}
