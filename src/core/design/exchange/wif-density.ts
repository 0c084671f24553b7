import { convergents } from '../../exact/continued-fraction.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import {
  divide,
  multiply,
  ONE,
  type Rational,
  subtract,
  toDecimal,
  toNumber,
  toText,
} from '../../exact/rational.ts';
import { parseDensity } from '../../units/density.ts';

/** Relative error within which a spacing is taken for a simple density, however few places it is written with. */
const NEAR = 2e-5;

/** Places of a spacing: as many as its density needs to be read back, from the first number to the last. */
const PLACES = [6, 9, 12, 15] as const;

/** The simplest density whose spacing is written so: nearer than half of its last place, and than NEAR. */
export function densityOf(spacing: string, factor: Rational): string {
  const value = parseExact(spacing);
  const places = /\.(\d+)$/.exec(spacing)?.[1]?.length ?? 0;
  const half = 0.5 * 10 ** -places;
  const near = Math.min(NEAR, Math.max(1e-15, half / toNumber(value)));
  const density = divide(ONE, multiply(value, factor));
  const found = convergents(density).find(
    (fraction) => fraction.n > 0n && Math.abs(toNumber(subtract(divide(fraction, density), ONE))) < near,
  );
  return toText(found ?? density);
}

/** The shortest spacing that is read back as the density. */
export function spacingOf(density: string): string {
  const exact = parseDensity(density);
  const texts = PLACES.map((places) => toDecimal(divide(ONE, exact), places));
  return texts.find((text) => densityOf(text, ONE) === toText(exact)) ?? texts.at(-1)!;
}
