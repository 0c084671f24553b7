import { type Rational, toDecimal, toText } from './rational.ts';

/** Most decimal places that are written out. */
const PLACES = 6;

/** A number as people would write it so that nothing is lost: "12.5", or "1/3" where decimals would not end soon. */
export function exactDecimal(value: Rational): string {
  let rest = value.d;
  for (let place = 0; place < PLACES && rest !== 1n; place += 1) {
    for (const factor of [2n, 5n]) if (rest % factor === 0n) rest /= factor;
  }
  return rest === 1n ? toDecimal(value, PLACES) : toText(value);
}
