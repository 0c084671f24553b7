import { add, divide, type Rational, rational } from '../exact/rational.ts';
import type { Interlacing } from './weave.ts';
import { faceFacts } from './weaves/float-counts.ts';

/** How close a structure can be set: threads and intersections of one direction in one repeat. */
export interface Firmness {
  /** Threads that one thread of the other direction passes in a repeat. */
  readonly threads: number;
  /** How often it passes from one face to the other, the mean over all of them, exact. */
  readonly intersections: Rational;
}

/** Firmness of the ends (met along picks) and of the picks (met along ends). */
export function firmnessOf(structure: Interlacing): { ends: Firmness; picks: Firmness } {
  const { ends, picks } = structure;
  const { alongPicks, alongEnds } = faceFacts(structure);
  return {
    ends: { threads: ends, intersections: rational(alongPicks, picks) },
    picks: { threads: picks, intersections: rational(alongEnds, ends) },
  };
}

/**
 * The share of the threads that fit side by side which fit when others pass between them: E/(E + I). Plain 1/2, 2/2
 * twill 2/3, 5-end satin 5/7.
 * Source: T. R. Ashenhurst, A Treatise on Textile Calculations, 1884 (setting by diameters and intersections); from memory.
 */
export function settingShare({ threads, intersections }: Firmness): Rational {
  return divide(rational(threads), add(rational(threads), intersections));
}

/**
 * Threads per inch that lie side by side: 28√Ne of a cotton yarn, whose diameter is 1/(28√Ne) inch. A double.
 * Source: F. T. Peirce, The geometry of cloth structure, J. Textile Inst. 28 (1937) T45; from memory.
 */
export function diametersPerInch(cottonCount: number): number {
  return 28 * Math.sqrt(cottonCount);
}

/** Peirce's cover factor K = threads per inch / √Ne. Source: as `diametersPerInch`. */
export function coverFactor(perInch: number, cottonCount: number): number {
  return perInch / Math.sqrt(cottonCount);
}

/** Cover of the cloth from that of both directions: K₁ + K₂ − K₁K₂/28. Source: as `diametersPerInch`. */
export function clothCover(warp: number, weft: number): number {
  return warp + weft - (warp * weft) / 28;
}
