import { CoreError } from '../../error.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import { divide, floor, isWhole, multiply, type Rational, rational, subtract } from '../../exact/rational.ts';
import { divideSurds, type Surd, scaleSurd, signOf, subtractSurds, surd } from '../../exact/surd.ts';
import { layUnit } from '../../repeat/lay/lay-unit.ts';
import { scaleUnit } from '../../repeat/lay/scale-unit.ts';
import { turnUnit } from '../../repeat/lay/turn-unit.ts';
import { type RepeatUnit, repeatSize } from '../../repeat/repeat-unit.ts';
import { parseLength } from '../../units/length.ts';
import { arrange, type InBoxes } from './arrange.ts';
import { MAX_SCALE, parseRepeats, parseScale, parseStepPart } from './lay-numbers.ts';
import type { Lay, LayScale } from './lay-schema.ts';

/** What a unit is laid with. */
export interface LayContext {
  readonly lay: Lay;
  /** Millimetres of a pixel. */
  readonly pixel: Rational;
  /** Whether boxes lie side by side already. */
  readonly isArranged: boolean;
}

/**
 * A unit as its design lays it: boxes side by side, then larger or smaller, then on a slope.
 * @throws CoreError as `arrange`, `layUnit`, `scaleOf`, `turnUnit`; "lay/too-large" {width, height, most}
 */
export function layOfDesign(unit: RepeatUnit, { lay, pixel, isArranged }: LayContext): RepeatUnit {
  const laid = isArranged ? unit : layUnit(unit, arrange(lay.arrangement, inUnits(unit)), lay.pivots);
  const scaled =
    lay.scale === null
      ? laid
      : scaleUnit(laid, { factor: scaleFactor(lay.scale, laid, pixel), lines: lay.scale.lines });
  return lay.slope === null ? scaled : turnUnit(scaled, lay.slope);
}

/**
 * Ways of a unit: threads where there are some, else repeats. Where a part of the repeat would cut a thread, and the same
 * part of all threads that are laid out would not, it is that part.
 */
export function inUnits({ grid }: RepeatUnit): InBoxes {
  if (grid.step === 'mm') return { way: (text) => parseExact(text) };
  const { ends, picks, laidOut } = grid;
  const threads = { x: ends, y: picks };
  const allThreads = { x: laidOut?.ends ?? ends, y: laidOut?.picks ?? picks };
  return {
    way: (text, axis) => divide(parseExact(text), rational(threads[axis])),
    part: (text, axis) => {
      const part = parseStepPart(text);
      if (isWhole(multiply(part, rational(threads[axis])))) return part;
      const step = multiply(part, rational(allThreads[axis]));
      return isWhole(step) ? modulo1(divide(step, rational(threads[axis]))) : part;
    },
  };
}

/** What is left of a number above the nearest whole one below. */
function modulo1(value: Rational): Rational {
  return subtract(value, rational(floor(value)));
}

/**
 * By what a unit is scaled.
 * @throws CoreError of the numbers; "lay/no-repeat" where a width is asked of what has none; "lay/scale" {text, most}
 */
export function scaleFactor(scale: LayScale, unit: RepeatUnit, pixel: Rational): Surd {
  if (scale.to === 'factor') return surd(parseScale(scale.factor));
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('lay/no-repeat', {});
  const text = scale.to === 'width' ? scale.width : scale.length;
  const length = parseLength(text, 'mm', pixel);
  const wide = scale.to === 'width' ? length : divide(length, parseRepeats(scale.count));
  const factor = divideSurds(surd(wide), size.width);
  const most = surd(MAX_SCALE);
  const isWithin =
    signOf(subtractSurds(most, factor)) >= 0 &&
    signOf(subtractSurds(scaleSurd(factor, rational(MAX_SCALE)), surd(1))) >= 0;
  if (!isWithin) throw new CoreError('lay/scale', { text, most: MAX_SCALE });
  return factor;
}
