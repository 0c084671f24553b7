import type { Rgb } from './hex.ts';

/**
 * Blend functions of one channel, on sRGB bytes, as flat artwork uses them. Source: W3C Compositing and Blending
 * Level 1, §10.1 (separable blend modes).
 */
export const SEPARABLE_BLENDS = {
  normal: (_under, over) => over,
  multiply: (under, over) => (under * over) / 255,
  screen,
  overlay: (under, over) => hardLight(over, under),
  darken: (under, over) => Math.min(under, over),
  lighten: (under, over) => Math.max(under, over),
  'color-dodge': (under, over) => {
    if (under === 0) return 0;
    return over === 255 ? 255 : Math.min(255, (255 * under) / (255 - over));
  },
  'color-burn': (under, over) => {
    if (under === 255) return 255;
    return over === 0 ? 0 : 255 - Math.min(255, (255 * (255 - under)) / over);
  },
  'hard-light': hardLight,
  'soft-light': (under, over) => {
    const below = under / 255;
    const above = over / 255;
    if (above <= 1 / 2) return 255 * (below - (1 - 2 * above) * below * (1 - below));
    const lifted = below <= 1 / 4 ? ((16 * below - 12) * below + 4) * below : Math.sqrt(below);
    return 255 * (below + (2 * above - 1) * (lifted - below));
  },
  difference: (under, over) => Math.abs(under - over),
  exclusion: (under, over) => under + over - (2 * under * over) / 255,
} as const satisfies Record<string, (under: number, over: number) => number>;

export type SeparableBlend = keyof typeof SEPARABLE_BLENDS;

function screen(under: number, over: number): number {
  return under + over - (under * over) / 255;
}

function hardLight(under: number, over: number): number {
  return over <= 255 / 2 ? (under * 2 * over) / 255 : screen(under, 2 * over - 255);
}

/** Those that threads are printed over each other by. */
export const PRINT_BLENDS = ['normal', 'multiply', 'screen', 'darken', 'lighten'] as const;
export type PrintBlend = (typeof PRINT_BLENDS)[number];

/**
 * One opaque shade laid over another; levels are rounded to the nearest byte, a half up.
 * Source: W3C Compositing and Blending Level 1, §9.1.4 (source over).
 * @param strength  0 (nothing is laid over) to 1; 1/2 with "normal" gives the mean of both
 */
export function layOver(under: Rgb, over: Rgb, blend: SeparableBlend, strength: number): Rgb {
  const mix = SEPARABLE_BLENDS[blend];
  const one = (channel: 0 | 1 | 2) => levelOver(under[channel], mix(under[channel], over[channel]), strength);
  return [one(0), one(1), one(2)];
}

/** The byte between two levels: of the first as much as the second leaves. */
export function levelOver(under: number, over: number, strength: number): number {
  return Math.floor(under * (1 - strength) + over * strength + 0.5);
}
