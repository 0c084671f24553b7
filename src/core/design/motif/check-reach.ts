import { CoreError } from '../../error.ts';
import { boxOfFigure } from '../../shape/figure-box.ts';
import type { Place } from '../../shape/places.ts';
import type { Layer } from './layer.ts';
import type { Piece } from './motif-schema.ts';
import { nameOf } from './piece-name.ts';

/** Most repeats that one figure may reach over: so often it is painted in each. */
const MOST = 400;

/** Standard deviations within which a blur is seen. */
const BLUR_REACH = 3;

/**
 * Refuses what would be painted over itself too often.
 * @param size  millimetres of one repeat
 * @throws CoreError "motif/reach" {piece, repeats, most}
 */
export function checkReach({ figure, paint }: Layer, size: Place, piece: Piece): void {
  const { left, right, bottom, top } = boxOfFigure(figure);
  const blur = 2 * BLUR_REACH * (paint?.shadow?.deviation ?? 0);
  const repeats =
    Math.ceil((right - left + blur) / size.x + 1) * Math.ceil((top - bottom + blur) / size.y + 1);
  if (!(repeats <= MOST)) {
    throw new CoreError('motif/reach', { piece: nameOf(piece), repeats, most: MOST });
  }
}
