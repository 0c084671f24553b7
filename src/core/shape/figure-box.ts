import { hullOf } from './contour.ts';
import type { Figure } from './figure.ts';
import { SHARPEST } from './line-joins.ts';
import type { Place } from './places.ts';

/** An upright rectangle in millimetres. */
export interface Box {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** A box that holds a figure: it may be larger, where corners are drawn out or something is cut away. */
export function boxOfFigure(figure: Figure): Box {
  switch (figure.kind) {
    case 'outline':
      return boxOf(figure.contours.flatMap(hullOf));
    case 'line':
      return grown(boxOf(hullOf(figure.contour)), drawnOut(figure.width / 2, figure.ends));
    case 'edge':
      return grown(boxOfFigure(figure.of), drawnOut(figure.width / 2, figure.ends));
    case 'grown':
      return grown(boxOfFigure(figure.of), Math.max(0, drawnOut(figure.by, figure.corner)));
    case 'rounded':
      return boxOfFigure(figure.of);
    case 'join':
      return around(figure.parts.map(boxOfFigure));
    case 'cut':
    case 'overlap':
      return boxOfFigure(figure.parts[0]!);
    default:
      return figure satisfies never;
  }
}

function drawnOut(by: number, corner: string): number {
  return corner === 'sharp' ? by * SHARPEST : by;
}

function boxOf(places: readonly Place[]): Box {
  return around(places.map(({ x, y }) => ({ left: x, right: x, bottom: y, top: y })));
}

function grown({ left, right, bottom, top }: Box, by: number): Box {
  return { left: left - by, right: right + by, bottom: bottom - by, top: top + by };
}

function around(boxes: readonly Box[]): Box {
  return boxes.reduce((one, other) => ({
    left: Math.min(one.left, other.left),
    right: Math.max(one.right, other.right),
    bottom: Math.min(one.bottom, other.bottom),
    top: Math.max(one.top, other.top),
  }));
}
