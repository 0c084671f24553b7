import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import {
  compare,
  divide,
  floor,
  isWhole,
  multiply,
  type Rational,
  rational,
  round,
  subtract,
  toNumber,
  toText,
} from '../exact/rational.ts';
import { isRational, nearFraction } from '../exact/surd.ts';
import type { Rectangle, Vector } from '../exact/vector.ts';
import { type Block, isBlock } from '../repeat/block-unit.ts';
import { MAX_PIXELS } from '../repeat/pixel-fit.ts';
import { nearSize, type RepeatUnit, repeatSize, type TrueSize } from '../repeat/repeat-unit.ts';
import { pixelsIn, pixelsPerMetre } from '../units/resolution.ts';
import type { Sheet } from './sheet.ts';
import { UNSHRUNK } from './shrinkage.ts';

/** Whole-pixel sizes of a picture, as `unitToPng` takes them. */
export interface PictureOrder {
  /** What is painted once: a repeat, or the fewest repeats that close on whole pixels where one does not. */
  readonly tile: { readonly width: number; readonly height: number };
  readonly block: Block;
  /** The picture; as large as the tile for one repeat. */
  readonly width: number;
  readonly height: number;
  /** Written into the file. */
  readonly pixelsPerMetre: { readonly x: number; readonly y: number };
  /** The same as it truly is, pixels a millimetre. */
  readonly perMillimetre: { readonly x: number; readonly y: number };
  /** Repeats that it holds, each way. */
  readonly holds: { readonly x: Held; readonly y: Held };
}

/** How many repeats a picture holds one way, and how much its true length is missed for whole pixels. */
export interface Held {
  /** Whole repeats that it ends with; undefined where it cuts through one. */
  readonly whole: number | undefined;
  /** The most whole repeats below or at its true length, and the part of one beyond them. */
  readonly below: number;
  readonly part: number;
  /** Repeats that lie on it as they are painted, each or a block of them rounded to whole pixels. */
  readonly painted: number;
  /** Pixels by which as many repeats as truly lie on it are longer as they are painted, or shorter. */
  readonly off: Rational;
}

/** How large a picture is wished: pixels a step of the grid, or a resolution. */
export type PictureScale = { readonly perStep: number } | { readonly dpi: Rational };

/** Most pixels along a side of a picture: 84 m at 300 dpi. */
export const MAX_PICTURE_SIDE = 1_000_000;

/** Most pixels of a block of repeats that is painted as one, so that each repeat stands at its true place: in all, and a side. */
const MOST_BLOCK = 1 << 26;
const MOST_BLOCK_SIDE = 32_768;

/** Most pixels of one step of the grid. */
export const MAX_PER_STEP = 200;

/**
 * Turns a wish into whole pixels.
 * @param sheet    undefined for one repeat
 * @param stretch  what all lengths are multiplied by, each way; the resolution stays
 * @param isTrue   whether every repeat of a sheet stands at its true place, to half a pixel; else each is rounded to whole
 *                 pixels where that is all it takes to be so large
 * @throws CoreError "svg/no-repeat" | "send/no-threads" | "send/vanishes" | "send/too-large" | "send/true-scale" {most}
 */
export function orderPicture(
  unit: RepeatUnit,
  scale: PictureScale,
  sheet: Sheet | undefined,
  stretch: Vector = UNSHRUNK,
  isTrue = false,
): PictureOrder {
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('svg/no-repeat', {});
  const perMillimetre = densityOf(unit, scale);
  const x = fitAlong('width', size, multiply(perMillimetre.x, stretch.x), { sheet, isTrue });
  const y = fitAlong('height', size, multiply(perMillimetre.y, stretch.y), { sheet, isTrue });
  if (x.single.tile < 1 || y.single.tile < 1) {
    throw new CoreError('send/vanishes', { dpi: 'dpi' in scale ? toText(scale.dpi) : '' });
  }
  const block = { across: x.times, down: y.times };
  const isSmall = x.tile * y.tile <= MOST_BLOCK && isBlock(unit, block);
  if (isTrue && !(isSmall && x.isTrue && y.isTrue))
    throw new CoreError('send/true-scale', { most: MOST_BLOCK });
  const one = isSmall ? { x, y } : { x: x.single, y: y.single };
  const perMetre = (density: Rational) => Number(round(multiply(density, rational(1000))));
  const order: PictureOrder = {
    tile: { width: one.x.tile, height: one.y.tile },
    block: { across: one.x.times, down: one.y.times },
    width: one.x.pixels,
    height: one.y.pixels,
    pixelsPerMetre:
      'dpi' in scale
        ? { x: pixelsPerMetre(scale.dpi), y: pixelsPerMetre(scale.dpi) }
        : { x: perMetre(perMillimetre.x), y: perMetre(perMillimetre.y) },
    perMillimetre: { x: toNumber(perMillimetre.x), y: toNumber(perMillimetre.y) },
    holds: { x: one.x.held, y: one.y.held },
  };
  const fits =
    Math.max(order.width, order.height) <= MAX_PICTURE_SIDE &&
    Math.max(order.tile.width, order.tile.height) <= MAX_PIXELS;
  if (!fits) {
    throw new CoreError('send/too-large', {
      width: order.width,
      height: order.height,
      most: MAX_PICTURE_SIDE,
    });
  }
  return order;
}

