import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import type { Point } from '../../exact/plane.ts';
import { type Rational, rational, toNumber } from '../../exact/rational.ts';
import { cornerAt, type TorusFaces } from '../../faces/check-partition.ts';
import { faceLines } from '../../faces/face-lines.ts';
import { framed, insetPolygon } from '../../shape/inset.ts';
import type { Place } from '../../shape/places.ts';
import type { Mark } from '../../shape/shape.ts';
import { indexOf } from './index-of.ts';
import { lettersInFaces } from './letters-in-faces.ts';
import { parseLengthOrNone, parseNarrow, parseSize } from './tiling-numbers.ts';
import type { LinesSpec, TilingSpec } from './tiling-schema.ts';

/**
 * What lies over a tiling's faces: the gaps, then stars, then lines in their order, then letters.
 * @param faces  without their rings
 * @throws CoreError "tiling/vanished" where no face is left between the gaps
 */
export function marksOf(
  { gaps, lines, letters }: Pick<TilingSpec, 'gaps' | 'lines' | 'letters'>,
  faces: TorusFaces,
  shades: readonly Shade[],
  scale: MarksScale & { readonly stars: readonly Mark[] },
): readonly Mark[] {
  return [
    ...(gaps === null ? [] : [gapsMark(gaps, faces, shades, scale)]),
    ...scale.stars,
    ...lines.map((each) => linesMark(each, faces, shades, { ...scale, gaps })),
    ...(letters === null ? [] : lettersInFaces(letters, faces, shades, scale)),
  ];
}

/** What marks are measured by. */
export interface MarksScale {
  /** Lengths of one repeat in millimetres. */
  readonly pitch: Place;
  /** Millimetres of a pixel. */
  readonly pixel: Rational;
  /** The corners of what gaps leave of a face, by its number, in repeats; undefined where there are none. */
  readonly seenOf?: (face: number) => readonly Point[] | undefined;
}

/** The corners of faces of so many sides, or of all. */
function facesOfKind(torus: TorusFaces, of: string | null): readonly (readonly Point[])[] {
  return torus.faces
    .filter(({ corners }) => of === null || String(corners.length) === of)
    .map(({ corners }) => corners.map((each) => cornerAt(torus, each)));
}

interface LinesRoom extends MarksScale {
  readonly gaps: TilingSpec['gaps'];
}

function linesMark(
  { what, of, dashes, skip, every, first, width, ends, shade }: LinesSpec,
  faces: TorusFaces,
  shades: readonly Shade[],
  { pitch, pixel, seenOf, gaps }: LinesRoom,
): Mark {
  const wide = parseSize(width, pixel);
  const index = indexOf(shade, shades);
  if (what === 'frames') {
    const edge = gaps === null ? NO_GAP : insetBy(gaps, pixel);
    const parts = facesOfKind(faces, of).map((corners) => framed(corners, edge, wide));
    return { shape: { kind: 'frames', parts }, shade: index };
  }
  const broken = dashes && { count: dashes.count, share: parseNarrow(dashes.share) };
  const wish = { what, of, dashes: broken, skip, every, first };
  const paths = faceLines(faces, wish, { pitch, ...(seenOf && { seenOf }) });
  return { shape: { kind: 'stroke', paths, width: wide, ends }, shade: index };
}

type Gaps = NonNullable<TilingSpec['gaps']>;

const NO_GAP = { by: rational(0), corner: rational(0) };

/** How gaps make faces smaller, in millimetres. */
export function insetBy({ by, corner }: Pick<Gaps, 'by' | 'corner'>, pixel: Rational) {
  return { by: parseSize(by, pixel), corner: parseLengthOrNone(corner, pixel) };
}

/** All that is left when each face is made smaller. */
function gapsMark(
  gaps: Gaps,
  torus: TorusFaces,
  shades: readonly Shade[],
  { pitch, pixel }: MarksScale,
): Mark {
  const inset = insetBy(gaps, pixel);
  const faces = facesOfKind(torus, null);
  const left = faces.some((corners) => insetPolygon(corners, pitch, toNumber(inset.by)).length > 0);
  if (!left) throw new CoreError('tiling/vanished', { by: gaps.by });
  const parts = faces.map((corners) => ({ corners, ...inset }));
  return { shape: { kind: 'cut', from: 'all', parts }, shade: indexOf(gaps.shade, shades) };
}
