import { LINEAR_OF_BYTE, LINEAR_ONE } from '../../colour/linear.ts';

/** A tile as light: four numbers a pixel, 0 … 1, red, green and blue as much as its opacity lets through, and opacity. */
export interface LightLevel {
  readonly width: number;
  readonly height: number;
  readonly light: Float32Array;
  /** Whether all of it is opaque, so that nobody has to look. */
  readonly isOpaque: boolean;
}

/** A painted tile that repeats, and its reductions, each half as wide and high as the one before, down to one pixel. */
export type ClothLight = readonly LightLevel[];

/**
 * The light of a painted tile and of its reductions.
 * @param bytes  rows of pixels of four bytes, sRGB and opacity
 * @param width  of the tile, as its height a power of two: a painter paints any size
 */
export function clothLight(bytes: Uint8Array | Uint8ClampedArray, width: number, height: number): ClothLight {
  if (!isPower(width) || !isPower(height))
    throw new Error(`expected powers of two, got ${width} × ${height}`);
  const levels = [lightOf(bytes, width, height)];
  for (let level = levels[0]!; level.width > 1 || level.height > 1; level = levels.at(-1)!) {
    levels.push(reduced(level));
  }
  return levels;
}

function isPower(pixels: number): boolean {
  return pixels >= 1 && Number.isInteger(Math.log2(pixels));
}

function lightOf(bytes: Uint8Array | Uint8ClampedArray, width: number, height: number): LightLevel {
  const light = new Float32Array(4 * width * height);
  let isOpaque = true;
  for (let at = 0; at < light.length; at += 4) {
    const opacity = bytes[at + 3]! / 255;
    for (let channel = 0; channel < 3; channel += 1) {
      light[at + channel] = (LINEAR_OF_BYTE[bytes[at + channel]!]! / LINEAR_ONE) * opacity;
    }
    light[at + 3] = opacity;
    isOpaque &&= opacity === 1;
  }
  return { width, height, light, isOpaque };
}

/**
 * Weights of the pixels that one of a reduction takes, along an axis: the two that it covers and those beside them. The mean of
 * all stays, and what is finer than a reduced pixel comes through more weakly than by the mean of two.
 */
const WEIGHTS = [1 / 8, 3 / 8, 3 / 8, 1 / 8] as const;

function reduced({ width, height, light, isOpaque }: LightLevel): LightLevel {
  const across = Math.max(1, width >> 1);
  const down = Math.max(1, height >> 1);
  const narrow = along(light, {
    from: width,
    to: across,
    lines: height,
    step: 4,
    line: 4 * width,
    lineOut: 4 * across,
  });
  const low = along(narrow, { from: height, to: down, lines: across, step: 4 * across, line: 4, lineOut: 4 });
  return { width: across, height: down, light: low, isOpaque };
}

interface Axis {
  /** Pixels along the axis before and after; the same where it is one pixel long already. */
  readonly from: number;
  readonly to: number;
  readonly lines: number;
  /** Numbers from a pixel to the next along the axis, and from a line to the next, before and after. */
  readonly step: number;
  readonly line: number;
  readonly lineOut: number;
}

function along(light: Float32Array, { from, to, lines, step, line, lineOut }: Axis): Float32Array {
  if (from === to) return light;
  const out = new Float32Array((light.length / from) * to);
  for (let at = 0; at < lines; at += 1) {
    for (let pixel = 0; pixel < to; pixel += 1) {
      for (let tap = 0; tap < 4; tap += 1) {
        const source = at * line + ((2 * pixel + tap - 1 + from) % from) * step;
        const target = at * lineOut + pixel * step;
        for (let channel = 0; channel < 4; channel += 1) {
          out[target + channel]! += WEIGHTS[tap]! * light[source + channel]!;
        }
      }
    }
  }
  return out;
}
