import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { toNumber } from '../../exact/rational.ts';
import { cornerAt, type TorusFaces } from '../../faces/check-partition.ts';
import { faceLines } from '../../faces/face-lines.ts';
import { insetPolygon } from '../../shape/inset.ts';
import type { Place } from '../../shape/places.ts';
import type { Mark } from '../../shape/shape.ts';
import { indexOf } from './index-of.ts';
import { parseLengthOrNone, parseNarrow, parseSize } from './tiling-numbers.ts';
import type { LinesSpec, TilingSpec } from './tiling-schema.ts';

/**
 * What lies over a tiling's faces: the gaps, then lines in their order.
 * @param faces  without their rings
 * @param pitch  lengths of one repeat in millimetres
 * @throws CoreError "tiling/vanished" where no face is left between the gaps
 */
export function marksOf(
  { gaps, lines }: Pick<TilingSpec, 'gaps' | 'lines'>,
  faces: TorusFaces,
  shades: readonly Shade[],
  pitch: Place,
): readonly Mark[] {
  return [
    ...(gaps === null ? [] : [gapsMark(gaps, faces, shades, pitch)]),
    ...lines.map((each) => linesMark(each, faces, shades, pitch)),
  ];
}

function linesMark(
  { what, of, dashes, skip, width, ends, shade }: LinesSpec,
  faces: TorusFaces,
  shades: readonly Shade[],
  pitch: Place,
): Mark {
  const broken = dashes && { count: dashes.count, share: parseNarrow(dashes.share) };
  const paths = faceLines(faces, { what, of, dashes: broken, skip }, pitch);
  return { shape: { kind: 'stroke', paths, width: parseSize(width), ends }, shade: indexOf(shade, shades) };
}

/** All that is left when each face is made smaller. */
function gapsMark(
  { by, corner, shade }: NonNullable<TilingSpec['gaps']>,
  torus: TorusFaces,
  shades: readonly Shade[],
  pitch: Place,
): Mark {
  const distance = parseSize(by);
  const round = parseLengthOrNone(corner);
  const faces = torus.faces.map(({ corners }) => corners.map((each) => cornerAt(torus, each)));
  const left = faces.some((corners) => insetPolygon(corners, pitch, toNumber(distance)).length > 0);
  if (!left) throw new CoreError('tiling/vanished', { by });
  const parts = faces.map((corners) => ({ corners, by: distance, corner: round }));
  return { shape: { kind: 'cut', from: 'all', parts }, shade: indexOf(shade, shades) };
}
