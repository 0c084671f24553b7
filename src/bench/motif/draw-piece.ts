import type { Shade } from '../../core/colour/shade.ts';
import type { MadePiece } from '../../core/design/motif/layer.ts';
import { joinedText } from '../../core/formats/joined-text.ts';
import { svgText } from '../../core/formats/svg/drawn-path.ts';
import { ONE_REPEAT } from '../../core/formats/svg/drawn-window.ts';
import { drawFigures } from '../../core/formats/svg/figures-svg.ts';
import { PicturesSvg } from '../../core/formats/svg/picture-svg.ts';
import { shiftBy } from '../../core/shape/contour.ts';
import { moveFigure } from '../../core/shape/figure.ts';
import { placesOfFigure } from '../../core/shape/figure-places.ts';

/** Paper round the piece, as a part of the piece. */
const PAPER = 0.12;

/** Stands for a picture, which is not loaded for so small a drawing. */
const PICTURE_INK: Shade = { key: 'picture', name: 'Picture', hex: '#6b7472' };

/** What is seen of one piece by itself, without shadows: the elements of a drawing and its view box. */
export interface PieceDrawing {
  readonly view: string;
  readonly paths: string;
}

export function drawPiece({ layers, figure }: MadePiece, shades: readonly Shade[]): PieceDrawing {
  const places = [figure, ...layers.map((layer) => layer.figure)].flatMap(placesOfFigure);
  const [left, right] = [Math.min(...places.map(({ x }) => x)), Math.max(...places.map(({ x }) => x))];
  const [bottom, top] = [Math.min(...places.map(({ y }) => y)), Math.max(...places.map(({ y }) => y))];
  const paper = PAPER * Math.max(right - left, top - bottom, 0.001);
  const size = { x: right - left + 2 * paper, y: top - bottom + 2 * paper };
  // Large enough that no copy comes in at another edge.
  const room = { x: 3 * size.x, y: 3 * size.y };
  const motion = shiftBy(size.x - left + paper, size.y - bottom + paper);
  const inks = [...shades, PICTURE_INK];
  const figures = layers.flatMap(({ figure: part, paint }) => {
    if (paint === null || paint.shadow !== undefined) return [];
    const key = paint.picture === undefined ? paint.shade : PICTURE_INK.key;
    const shade = inks.findIndex((ink) => ink.key === key);
    const moved = moveFigure(part, motion);
    return [{ shape: { kind: 'figure' as const, figure: moved, row: 0, piece: 0, endless: false }, shade }];
  });
  return {
    view: `${size.x} ${size.y} ${size.x} ${size.y}`,
    paths: joinedText(
      svgText(
        drawFigures(figures, undefined, {
          shades: inks,
          pitch: room,
          window: ONE_REPEAT,
          pictures: new PicturesSvg(),
        }),
      ),
    ),
  };
}
