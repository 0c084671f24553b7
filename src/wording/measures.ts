import { multiply, type Rational, rational, toDecimal } from '../core/exact/rational.ts';
import { fromMillimetres, type LengthUnit } from '../core/units/length.ts';

/** Decimal places in which a length of each unit is shown: a thousandth of a millimetre or finer. */
const PLACES: Readonly<Record<LengthUnit, number>> = { mm: 3, cm: 4, in: 5 };

/** A length in `unit`, such as "38.1" or "1.16667". */
export function lengthText(millimetres: Rational, unit: LengthUnit): string {
  return toDecimal(fromMillimetres(millimetres, unit), PLACES[unit]);
}

/** A relative error in parts per million, signed: "−61 ppm", "+0.27 ppm", "0 ppm". */
export function ppmText(error: Rational): string {
  const text = toDecimal(multiply(error, rational(1_000_000)), 2);
  return `${signed(text)} ppm`;
}

/** A relative error as what it makes over a metre: "−0.061 mm per metre". */
export function perMetreText(error: Rational): string {
  return `${signed(toDecimal(multiply(error, rational(1000)), 4))} mm per metre`;
}

function signed(text: string): string {
  if (text === '0') return text;
  return text.startsWith('-') ? `−${text.slice(1)}` : `+${text}`;
}

/** "1 thread", "12 threads". */
export function plural(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}
