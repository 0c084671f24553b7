import type { Design } from '../../core/design/design-schema.ts';
import { pitchOf, pixelOf } from '../../core/design/lay/lay-schema.ts';
import { parseLengthOrNone } from '../../core/design/tiling/tiling-numbers.ts';
import type { Rational } from '../../core/exact/rational.ts';
import type { Vector } from '../../core/exact/vector.ts';
import { type LibraryWish, readLibraryWish } from '../../core/formats/library-wish.ts';
import {
  orderPicture,
  type PictureOrder,
  type PictureScale,
  parsePerStep,
  pixelSize,
} from '../../core/formats/picture-order.ts';
import { parseRepeats, parseSheet, type Sheet } from '../../core/formats/sheet.ts';
import { parseShrinkage, UNSHRUNK } from '../../core/formats/shrinkage.ts';
import type { PictureLook } from '../../core/formats/tile-rows.ts';
import { parseDrawn, threadLook } from '../../core/paint/cells/thread-light.ts';
import type { RepeatUnit } from '../../core/repeat/repeat-unit.ts';
import { parseResolution } from '../../core/units/resolution.ts';

/** Pixels a step of the grid, or a resolution; the design's own when none is said. */
export function scaleOf(design: Design, query: URLSearchParams): PictureScale {
  const perThread = query.get('perThread');
  return perThread === null
    ? { dpi: parseResolution(query.get('dpi') ?? design.resolution) }
    : { perStep: parsePerStep(perThread) };
}

/** Whether more, or less, than one repeat is asked for. */
function isSheet(query: URLSearchParams): boolean {
  return sizeText(query) !== '';
}

/** A sheet's size as it was asked for; empty for one repeat. */
export function sizeText(query: URLSearchParams): string {
  const repeats = query.get('repeats') ?? '';
  const size = repeats === '' ? (query.get('size') ?? '') : `${repeats} repeats`;
  return size !== '' && query.has('true-scale') ? `${size} true scale` : size;
}

/** The sheet that is asked for; undefined for one repeat. */
export function sheetOf(design: Design, query: URLSearchParams): Sheet | undefined {
  if (!isSheet(query)) return undefined;
  const repeats = query.get('repeats') ?? '';
  if (repeats !== '') return parseRepeats(repeats);
  const pixel = pixelSize(scaleOf(design, query), pitchOf(design.lay));
  return parseSheet(query.get('size')!, design.lay.unit, pixel);
}

/** The picture that is asked for, in whole pixels. @throws CoreError as its parts and `orderPicture` */
export function pictureOf(
  unit: RepeatUnit,
  design: Design,
  query: URLSearchParams,
  stretch: Vector | undefined = stretchOf(query),
): PictureOrder {
  const sheet = sheetOf(design, query);
  return orderPicture(unit, scaleOf(design, query), sheet, stretch, isTrueScale(query));
}

/** Whether every repeat of a sheet is to stand at its true place. */
function isTrueScale(query: URLSearchParams): boolean {
  return query.has('true-scale') && isSheet(query);
}

/** How far faces run under their neighbours; left out, as far as does no harm. */
export function underlapOf(design: Design, query: URLSearchParams): Rational | undefined {
  const underlap = query.get('underlap') ?? '';
  return underlap === '' ? undefined : parseLengthOrNone(underlap, pixelOf(design.resolution));
}

/** What lengths are multiplied by, so that they are right when the cloth has shrunk. */
export function stretchOf(query: URLSearchParams): Vector {
  const shrink = query.get('shrink') ?? '';
  return shrink === '' ? UNSHRUNK : parseShrinkage(shrink);
}

export function lookOf(query: URLSearchParams): PictureLook {
  return {
    look: threadLook(parseDrawn(query.get('drawn') ?? 'flat')) ?? 'flat',
    mixing: query.get('mixing') === 'bytes' ? 'bytes' : 'light',
  };
}

export function libraryWishOf(query: URLSearchParams): LibraryWish {
  const text = (name: string) => query.get(name) ?? undefined;
  return readLibraryWish({
    quality: text('quality'),
    chroma: text('chroma'),
    compression: text('compression'),
    profile: query.get('profile') !== 'none',
  });
}
