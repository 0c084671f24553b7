import type { Shade } from '../../colour/shade.ts';
import { toNumber } from '../../exact/rational.ts';
import { cornerAt, type TorusFaces } from '../../faces/check-partition.ts';
import { shiftBy, thenMotion, turnAbout } from '../../shape/contour.ts';
import { moveFigure } from '../../shape/figure.ts';
import { letters } from '../../shape/letters/letters.ts';
import { type Place, placesOf } from '../../shape/places.ts';
import type { Mark } from '../../shape/shape.ts';
import { firstSide } from './first-side.ts';
import { indexOf } from './index-of.ts';
import type { MarksScale } from './marks-of-tiling.ts';
import { parseSize } from './tiling-numbers.ts';
import type { LettersSpec } from './tiling-schema.ts';

/**
 * Letters in the middle of each face of a kind, upright or standing on the face's first side.
 * @throws CoreError of its height, and as `letters`
 */
export function lettersInFaces(
  { text, font, height, shade, turned, of }: LettersSpec,
  torus: TorusFaces,
  shades: readonly Shade[],
  { pitch, pixel }: MarksScale,
): readonly Mark[] {
  const figure = letters(text, font, toNumber(parseSize(height, pixel)));
  const index = indexOf(shade, shades);
  return torus.faces
    .filter(({ corners }) => of === null || String(corners.length) === of)
    .map(({ corners }, face): Mark => {
      const places = placesOf(
        corners.map((corner) => cornerAt(torus, corner)),
        pitch,
      );
      const { x, y } = middleOf(places);
      const turn = turnAbout({ x: 0, y: 0 }, turned ? firstSide(places) : 0);
      const placed = moveFigure(figure, thenMotion(turn, shiftBy(x, y)));
      return {
        shape: { kind: 'figure', figure: placed, row: 0, piece: face, endless: false },
        shade: index,
      };
    });
}

function middleOf(places: readonly Place[]): Place {
  const mean = (read: (place: Place) => number) =>
    places.reduce((sum, place) => sum + read(place), 0) / places.length;
  return { x: mean(({ x }) => x), y: mean(({ y }) => y) };
}