/** Pixels of a millimetre, across and down. */
function densityOf(unit: RepeatUnit, scale: PictureScale): Vector {
  if ('dpi' in scale) {
    const density = pixelsIn(rational(1), scale.dpi);
    return { x: density, y: density };
  }
  if (unit.grid.step !== 'thread') throw new CoreError('send/no-threads', {});
  const along = (pitch: Rational) => divide(rational(scale.perStep), pitch);
  return { x: along(nearFraction(unit.pitch.x)), y: along(nearFraction(unit.pitch.y)) };
}

/** Millimetres of a pixel, for sizes that are typed in pixels. @param pitch  millimetres of a thread */
export function pixelSize(scale: PictureScale, pitch: Vector): Vector {
  if ('dpi' in scale) {
    const one = divide(rational(254, 10), scale.dpi);
    return { x: one, y: one };
  }
  const times = rational(scale.perStep);
  return { x: divide(pitch.x, times), y: divide(pitch.y, times) };
}

/** A picture's true size in millimetres, and where it cuts through repeats the nearest sheets that do not. */
export interface SheetFacts {
  readonly size: Rectangle;
  readonly offers: readonly { readonly block: Block; readonly size: Rectangle }[];
}

export function sheetFacts(unit: RepeatUnit, order: PictureOrder, sheet: Sheet | undefined): SheetFacts {
  return {
    size: sizeOfSheet(unit, sheet) ?? sizeOfBlock(unit, { across: 1, down: 1 }),
    offers: holdsWhole(order)
      ? []
      : wholeBlocks(order).map((block) => ({ block, size: sizeOfBlock(unit, block) })),
  };
}

/** Whole pixels along one side: what is painted once, of so many repeats. */
interface Fit {
  readonly tile: number;
  readonly times: number;
  readonly pixels: number;
  readonly held: Held;
}

/** The fit along one side, and the one in which each repeat is rounded by itself. */
interface SideFit extends Fit {
  readonly single: Fit;
  /** Whether every repeat stands at its true place, to half a pixel. */
  readonly isTrue: boolean;
}

interface SideWish {
  readonly sheet: Sheet | undefined;
  readonly isTrue: boolean;
}

function fitAlong(
  side: 'width' | 'height',
  size: TrueSize,
  density: Rational,
  { sheet, isTrue }: SideWish,
): SideFit {
  const repeat = multiply(nearSize(size)[side], density);
  /** A picture of so many pixels, on which so many repeats truly lie. */
  const fitOf = (times: number, pixels: number, ratio: Rational, count: number | undefined): Fit => {
    const tile = Number(round(multiply(repeat, rational(times))));
    const below = Number(floor(ratio));
    const each = rational(tile, times);
    const isWhole = count !== undefined && count % times === 0 && (count / times) * tile === pixels;
    const held = {
      whole: isWhole ? count : undefined,
      below: isWhole ? count : below,
      part: isWhole ? 0 : toNumber(ratio) - below,
      painted: (pixels * times) / tile,
      off: subtract(multiply(ratio, each), multiply(ratio, repeat)),
    };
    return { tile, times, pixels, held };
  };
  const sideFit = (times: number | undefined, single: Fit, made: (many: number) => Fit): SideFit =>
    times === undefined
      ? { ...single, single, isTrue: false }
      : { ...(times === 1 ? single : made(times)), single, isTrue: true };
  const counted = (count: number): SideFit => {
    const ratio = rational(count);
    const single = fitOf(1, count * Number(round(repeat)), ratio, count);
    if (isTrue) {
      const pixels = wholePixels(multiply(repeat, ratio));
      const times = trueTimes(repeat, count, pixels, count);
      return sideFit(times, single, (many) => fitOf(many, pixels, ratio, count));
    }
    // The fewest repeats that are whole pixels long, where they divide the sheet.
    const times = Number(repeat.d <= BigInt(count) ? repeat.d : 1n);
    return sideFit(count % times === 0 ? times : undefined, single, (many) =>
      fitOf(many, Number(multiply(repeat, ratio).n), ratio, count),
    );
  };
  const sized = (pixels: number, exact: Rational, count: number | undefined): SideFit => {
    const ratio = count === undefined ? divide(exact, repeat) : rational(count);
    const single = fitOf(1, pixels, ratio, count);
    const isClosed = single.held.whole !== undefined;
    const times =
      isTrue || (count !== undefined && !isClosed)
        ? trueTimes(repeat, toNumber(ratio), pixels, count)
        : isClosed || single.held.off.n === 0n
          ? 1
          : undefined;
    return sideFit(times, single, (many) => fitOf(many, pixels, ratio, count));
  };
  switch (sheet?.kind) {
    case undefined:
      return { ...counted(1), isTrue: true };
    case 'repeats':
      return counted(side === 'width' ? sheet.repeats.across : sheet.repeats.down);
    case 'size': {
      const exact = multiply(sheet.size[side], density);
      return sized(wholePixels(exact), exact, wholeCount(exact, repeat, isRational(size[side])));
    }
    case 'crop':
      return sized(sheet[side], rational(sheet[side]), undefined);
    default:
      return sheet satisfies never;
  }
}

