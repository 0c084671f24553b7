import { multiply, ONE, type Rational, rational, toDecimal } from '../core/exact/rational.ts';
import { isRational, nearFraction, type Surd, scaleSurd } from '../core/exact/surd.ts';
import { surdText } from '../core/exact/surd-text.ts';
import type { Rectangle } from '../core/exact/vector.ts';
import type { TrueSize } from '../core/repeat/repeat-unit.ts';
import { fromMillimetres, type LengthUnit } from '../core/units/length.ts';

/** Decimal places in which a length of each unit is shown: a thousandth of a millimetre or finer. */
const PLACES: Readonly<Record<LengthUnit, number>> = { mm: 3, cm: 4, in: 5 };

/** A length in `unit`, such as "38.1" or "1.16667". */
export function lengthText(millimetres: Rational, unit: LengthUnit): string {
  return toDecimal(fromMillimetres(millimetres, unit), PLACES[unit]);
}

/** A size in `unit`: "38.1 × 12 mm"; "≈ 17.437 × 12.206 mm" where it is irrational. */
export function sizeText({ width, height }: TrueSize, unit: LengthUnit): string {
  const about = isRational(width) && isRational(height) ? '' : '≈ ';
  return `${about}${sideText(width, unit)} × ${sideText(height, unit)} ${unit}`;
}

/** A size of fractions in `unit`: "300 × 200 mm". */
export function rectangleText({ width, height }: Rectangle, unit: LengthUnit): string {
  return `${lengthText(width, unit)} × ${lengthText(height, unit)} ${unit}`;
}

/** A size in `unit` to a tenth of a millimetre or so, where there is little room: "17.4 × 12.2 mm". */
export function shortSizeText({ width, height }: TrueSize, unit: LengthUnit): string {
  const side = (length: Surd) => toDecimal(fromMillimetres(nearFraction(length), unit), PLACES[unit] - 2);
  return `${side(width)} × ${side(height)} ${unit}`;
}

/** One side of a size, rounded. */
export function sideText(side: Surd, unit: LengthUnit): string {
  return lengthText(nearFraction(side), unit);
}

/** A side in `unit` as it is: "10√149/7". */
export function exactSideText(side: Surd, unit: LengthUnit): string {
  return surdText(scaleSurd(side, fromMillimetres(ONE, unit)));
}

/** A portion as a percentage: "37.5%". */
export function portionText({ n, d }: Rational, places: number): string {
  return `${toDecimal({ n: n * 100n, d }, places)}%`;
}

/** A relative error in parts per million, signed: "−61 ppm", "+0.27 ppm", "0 ppm". */
export function ppmText(error: Rational): string {
  return `${millionthsText(error)} ppm`;
}

/** The same without its unit. */
export function millionthsText(error: Rational): string {
  const millionths = multiply(error, rational(1_000_000));
  // Two places, more where those would show nothing of it.
  const text = [2, 4, 8].map((places) => toDecimal(millionths, places)).find((each) => each !== '0') ?? '0';
  return signed(text);
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

/** A time of the day, and the day where it is another: "12:04", "3 March, 12:04". */
export function clockText(at: string, now = new Date()): string {
  if (at === '') return 'some time ago';
  const date = new Date(at);
  const time = date.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  if (date.toDateString() === now.toDateString()) return time;
  return `${date.toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })}, ${time}`;
}

/** A share as "12.5 %". */
export function percentText(share: number): string {
  return `${(share * 100).toFixed(1)} %`;
}
