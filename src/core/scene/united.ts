import { type Contour, polyline } from '../shape/contour.ts';
import { boxOfFigure } from '../shape/figure-box.ts';
import { type Grid, SUBPIXELS } from '../shape/grid.ts';
import { resolveFigure } from '../shape/resolve-figure.ts';

/** Pixels along the longer side at which outlines are put together: a chord lies within a fifty-thousandth of it. */
const FINE = 1200;

/** One outline of what lies inside several that lie over each other, as strokes of letters do. */
export function united(contours: readonly Contour[]): readonly Contour[] {
  const figure = { kind: 'outline' as const, contours };
  const { left, right, bottom, top } = boxOfFigure(figure);
  const scale = (FINE * SUBPIXELS) / Math.max(right - left, top - bottom);
  const side = FINE * SUBPIXELS;
  const grid: Grid = {
    width: side,
    height: side,
    pitch: { x: FINE, y: FINE },
    scale: { x: scale, y: scale },
  };
  return resolveFigure(figure, grid).map((polygon) =>
    polyline(
      polygon.map(({ x, y }) => ({ x: x / scale, y: (side - y) / scale })),
      true,
    ),
  );
}
