import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { divide, multiply, type Rational, rational, round, toText } from '../exact/rational.ts';
import { nearFraction } from '../exact/surd.ts';
import type { Rectangle } from '../exact/vector.ts';
import { MAX_PIXELS, nearestFit } from '../repeat/pixel-fit.ts';
import { nearSize, type RepeatUnit, repeatSize } from '../repeat/repeat-unit.ts';
import { type LengthUnit, parseLength } from '../units/length.ts';
import { pixelsIn, pixelsPerMetre } from '../units/resolution.ts';

/** Whole-pixel sizes of a picture, as `unitToPng` takes them. */
export interface PictureOrder {
  /** One repeat. */
  readonly tile: { readonly width: number; readonly height: number };
  /** The picture; as large as the tile for one repeat. */
  readonly width: number;
  readonly height: number;
  /** Written into the file. */
  readonly pixelsPerMetre: { readonly x: number; readonly y: number };
}

/** How large a picture is wished: pixels a step of the grid, or a resolution. */
export type PictureScale = { readonly perStep: number } | { readonly dpi: Rational };

/** Most pixels along a side of a picture. 3 m at 600 dpi are 70 867. */
export const MAX_PICTURE_SIDE = 100_000;

/** Most pixels of one step of the grid. */
export const MAX_PER_STEP = 200;

/**
 * Turns a wish into whole pixels.
 * @param sheet  size in millimetres of a sheet of repeats; undefined for one repeat
 * @throws CoreError "svg/no-repeat" | "send/no-threads" | "send/vanishes" | "send/too-large"
 */
export function orderPicture(
  unit: RepeatUnit,
  scale: PictureScale,
  sheet: Rectangle | undefined,
): PictureOrder {
  const order = 'dpi' in scale ? byResolution(unit, scale.dpi, sheet) : byStep(unit, scale.perStep, sheet);
  const { tile, width, height } = order;
  const fits = Math.max(width, height) <= MAX_PICTURE_SIDE && Math.max(tile.width, tile.height) <= MAX_PIXELS;
  if (!fits) {
    throw new CoreError('send/too-large', {
      width: order.width,
      height: order.height,
      most: MAX_PICTURE_SIDE,
    });
  }
  return order;
}

function byResolution(unit: RepeatUnit, dpi: Rational, sheet: Rectangle | undefined): PictureOrder {
  const size = trueSize(unit);
  const tile = nearestFit({ width: pixelsIn(size.width, dpi), height: pixelsIn(size.height, dpi) });
  if (tile === undefined) throw new CoreError('send/vanishes', { dpi: toText(dpi) });
  const perMetre = pixelsPerMetre(dpi);
  return {
    tile: { width: tile.width, height: tile.height },
    width: sheet === undefined ? tile.width : wholePixels(pixelsIn(sheet.width, dpi)),
    height: sheet === undefined ? tile.height : wholePixels(pixelsIn(sheet.height, dpi)),
    pixelsPerMetre: { x: perMetre, y: perMetre },
  };
}

function byStep(unit: RepeatUnit, perStep: number, sheet: Rectangle | undefined): PictureOrder {
  trueSize(unit);
  const { content } = unit;
  if (content.kind !== 'cells') throw new CoreError('send/no-threads', {});
  const pitch = { x: nearFraction(unit.pitch.x), y: nearFraction(unit.pitch.y) };
  const tile = { width: content.width * perStep, height: content.height * perStep };
  const along = (length: Rational, step: Rational) =>
    wholePixels(multiply(divide(length, step), rational(perStep)));
  const perMetre = (step: Rational) => along(rational(1000), step);
  return {
    tile,
    width: sheet === undefined ? tile.width : along(sheet.width, pitch.x),
    height: sheet === undefined ? tile.height : along(sheet.height, pitch.y),
    pixelsPerMetre: { x: perMetre(pitch.x), y: perMetre(pitch.y) },
  };
}

function trueSize(unit: RepeatUnit): Rectangle {
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('svg/no-repeat', {});
  return nearSize(size);
}

/** Nearest whole number of pixels, at least one; a tie goes up. */
function wholePixels(pixels: Rational): number {
  return Math.max(1, Number(round(pixels)));
}

/**
 * Reads a sheet's size: "12inx12in", "300 x 200 mm", `54"`. One unit at the end counts for both.
 * @returns millimetres
 * @throws CoreError "send/size" {text}, or as `parseLength`
 */
export function parseSheet(text: string, unit: LengthUnit): Rectangle {
  const parts = text.split(/[x×]/i).map((part) => part.trim());
  const last = /(mm|cm|in)$/i.exec(parts.at(-1) ?? '')?.[1]?.toLowerCase() as LengthUnit | undefined;
  if (parts.length > 2 || parts.includes('')) throw new CoreError('send/size', { text });
  const width = parseLength(parts[0]!, last ?? unit);
  return { width, height: parts[1] === undefined ? width : parseLength(parts[1], unit) };
}

/**
 * Reads pixels a thread.
 * @throws CoreError "send/per-thread" {text, most}, or as `parseExact`
 */
export function parsePerStep(text: string): number {
  const value = parseExact(text);
  if (value.d !== 1n || value.n < 1n || value.n > BigInt(MAX_PER_STEP)) {
    throw new CoreError('send/per-thread', { text, most: MAX_PER_STEP });
  }
  return Number(value.n);
}
