import { commonFraction } from '../exact/common-multiple.ts';
import {
  add,
  compare,
  divide,
  floor,
  isWhole,
  multiply,
  ONE,
  type Rational,
  rational,
} from '../exact/rational.ts';
import { isRational, nearFraction } from '../exact/surd.ts';
import { MAX_RESOLUTION, pixelsIn, resolutionFor } from '../units/resolution.ts';
import { MAX_PIXELS } from './pixel-fit.ts';
import { nearSize, type RepeatUnit, repeatSize } from './repeat-unit.ts';

/** A resolution at which every thread, or at least the whole repeat, is whole pixels. */
export interface FittingResolution {
  readonly dpi: Rational;
  /** What is whole there. */
  readonly whole: 'threads' | 'repeat';
  readonly width: number;
  readonly height: number;
  /** Pixels of one step of the grid, across and up. */
  readonly perStep: { readonly x: Rational; readonly y: Rational };
}

/**
 * The resolutions nearest below and above `dpi` that give whole pixels a thread, and a repeat; beside them, where `dpi` is
 * whole, the whole ones nearest below and above. An irrational repeat is whole at none.
 */
export function fittingResolutions(unit: RepeatUnit, dpi: Rational): readonly FittingResolution[] {
  const exact = repeatSize(unit);
  if (exact === null || !isRational(exact.width) || !isRational(exact.height)) return [];
  const size = nearSize(exact);
  const pitch = { x: nearFraction(unit.pitch.x), y: nearFraction(unit.pitch.y) };
  const resolutionAt = (at: Rational, whole: FittingResolution['whole']): FittingResolution => ({
    dpi: at,
    whole,
    width: Number(pixelsIn(size.width, at).n),
    height: Number(pixelsIn(size.height, at).n),
    perStep: { x: pixelsIn(pitch.x, at), y: pixelsIn(pitch.y, at) },
  });
  const cloth = unit.grid.step === 'thread';
  const threads = cloth
    ? fitting(stepFor(pitch.x, pitch.y), dpi).map((at) => resolutionAt(at, 'threads'))
    : [];
  const repeats = fitting(stepFor(size.width, size.height), dpi)
    .map((at) => resolutionAt(at, 'repeat'))
    .filter(({ width, height }) => Math.max(width, height) <= MAX_PIXELS)
    .filter((each) => !threads.some((known) => compare(known.dpi, each.dpi) === 0));
  return [...threads, ...repeats];
}

/** The coarsest resolution at which both lengths are whole pixels; all others are its multiples. */
function stepFor(width: Rational, height: Rational): Rational {
  return commonFraction(resolutionFor(rational(1), width), resolutionFor(rational(1), height));
}

/** Whole resolutions further off than this, as a factor, are no help. */
const NEAR_DPI = 4;

/** The multiples of a step around a resolution; where that is whole, the whole ones too. */
function fitting(step: Rational, dpi: Rational): readonly Rational[] {
  const nearest = around(step, dpi);
  if (!isWhole(dpi)) return nearest;
  const isNear = (at: Rational) =>
    compare(at, multiply(dpi, rational(NEAR_DPI))) <= 0 &&
    compare(multiply(at, rational(NEAR_DPI)), dpi) >= 0;
  const whole = around(commonFraction(step, ONE), dpi).filter(isNear);
  return [...nearest, ...whole.filter((at) => !nearest.some((known) => compare(known, at) === 0))];
}

function around(step: Rational, dpi: Rational): readonly Rational[] {
  const below = rational(floor(divide(dpi, step)));
  return [below, add(below, rational(1))]
    .map((times) => multiply(times, step))
    .filter((at) => at.n > 0n && compare(at, rational(MAX_RESOLUTION)) <= 0 && compare(at, dpi) !== 0)
    .sort((a, b) => compare(distance(a, dpi), distance(b, dpi)));
}

function distance(a: Rational, b: Rational): Rational {
  const gap = add(a, multiply(rational(-1), b));
  return gap.n < 0n ? multiply(rational(-1), gap) : gap;
}