/**
 * The fewest repeats that, rounded to whole pixels together, stand off their true places by no more than half a pixel over a
 * whole picture; where it holds so many whole repeats, such that it is as long as it has to be.
 * @returns undefined where they are more pixels than are painted as one
 */
function trueTimes(
  repeat: Rational,
  ratio: number,
  pixels: number,
  count: number | undefined,
): number | undefined {
  const one = toNumber(repeat);
  for (let times = 1; times <= Math.max(1, Math.ceil(ratio)); times += 1) {
    const exact = one * times;
    const tile = Math.round(exact);
    if (tile > MOST_BLOCK_SIDE) return undefined;
    if (tile < 1) continue;
    const isNear = (Math.abs(tile - exact) * Math.max(ratio, times)) / times <= 0.5 + NEAR;
    const isWhole = count === undefined || (count % times === 0 && (count / times) * tile === pixels);
    if (isNear && isWhole) return times;
  }
  return undefined;
}

/** Parts of a pixel: doubles of a million pixels are this near. */
const NEAR = 1e-6;

/** Repeats in a length that holds them whole; where the repeat is irrational, to half a pixel. */
function wholeCount(exact: Rational, repeat: Rational, isExact: boolean): number | undefined {
  const ratio = divide(exact, repeat);
  const count = round(ratio);
  if (count < 1n) return undefined;
  if (isExact) return isWhole(ratio) ? Number(count) : undefined;
  const miss = subtract(exact, multiply(repeat, rational(count)));
  const half = rational(1, 2);
  return compare(miss, half) < 0 && compare(miss, rational(-1, 2)) > 0 ? Number(count) : undefined;
}

/** Nearest whole number of pixels, at least one; a tie goes up. */
function wholePixels(pixels: Rational): number {
  return Math.max(1, Number(round(pixels)));
}

/** Whether a picture repeats when it is laid edge to edge. */
export function holdsWhole({ holds }: PictureOrder): boolean {
  return holds.x.whole !== undefined && holds.y.whole !== undefined;
}

/** The numbers of repeats nearest to what a picture that cuts through one holds: the nearest, the next fewer, the next more. */
export function wholeBlocks({ holds: { x, y } }: PictureOrder): readonly Block[] {
  const near = ({ whole, below, part }: Held) => {
    if (whole !== undefined) return { nearest: whole, fewer: whole, more: whole };
    const fewer = Math.max(1, below);
    return { nearest: part < 0.5 ? fewer : below + 1, fewer, more: below + 1 };
  };
  const across = near(x);
  const down = near(y);
  const blocks = [
    { across: across.nearest, down: down.nearest },
    { across: across.fewer, down: down.fewer },
    { across: across.more, down: down.more },
  ];
  return blocks.filter((block, at) => blocks.findIndex((other) => sameBlock(other, block)) === at);
}

function sameBlock(a: Block, b: Block): boolean {
  return a.across === b.across && a.down === b.down;
}

/** A sheet's true size in millimetres; undefined for one repeat and for a crop. */
export function sizeOfSheet(unit: RepeatUnit, sheet: Sheet | undefined): Rectangle | undefined {
  if (sheet?.kind === 'size') return sheet.size;
  return sheet?.kind === 'repeats' ? sizeOfBlock(unit, sheet.repeats) : undefined;
}

/** True size in millimetres of so many repeats. */
function sizeOfBlock(unit: RepeatUnit, { across, down }: Block): Rectangle {
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('svg/no-repeat', {});
  const near = nearSize(size);
  return { width: multiply(near.width, rational(across)), height: multiply(near.height, rational(down)) };
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
