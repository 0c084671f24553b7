import { CoreError } from '../../error.ts';
import { rational } from '../../exact/rational.ts';
import { divideSurds, type Surd, scaleSurd, surd } from '../../exact/surd.ts';
import { acrossCorners, acrossFlats } from '../../faces/across.ts';
import type { LaidTiling } from '../../tiling/upright-partition.ts';
import { parseSize } from './tiling-numbers.ts';
import type { TilingSpec } from './tiling-schema.ts';

/**
 * Millimetres of a side of 1, in a tiling laid out so.
 * @throws CoreError "tiling/across" {measured} where the face's width is no sum of square roots
 */
export function sideOf(
  { size, measured, repeats }: Pick<TilingSpec, 'size' | 'measured' | 'repeats'>,
  { width, faces }: LaidTiling,
): Surd {
  const given = surd(parseSize(size));
  switch (measured) {
    case 'side':
      return given;
    case 'repeat':
      return divideSurds(given, scaleSurd(width, rational(repeats)));
    case 'flats':
    case 'corners': {
      const most = faces.reduce((best, face) => (face.corners.length > best.corners.length ? face : best));
      const across = measured === 'flats' ? acrossFlats(most.corners) : acrossCorners(most.corners);
      if (across === undefined) throw new CoreError('tiling/across', { measured });
      return divideSurds(given, across);
    }
    default:
      return measured satisfies never;
  }
}
