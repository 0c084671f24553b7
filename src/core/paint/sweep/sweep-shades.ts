import { pack } from '../pack-light.ts';
import { CHANNELS } from '../row-sums.ts';

/** The shades of some faces, of which those of equal light are one. */
export interface SweepShades {
  /** For each shade the first of the same light. */
  readonly same: Int32Array;
  /** Three levels a shade. */
  readonly light: Float64Array;
  /** A whole pixel of each. */
  readonly packed: Int32Array;
  /** The shade of some levels; NO_SHADE where there is none. */
  readonly shadeOf: (red: number, green: number, blue: number) => number;
}

/** Where pixels are not of one shade. */
export const NO_SHADE = -1;

/** @param lights  CHANNELS numbers a shade */
export function sweepShades(lights: Float64Array, byteOf: Uint8Array): SweepShades {
  const count = lights.length / CHANNELS;
  const same = new Int32Array(count);
  const light = new Float64Array(count * 3);
  const packed = new Int32Array(count);
  const byLight = new Map<number, number>();
  for (let shade = 0; shade < count; shade += 1) {
    const levels = lights.subarray(shade * CHANNELS, shade * CHANNELS + 3);
    const [red, green, blue] = levels as unknown as [number, number, number];
    const name = nameOf(red, green, blue);
    const first = byLight.get(name) ?? shade;
    byLight.set(name, first);
    same[shade] = first;
    light.set(levels, shade * 3);
    packed[shade] = pack(red, green, blue, byteOf);
  }
  return {
    same,
    light,
    packed,
    shadeOf: (red, green, blue) => {
      const shade = byLight.get(nameOf(red, green, blue)) ?? NO_SHADE;
      // Levels that are not whole may have another's name.
      return light[shade * 3] === red && light[shade * 3 + 1] === green ? shade : NO_SHADE;
    },
  };
}

/** Levels have sixteen bits. */
function nameOf(red: number, green: number, blue: number): number {
  return red * 2 ** 32 + green * 2 ** 16 + blue;
}
