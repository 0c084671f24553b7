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
} from '../exact/rational.ts';
import { isRational } from '../exact/surd.ts';
import { nearSize, type TrueSize } from '../repeat/repeat-unit.ts';
import type { Sheet } from './sheet.ts';

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

/** Most pixels of a block's side. */
const MOST_SIDE = 32_768;

/** Whole pixels along one side: what is painted once, of so many repeats. */
interface Fit {
  readonly tile: number;
  readonly times: number;
  readonly pixels: number;
  readonly held: Held;
}

/** The fit along one side, and the one in which each repeat is rounded by itself. */
export interface SideFit extends Fit {
  readonly single: Fit;
  /** Whether every repeat stands at its true place, to half a pixel. */
  readonly isTrue: boolean;
}

export interface SideWish {
  readonly sheet: Sheet | undefined;
  readonly isTrue: boolean;
}

/**
 * Whole pixels of a picture along one side.
 * @param density  pixels of a millimetre
 */
export function fitAlong(
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
  const counted = (count: number): SideFit => {
    const ratio = rational(count);
    const exact = multiply(repeat, ratio);
    if (isTrue) return sized(wholePixels(exact), exact, count);
    // The fewest repeats that are whole pixels long, where they divide the sheet.
    const times = Number(repeat.d <= BigInt(count) ? repeat.d : 1n);
    const single = fitOf(1, count * Number(round(repeat)), ratio, count);
    return sideFit(count % times === 0 ? times : undefined, single, (many) =>
      fitOf(many, Number(exact.n), ratio, count),
    );
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
    if (tile > MOST_SIDE) return undefined;
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
