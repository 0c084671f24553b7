import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import type { Point } from '../../exact/plane.ts';
import { compare, type Rational, rational, toDecimal } from '../../exact/rational.ts';
import {
  divideSurds,
  multiplySurds,
  nearFraction,
  ONE_SURD,
  type Surd,
  surd,
  surdToNumber,
} from '../../exact/surd.ts';
import { fadeAcross } from '../../faces/fades.ts';
import type { Partition } from '../../faces/partition.ts';
import type { FaceRing } from '../../faces/rings.ts';
import type { Marks, RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { Fill } from '../../shape/fill.ts';
import { NO_PICTURES, type Pictures } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';
import { insetsOf, partitionOf } from '../../tiling/upright-partition.ts';
import { indexOf } from './index-of.ts';
import { type ColouredTiling, layTiling } from './lay-tiling.ts';
import { insetBy, type MarksScale, marksOf } from './marks-of-tiling.ts';
import { pictureInFace } from './picture-in-face.ts';
import { sideOf } from './side-of.ts';
import { starMarks } from './star/star-marks.ts';
import { parseRingStart } from './tiling-numbers.ts';
import type { TilingSpec } from './tiling-schema.ts';

/** @throws CoreError as `layTiling`, `compileLaid` */
export function compileTiling(spec: TilingSpec, scale: TilingScale): RepeatUnit<Partition | Marks> {
  return compileLaid(spec, layTiling(spec, scale.shades), scale);
}

/** What a tiling is made with. */
export interface TilingScale {
  readonly shades: readonly Shade[];
  /** Millimetres of a pixel. */
  readonly pixel: Rational;
  /** Those that can be painted. */
  readonly pictures?: Pictures;
}

/** @throws CoreError "tiling/too-large" {width, height, most}, or as `sideOf`, `marksOf` */
export function compileLaid(
  spec: TilingSpec,
  laid: ColouredTiling,
  { shades, pixel, pictures = NO_PICTURES }: TilingScale,
): RepeatUnit<Partition | Marks> {
  const one = sideOf(spec, laid, pixel);
  const pitch = { x: multiplySurds(laid.width, one), y: multiplySurds(laid.height, one) };
  checkSize(pitch);
  const near = { x: surdToNumber(pitch.x), y: surdToNumber(pitch.y) };
  const inUnits = (length: Rational) => divideSurds(surd(length), one);
  const rings = spec.rings.map(({ share, shade }): FaceRing => {
    const start = parseRingStart(share, pixel);
    return {
      start: 'inside' in start ? { inside: inUnits(start.inside) } : start,
      shade: shade === null ? undefined : indexOf(shade, shades),
    };
  });
  const gap = spec.gaps === null ? undefined : inUnits(insetBy(spec.gaps, pixel).by);
  const fillIn = fillOf(spec, { shades: laid.shades, pitch: near, pictures });
  const base = partitionOf(laid, laid.shades, { rings, gap, fillOf: fillIn });
  const zero = rational(0);
  const whole = rational(1);
  return {
    lattice: [
      { x: whole, y: zero },
      { x: zero, y: whole },
    ],
    repeat: { width: whole, height: whole },
    pitch,
    grid: { step: 'mm' },
    content: withMarks(spec, laid, base, { pitch: near, pixel, one, gap }),
  };
}

interface FillRoom {
  readonly shades: readonly Shade[];
  /** Millimetres of one repeat. */
  readonly pitch: Place;
  readonly pictures: Pictures;
}

/** The fill of what is left inside a face's rings. */
function fillOf({ fade, picture }: TilingSpec, { shades, pitch, pictures }: FillRoom) {
  if (fade === null && picture === null) return undefined;
  const isIn = (of: string | null, corners: readonly Point[]) => of === null || String(corners.length) === of;
  const indexes = fade?.shades.map((key) => indexOf(key, shades)) ?? [];
  return (corners: readonly Point[], shade: number): Fill => {
    if (picture !== null && isIn(picture.of, corners)) {
      return { kind: 'picture', shade, ...pictureInFace(picture, corners, pitch, pictures) };
    }
    if (fade === null || !isIn(fade.of, corners)) return { kind: 'shade', shade };
    return { kind: 'fade', shade, shades: indexes, ...fadeAcross(corners, fade, pitch) };
  };
}

function withMarks(
  spec: TilingSpec,
  laid: ColouredTiling,
  base: Partition,
  { gap, ...scale }: MarksScale & { readonly one: Surd; readonly gap: Surd | undefined },
): Partition | Marks {
  const { gaps, lines, letters, star } = spec;
  if (gaps === null && lines.length === 0 && letters === null && star === null) return base;
  const faces = spec.rings.length === 0 ? base : partitionOf(laid, laid.shades);
  const stars = star === null ? [] : starMarks(star, { laid, shades: laid.shades, ...scale });
  const seenOf = gap === undefined ? undefined : seenInRepeats(laid, gap);
  const room = { ...scale, stars, ...(seenOf && { seenOf }) };
  return { kind: 'marks', base, marks: marksOf(spec, faces, laid.shades, room) };
}

/** The corners of what a gap leaves of laid faces, in repeats; undefined where it leaves nothing. */
function seenInRepeats(laid: ColouredTiling, gap: Surd): (face: number) => readonly Point[] | undefined {
  const insetOf = insetsOf(laid);
  const across = divideSurds(ONE_SURD, laid.width);
  const up = divideSurds(ONE_SURD, laid.height);
  return (face) =>
    insetOf(laid.faces[face]!, gap)?.map(({ x, y }) => ({
      x: multiplySurds(x, across),
      y: multiplySurds(y, up),
    }));
}

/** Longest side of a repeat, in millimetres. */
const MAX_REPEAT = 100_000;

function checkSize({ x, y }: { readonly x: Surd; readonly y: Surd }): void {
  const sides = [nearFraction(x), nearFraction(y)];
  if (sides.every((side) => compare(side, rational(MAX_REPEAT)) <= 0)) return;
  const [width, height] = sides.map((side) => toDecimal(side, 0));
  throw new CoreError('tiling/too-large', { width: width!, height: height!, most: MAX_REPEAT / 1000 });
}
