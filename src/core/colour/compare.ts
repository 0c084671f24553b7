import { differenceCiede2000, oklch, wcagContrast } from 'culori';
import type { Shade } from './shade.ts';

const difference = differenceCiede2000();

/** Difference of two shades, CIEDE2000. Source: G. Sharma, W. Wu, E. N. Dalal, Color Res. Appl. 30 (2005) 21–30. */
export function shadeDifference(a: Shade, b: Shade): number {
  return difference(a.hex, b.hex);
}

/** The same of two colours. */
export function hexDifference(one: string, other: string): number {
  return difference(one, other);
}

/** Two shades that can hardly be told apart. */
export interface NearPair {
  readonly one: Shade;
  readonly other: Shade;
  readonly difference: number;
}

/** Pairs of shades that differ by less than `limit`, nearest first. */
export function nearPairs(shades: readonly Shade[], limit: number): readonly NearPair[] {
  const pairs: NearPair[] = [];
  shades.forEach((one, index) => {
    for (const other of shades.slice(index + 1)) {
      const apart = shadeDifference(one, other);
      if (apart < limit) pairs.push({ one, other, difference: apart });
    }
  });
  return pairs.sort((a, b) => a.difference - b.difference);
}

/** Contrast ratio of two shades, 1 … 21. Source: W3C WCAG 2.2, contrast ratio. */
export function shadeContrast(a: Shade, b: Shade): number {
  return wcagContrast(a.hex, b.hex);
}

export const SHADE_ORDERS = ['hue', 'lightness', 'use'] as const;
export type ShadeOrder = (typeof SHADE_ORDERS)[number];

/** Chroma below which a shade is a grey and has no hue to be sorted by. */
const GREY = 0.02;

/**
 * Shades in another order: round the hues from red, greys last; light to dark; or the most used first. Shades that
 * are alike keep their order.
 * @param use  how often each key is used
 */
export function sortShades(
  shades: readonly Shade[],
  order: ShadeOrder,
  use: (key: string) => number,
): readonly Shade[] {
  const value = (shade: Shade): number => {
    if (order === 'use') return -use(shade.key);
    const { l, c, h } = oklch(shade.hex)!;
    if (order === 'lightness') return -l;
    return c < GREY || h === undefined ? 1000 - l : h;
  };
  return [...shades].sort((a, b) => value(a) - value(b));
}
