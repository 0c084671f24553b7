import { type MotifScale, parseWay } from '../../../core/design/motif/motif-numbers.ts';
import { add, divide, type Rational, rational, toNumber, toText } from '../../../core/exact/rational.ts';

/** A way as it is typed, in steps. */
export function inSteps(text: string, scale: MotifScale): Rational {
  return divide(parseWay(text, scale), scale.step);
}

export function numberOf(text: string, scale: MotifScale): number {
  return toNumber(inSteps(text, scale));
}

/** A way that is so many steps longer. */
export function addSteps(text: string, steps: Rational, scale: MotifScale): string {
  return toText(add(inSteps(text, scale), steps));
}

/** Parts of a step that people type. */
const PARTS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 16, 24, 32];

/** Parts of a step that outlines on the cloth are right to. */
const FINEST = 1000;

/** Steps near a measured length: such a part where it is one within that, else thousandths. */
export function stepsNear(steps: number): Rational {
  const parts =
    PARTS.find((each) => Math.abs(Math.round(steps * each) / each - steps) * FINEST < 1) ?? FINEST;
  return rational(Math.round(steps * parts), parts);
}
