import { lengthText } from '../../formats/svg/length-text.ts';
import type { Figure } from '../../shape/figure.ts';
import { boxOfFigure } from '../../shape/figure-box.ts';
import { type Grid, SUBPIXELS } from '../../shape/grid.ts';
import { resolveFigure } from '../../shape/resolve-figure.ts';
import type { MotifDesign } from '../design-schema.ts';
import { pixelOf } from '../lay/lay-schema.ts';
import { scaleOf } from '../motif/lay-box.ts';
import { madePieces } from '../motif/made-pieces.ts';
import { nameOf } from '../motif/piece-name.ts';

/** Pixels along the longer side of a figure whose outline is written: a hair's breadth of a sheet. */
const FINE = 1200;

/** A piece of a motif as a path of its outline. */
export interface PiecePath {
  readonly name: string;
  readonly path: string;
}

/** The shapes of a motif's pieces as they are made, one path each. @throws CoreError of the motif */
export function piecePaths(design: MotifDesign): readonly PiecePath[] {
  const made = madePieces(design.construction, scaleOf(design.construction, pixelOf(design.resolution)));
  return [...made].map(([piece, { figure }]) => ({ name: nameOf(piece), path: pathOfFigure(figure) }));
}

/** A figure as path data in millimetres, y downward. */
export function pathOfFigure(figure: Figure): string {
  const { left, right, bottom, top } = boxOfFigure(figure);
  const scale = (FINE * SUBPIXELS) / Math.max(right - left, top - bottom);
  const grid: Grid = {
    width: FINE * SUBPIXELS,
    height: FINE * SUBPIXELS,
    pitch: { x: FINE, y: FINE },
    scale: { x: scale, y: scale },
  };
  const millimetres = (subpixels: number) => lengthText(Number((subpixels / scale).toFixed(3)));
  return resolveFigure(figure, grid)
    .map((polygon) => {
      const corners = polygon.map(({ x, y }) => `${millimetres(x)} ${millimetres(y)}`);
      return `M${corners.join('L')}Z`;
    })
    .join('');
}
