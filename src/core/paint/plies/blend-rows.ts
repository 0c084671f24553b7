import { levelOver, SEPARABLE_BLENDS, type SeparableBlend } from '../../colour/blend.ts';
import { HUE_BLENDS, type HueBlend, type Levels } from '../../colour/blend-hues.ts';
import { isHueBlend, type PlyBlend } from '../../colour/ply-blend.ts';

/**
 * Blends a row of pixels over another, in place.
 * @param under  packed sRGB bytes, red lowest, not multiplied by their alpha
 * @param over   as many
 * @param clip   what is over is seen only as far as these are opaque
 */
export type RowBlender = (under: Uint32Array, over: Uint32Array, clip?: Uint32Array) => void;

/**
 * How a ply's rows are blended with those beneath: B(Cb, Cs) of the standard, then source over, rounded to the nearest byte.
 * Source: W3C Compositing and Blending Level 1, §5 and §10.
 * @param strength  0 … 1
 */
export function rowBlender(blend: PlyBlend, strength: number): RowBlender {
  const opaque = isHueBlend(blend) ? opaqueHues(blend, strength) : opaqueChannels(blend, strength);
  const mixed = mixedPixel(blend);
  return (under, over, clip) => {
    let lastUnder = 0;
    let lastOver = 0;
    let lastClip = -1;
    let last = 0;
    for (let x = 0; x < under.length; x += 1) {
      const below = under[x]!;
      const above = over[x]!;
      const cover = clip === undefined ? 255 : clip[x]! >>> 24;
      // Most pixels are as the one before.
      if (below !== lastUnder || above !== lastOver || cover !== lastClip) {
        const isOpaque = cover === 255 && below >>> 24 === 255 && above >>> 24 === 255;
        last = isOpaque ? opaque(below, above) : mixed(below, above, (strength * cover) / 255);
        lastUnder = below;
        lastOver = above;
        lastClip = cover;
      }
      under[x] = last;
    }
  };
}

type PixelBlend = (under: number, over: number) => number;

/** Opaque pixels by a table of every byte over every byte. */
function opaqueChannels(blend: SeparableBlend, strength: number): PixelBlend {
  const mix = SEPARABLE_BLENDS[blend];
  const table = new Uint8Array(1 << 16);
  for (let under = 0; under < 256; under += 1) {
    for (let over = 0; over < 256; over += 1) {
      table[(under << 8) | over] = levelOver(under, mix(under, over), strength);
    }
  }
  return (under, over) => {
    const red = table[((under & 255) << 8) | (over & 255)]!;
    const green = table[(under & 0xff00) | ((over >>> 8) & 255)]!;
    const blue = table[((under >>> 8) & 0xff00) | ((over >>> 16) & 255)]!;
    return (0xff000000 | (blue << 16) | (green << 8) | red) >>> 0;
  };
}

function opaqueHues(blend: HueBlend, strength: number): PixelBlend {
  const mix = HUE_BLENDS[blend];
  return (under, over) => {
    const below = levelsOf(under);
    const above = mix(below, levelsOf(over));
    const one = (channel: 0 | 1 | 2) => levelOver(below[channel], above[channel], strength);
    return packed(one(0), one(1), one(2), 255);
  };
}

/** Pixels of which one or both let something through. */
function mixedPixel(blend: PlyBlend): (under: number, over: number, strength: number) => number {
  const mix: (under: Levels, over: Levels) => Levels = isHueBlend(blend)
    ? HUE_BLENDS[blend]
    : eachChannel(SEPARABLE_BLENDS[blend]);
  return (under, over, strength) => {
    const behind = (under >>> 24) / 255;
    const before = ((over >>> 24) / 255) * strength;
    const cover = before + behind * (1 - before);
    const alpha = Math.floor(255 * cover + 0.5);
    // What is clear has no colour.
    if (alpha === 0) return 0;
    const below = levelsOf(under);
    const above = levelsOf(over);
    const blended = mix(below, above);
    const one = (channel: 0 | 1 | 2) => {
      const shown = (1 - behind) * above[channel] + behind * blended[channel];
      return Math.floor((before * shown + (1 - before) * behind * below[channel]) / cover + 0.5);
    };
    return packed(one(0), one(1), one(2), alpha);
  };
}

function eachChannel(mix: (under: number, over: number) => number): (under: Levels, over: Levels) => Levels {
  return (under, over) => [mix(under[0], over[0]), mix(under[1], over[1]), mix(under[2], over[2])];
}

function levelsOf(pixel: number): Levels {
  return [pixel & 255, (pixel >>> 8) & 255, (pixel >>> 16) & 255];
}

function packed(red: number, green: number, blue: number, alpha: number): number {
  return ((alpha << 24) | (blue << 16) | (green << 8) | red) >>> 0;
}
