import { CoreError } from '../../error.ts';
import type { Point } from '../../exact/plane.ts';
import { type Rational, rational } from '../../exact/rational.ts';
import { compareSurds, divideSurds, type Surd, scaleSurd, subtractSurds, surd } from '../../exact/surd.ts';
import { acrossCorners, acrossFlats, longestSide } from '../../faces/across.ts';
import type { LaidTiling } from '../../tiling/upright-partition.ts';
import { plainTiling } from './shape-of-tiling.ts';
import { parseSize } from './tiling-numbers.ts';
import type { TilingSpec } from './tiling-schema.ts';

type Sized = Pick<TilingSpec, 'form' | 'dual' | 'size' | 'measured' | 'repeats'>;

/** Lengths of a tiling that a size may be of, where what its form calls 1 is 1; undefined is no sum of square roots. */
const LENGTHS: Readonly<Record<TilingSpec['measured'], (spec: Sized, laid: LaidTiling) => Surd | undefined>> =
  {
    one: () => surd(rational(1)),
    side: (spec) => sideLength(spec),
    repeat: ({ repeats }, { width }) => scaleSurd(width, rational(repeats)),
    width: (_, { faces }) => extent(largestFace(faces), ({ x }) => x),
    height: (_, { faces }) => extent(largestFace(faces), ({ y }) => y),
    flats: (_, { faces }) => acrossFlats(largestFace(faces)),
    corners: (_, { faces }) => acrossCorners(largestFace(faces)),
  };

/**
 * Millimetres of what a tiling's form calls 1, in a tiling laid out so.
 * @param pixel  millimetres of a pixel
 * @throws CoreError "tiling/across" {measured} where the length that is measured is no sum of square roots
 */
export function sideOf(spec: Sized, laid: LaidTiling, pixel: Rational): Surd {
  const { size, measured } = spec;
  const length = LENGTHS[measured](spec, laid);
  if (length === undefined) throw new CoreError('tiling/across', { measured });
  return divideSurds(surd(parseSize(size, pixel)), length);
}

/** The longest side of a form, or of its dual. */
function sideLength({ form, dual }: Sized): Surd | undefined {
  // All sides of these are 1.
  const isEven = form.kind === 'regular' || form.kind === 'two-kinds' || form.kind === 'grown';
  return isEven && !dual ? surd(rational(1)) : longestSide(plainTiling({ form, dual }).faces);
}

function largestFace(faces: LaidTiling['faces']): readonly Point[] {
  return faces.reduce((best, face) => (face.corners.length > best.corners.length ? face : best)).corners;
}

/** How far corners lie apart along one axis. */
function extent(corners: readonly Point[], along: (point: Point) => Surd): Surd {
  const values = corners.map(along);
  const most = values.reduce((best, value) => (compareSurds(value, best) > 0 ? value : best));
  const least = values.reduce((best, value) => (compareSurds(value, best) < 0 ? value : best));
  return subtractSurds(most, least);
}
