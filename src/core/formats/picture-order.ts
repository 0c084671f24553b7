import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { divide, multiply, type Rational, rational, round, toNumber, toText } from '../exact/rational.ts';
import { nearFraction } from '../exact/surd.ts';
import type { Rectangle, Vector } from '../exact/vector.ts';
import { type Block, isBlock } from '../repeat/block-unit.ts';
import { MAX_PIXELS } from '../repeat/pixel-fit.ts';
import { nearSize, type RepeatUnit, repeatSize } from '../repeat/repeat-unit.ts';
import { pixelsIn, pixelsPerMetre } from '../units/resolution.ts';
import type { Sheet } from './sheet.ts';
import { UNSHRUNK } from './shrinkage.ts';
import { fitAlong, type Held } from './side-fit.ts';

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

/** How large a picture is wished: pixels a step of the grid, or a resolution. */
export type PictureScale = { readonly perStep: number } | { readonly dpi: Rational };

/** Most pixels along a side of a picture: 84 m at 300 dpi. */
export const MAX_PICTURE_SIDE = 1_000_000;

/** Most pixels of a block of repeats that is painted as one. */
const MOST_BLOCK = 1 << 26;

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
