import { CoreError } from '../../error.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import { divide, type Rational, rational } from '../../exact/rational.ts';
import { divideSurds, type Surd, scaleSurd, signOf, subtractSurds, surd } from '../../exact/surd.ts';
import { layUnit } from '../../repeat/lay/lay-unit.ts';
import { scaleUnit } from '../../repeat/lay/scale-unit.ts';
import { turnUnit } from '../../repeat/lay/turn-unit.ts';
import { type RepeatUnit, repeatSize } from '../../repeat/repeat-unit.ts';
import { parseLength } from '../../units/length.ts';
import { arrange, type InBoxes } from './arrange.ts';
import { MAX_SCALE, parseRepeats, parseScale } from './lay-numbers.ts';
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

/** Ways of a unit: threads where there are some, else repeats. */
export function inUnits({ grid }: RepeatUnit): InBoxes {
  return (text, axis) => {
    const way = parseExact(text);
    return grid.step === 'mm' ? way : divide(way, rational(axis === 'x' ? grid.ends : grid.picks));
  };
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
