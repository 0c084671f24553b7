import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { toNumber } from '../../exact/rational.ts';
import { type Surd, surdToNumber } from '../../exact/surd.ts';
import { cornerAt, type TorusFaces } from '../../tiling/check-partition.ts';
import { faceLines } from '../../tiling/face-lines.ts';
import { fadeAcross } from '../../tiling/fades.ts';
import type { Partition } from '../../tiling/partition.ts';
import { shrunk } from '../../tiling/rings.ts';
import type { FadeLayer, GapsLayer, Layer, LinesLayer } from '../../tiling/stack.ts';
import { takenIn } from '../../tiling/taken-in.ts';
import { type LaidTiling, partitionOf } from '../../tiling/upright-partition.ts';
import {
  type FadeSpec,
  type LinesSpec,
  parseLengthOrNone,
  parseNarrow,
  parseShare,
  parseSize,
  type TilingSpec,
} from './tiling-schema.ts';

/** Lengths of one repeat in millimetres. */
interface Pitch {
  readonly x: number;
  readonly y: number;
}

/**
 * What lies over the faces: the fade, then the gaps, then lines in their order.
 * @param base  the faces with their rings
 * @throws CoreError "tiling/vanished" where no face is left between the gaps
 */
export function layersOf(
  spec: TilingSpec,
  laid: LaidTiling,
  base: Partition,
  size: { readonly x: Surd; readonly y: Surd },
): readonly Layer[] {
  const { fade, gaps, lines, rings } = spec;
  if (fade === null && gaps === null && lines.length === 0) return [];
  const pitch = { x: surdToNumber(size.x), y: surdToNumber(size.y) };
  const whole = rings.length === 0 ? base : partitionOf(laid, base.shades);
  return [
    ...(fade === null ? [] : [fadeLayer(fade, whole, rings.at(-1), base.shades, pitch)]),
    ...(gaps === null ? [] : [gapsLayer(gaps, whole, base.shades, pitch)]),
    ...lines.map((each) => linesLayer(each, whole, base.shades, pitch)),
  ];
}

function linesLayer(
  { what, of, dashes, skip, width, ends, shade }: LinesSpec,
  faces: TorusFaces,
  shades: readonly Shade[],
  pitch: Pitch,
): LinesLayer {
  const broken = dashes && { count: dashes.count, share: parseNarrow(dashes.share) };
  const paths = faceLines(faces, { what, of, dashes: broken, skip }, pitch);
  return { kind: 'lines', paths, width: parseSize(width), ends, shade: indexOf(shade, shades) };
}

function gapsLayer(
  { by, corner, shade }: NonNullable<TilingSpec['gaps']>,
  torus: TorusFaces,
  shades: readonly Shade[],
  pitch: Pitch,
): GapsLayer {
  const faces = facesOf(torus);
  const distance = parseSize(by);
  const left = faces.some((corners) => takenIn(corners, pitch, toNumber(distance)).length > 0);
  if (!left) throw new CoreError('tiling/vanished', { by });
  return {
    kind: 'gaps',
    faces,
    by: distance,
    corner: parseLengthOrNone(corner),
    shade: indexOf(shade, shades),
  };
}

function fadeLayer(
  { shades: keys, angle, turned, of }: FadeSpec,
  partition: Partition,
  inside: TilingSpec['rings'][number] | undefined,
  shades: readonly Shade[],
  pitch: Pitch,
): FadeLayer {
  const shadeInside = inside?.shade ?? null;
  const faces = partition.faces.filter(({ corners }) => of === null || String(corners.length) === of);
  return {
    kind: 'fade',
    faces: faces.map(({ corners, shade }) => {
      const whole = corners.map((corner) => cornerAt(partition, corner));
      const faded = inside === undefined ? whole : shrunk(whole, parseShare(inside.share));
      return {
        ...fadeAcross(faded, { angle, turned }, pitch),
        instead: shadeInside === null ? shade : indexOf(shadeInside, shades),
      };
    }),
    shades: keys.map((key) => indexOf(key, shades)),
  };
}

function facesOf(torus: TorusFaces) {
  return torus.faces.map(({ corners }) => corners.map((corner) => cornerAt(torus, corner)));
}

/** @throws CoreError "band/shade" {shade} */
export function indexOf(key: string, shades: readonly Shade[]): number {
  const index = shades.findIndex((shade) => shade.key === key);
  if (index < 0) throw new CoreError('band/shade', { shade: key });
  return index;
}
