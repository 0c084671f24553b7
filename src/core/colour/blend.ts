import type { Rgb } from './hex.ts';

/**
 * Blend functions on sRGB bytes, as flat artwork uses them; results are rounded to the nearest byte, a half up.
 * Source: W3C Compositing and Blending Level 1, §10.1 (separable blend modes) and §9.1.4 (source over).
 */
export const BLENDS = {
  normal: (_under: number, over: number) => over,
  multiply: (under: number, over: number) => (under * over) / 255,
  screen: (under: number, over: number) => under + over - (under * over) / 255,
  darken: (under: number, over: number) => Math.min(under, over),
  lighten: (under: number, over: number) => Math.max(under, over),
} as const satisfies Record<string, (under: number, over: number) => number>;

export type Blend = keyof typeof BLENDS;

/**
 * One opaque shade laid over another.
 * @param strength  0 (nothing is laid over) to 1; 1/2 with "normal" gives the mean of both
 */
export function layOver(under: Rgb, over: Rgb, blend: Blend, strength: number): Rgb {
  const mix = BLENDS[blend];
  const one = (channel: 0 | 1 | 2) =>
    Math.floor(under[channel] * (1 - strength) + mix(under[channel], over[channel]) * strength + 0.5);
  return [one(0), one(1), one(2)];
}
