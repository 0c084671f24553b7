import type { Contour, Segment } from './contour.ts';
import type { Dashes, Figure } from './figure.ts';
import type { Place } from './places.ts';

/** By what a figure's places and lengths are multiplied, and the widths of its lines and outlines. */
export interface FigureScale {
  readonly by: number;
  readonly lines: number;
}

/** A figure larger or smaller about the origin. */
export function scaleFigure(figure: Figure, scale: FigureScale): Figure {
  const { by, lines } = scale;
  switch (figure.kind) {
    case 'outline':
      return { ...figure, contours: figure.contours.map((contour) => scaledContour(contour, by)) };
    case 'line': {
      const { contour, width, dashes } = figure;
      return {
        ...figure,
        contour: scaledContour(contour, by),
        width: width * lines,
        dashes: dashes && scaledDashes(dashes, lines),
      };
    }
    case 'edge': {
      const { of, width, dashes } = figure;
      return {
        ...figure,
        of: scaleFigure(of, scale),
        width: width * lines,
        dashes: dashes && scaledDashes(dashes, lines),
      };
    }
    case 'grown':
      return { ...figure, of: scaleFigure(figure.of, scale), by: figure.by * by };
    case 'rounded':
      return { ...figure, of: scaleFigure(figure.of, scale), radius: figure.radius * by };
    case 'join':
    case 'cut':
    case 'overlap':
      return { ...figure, parts: figure.parts.map((part) => scaleFigure(part, scale)) };
    default:
      return figure satisfies never;
  }
}

function scaledDashes({ length, gap, endless }: Dashes, by: number): Dashes {
  return { length: length * by, gap: gap * by, endless };
}

function scaledContour({ start, segments, closed }: Contour, by: number): Contour {
  const at = ({ x, y }: Place): Place => ({ x: x * by, y: y * by });
  return {
    start: at(start),
    segments: segments.map((segment): Segment => {
      switch (segment.kind) {
        case 'line':
          return { kind: 'line', to: at(segment.to) };
        case 'arc': {
          const { middle, across, up, ...angles } = segment.arc;
          return { kind: 'arc', arc: { ...angles, middle: at(middle), across: at(across), up: at(up) } };
        }
        case 'curve': {
          const { leave, arrive, to } = segment.curve;
          return { kind: 'curve', curve: { leave: at(leave), arrive: at(arrive), to: at(to) } };
        }
        default:
          return segment satisfies never;
      }
    }),
    closed,
  };
}
