import { useMemo } from 'react';
import type { Shade } from '../../core/colour/shade.ts';
import type { MadePiece } from '../../core/design/motif/layer.ts';
import { drawFigures } from '../../core/formats/svg/figures-svg.ts';
import { PicturesSvg } from '../../core/formats/svg/picture-svg.ts';
import { shiftBy } from '../../core/shape/contour.ts';
import { moveFigure } from '../../core/shape/figure.ts';
import { placesOfFigure } from '../../core/shape/figure-places.ts';

/** Room of a thumbnail, and of the paper round the piece in it, as a part of the piece. */
const WIDTH = 40;
const HEIGHT = 30;
const PAPER = 0.12;

interface PieceThumbnailProps {
  readonly made: MadePiece | undefined;
  readonly shades: readonly Shade[];
  /** The letter of what lies beneath; null where that is clear. */
  readonly ground: string | null;
}

/** A piece by itself, as large as its room allows. */
export function PieceThumbnail({ made, shades, ground }: PieceThumbnailProps) {
  const drawing = useMemo(() => (made === undefined ? undefined : drawPiece(made, shades)), [made, shades]);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={drawing?.view ?? `0 0 ${WIDTH} ${HEIGHT}`}
      className="flex-none rounded border border-rule bg-white"
      style={{ backgroundColor: shades.find(({ key }) => key === ground)?.hex }}
      aria-hidden="true"
      // biome-ignore lint/security/noDangerouslySetInnerHtml: paths that Vetro itself writes, of numbers and hex colours
      dangerouslySetInnerHTML={{ __html: drawing?.paths ?? '' }}
    />
  );
}

/** Stands for a picture, which is not loaded for so small a drawing. */
const PICTURE_INK: Shade = { key: 'picture', name: 'Picture', hex: '#6b7472' };

function drawPiece({ layers, figure }: MadePiece, shades: readonly Shade[]) {
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
    paths: [
      ...drawFigures(figures, undefined, { shades: inks, pitch: room, pictures: new PicturesSvg() }),
    ].join(''),
  };
}
