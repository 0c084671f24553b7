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
  /** Repeats that it holds, each way. */
  readonly holds: { readonly x: Held; readonly y: Held };
}

/** How many repeats a picture holds one way, and how much its true length is missed for whole pixels. */
export interface Held {
  /** Whole repeats that it ends with; undefined where it cuts through one. */
  readonly whole: number | undefined;
  /** The most whole repeats below or at its length, and the part of one that it holds beyond them. */
  readonly below: number;
  readonly part: number;
  /** Pixels that it is longer than it truly is, or shorter, where it holds whole repeats. */
  readonly off: Rational;
}

/** How large a picture is wished: pixels a step of the grid, or a resolution. */
export type PictureScale = { readonly perStep: number } | { readonly dpi: Rational };

/** Most pixels along a side of a picture: 84 m at 300 dpi. */
export const MAX_PICTURE_SIDE = 1_000_000;

/** Most pixels of one step of the grid. */
export const MAX_PER_STEP = 200;

/**
 * Turns a wish into whole pixels.
 * @param sheet    undefined for one repeat
 * @param stretch  what all lengths are multiplied by, each way; the resolution stays
 * @throws CoreError "svg/no-repeat" | "send/no-threads" | "send/vanishes" | "send/too-large"
 */
export function orderPicture(
  unit: RepeatUnit,
  scale: PictureScale,
  sheet: Sheet | undefined,
  stretch: Vector = UNSHRUNK,
): PictureOrder {
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('svg/no-repeat', {});
  const perMillimetre = densityOf(unit, scale);
  const x = fitAlong('width', size, multiply(perMillimetre.x, stretch.x), sheet);
  const y = fitAlong('height', size, multiply(perMillimetre.y, stretch.y), sheet);
  if (x.single.tile < 1 || y.single.tile < 1) {
    throw new CoreError('send/vanishes', { dpi: 'dpi' in scale ? toText(scale.dpi) : '' });
  }
  const block = { across: x.times, down: y.times };
  const one = isBlock(unit, block) ? { x, y } : { x: x.single, y: y.single };
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

/** Whole pixels along one side. */
interface Fit {
  readonly tile: number;
  readonly times: number;
  readonly pixels: number;
  readonly held: Held;
}

/** The fit along one side, and the one in which each repeat is rounded by itself. */
function fitAlong(
  side: 'width' | 'height',
  size: TrueSize,
  density: Rational,
  sheet: Sheet | undefined,
): Fit & { readonly single: Fit } {
  const repeat = multiply(nearSize(size)[side], density);
  const tile = Number(round(repeat));
  const whole = (count: number): Fit & { readonly single: Fit } => {
    const exact = multiply(repeat, rational(count));
    const off = subtract(rational(count * tile), exact);
    const single = {
      tile,
      times: 1,
      pixels: count * tile,
      held: { whole: count, below: count, part: 0, off },
    };
    // The fewest repeats that are whole pixels long, where they divide the sheet.
    const times = Number(repeat.d <= BigInt(count) ? repeat.d : 1n);
    if (times === 1 || count % times !== 0) return { ...single, single };
    const pixels = Number(exact.n);
    const held = { whole: count, below: count, part: 0, off: rational(0) };
    return { tile: Number(repeat.n), times, pixels, held, single };
  };
  const cut = (pixels: number, exact: Rational): Fit & { readonly single: Fit } => {
    const ratio = divide(exact, repeat);
    const below = Number(floor(ratio));
    const held = { whole: undefined, below, part: toNumber(ratio) - below, off: rational(0) };
    const single = { tile, times: 1, pixels, held };
    return { ...single, single };
  };
  switch (sheet?.kind) {
    case undefined:
      return whole(1);
    case 'repeats':
      return whole(side === 'width' ? sheet.repeats.across : sheet.repeats.down);
    case 'size': {
      const exact = multiply(sheet.size[side], density);
      const count = wholeCount(exact, repeat, isRational(size[side]));
      return count === undefined ? cut(wholePixels(exact), exact) : whole(count);
    }
    case 'crop':
      return cut(sheet[side], rational(sheet[side]));
    default:
      return sheet satisfies never;
  }
}

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
