import { LINEAR_OF_BYTE, LINEAR_ONE } from '../colour/linear.ts';
import { coveredArea, printedArea, reflectanceOf } from './dot-gain.ts';
import type { Substrate } from './substrate.ts';

/** Red, green and blue as light, each 0 to 1. */
export type Light = readonly [red: number, green: number, blue: number];

/** Part of the light that a full ink takes where another takes none, so that bright colours come out duller (common practice). */
const IMPURE = 0.12;

/**
 * How a colour comes out in print, as light. First it is brought into what the inks reach (`inGamut`), then its dots grow, each ink takes
 * a little of what the others leave, and it is seen on the cloth, whose own colour no ink makes lighter. White stays the bare cloth.
 */
export function printedLight(light: Light, { gain, black }: Substrate, cloth: Light): Light {
  const reached = inGamut(light, black);
  const areas = reached.map((value) => printedArea(coveredArea(value, black), gain));
  const seen = (at: 0 | 1 | 2, one: 0 | 1 | 2, other: 0 | 1 | 2) => {
    const more = (ink: 0 | 1 | 2) => Math.max(0, areas[ink]! - areas[at]!);
    const dulled = (1 - IMPURE * more(one)) * (1 - IMPURE * more(other));
    return Math.max(black, reflectanceOf(areas[at]!, black) * dulled) * cloth[at];
  };
  return [seen(0, 1, 2), seen(1, 2, 0), seen(2, 0, 1)];
}

/** The nearest colour that the inks reach: no part of it is darker than black ink. */
export function inGamut([red, green, blue]: Light, black: number): Light {
  return [Math.max(red, black), Math.max(green, black), Math.max(blue, black)];
}

/** Most that two parts of a colour may be apart so that inks reach it: pure red, green and blue of a screen are further. */
const REACH = 0.85;

/** Whether a colour is one that inks reach, but for its darkness. */
export function isReached(light: Light): boolean {
  return Math.max(...light) - Math.min(...light) <= REACH;
}

/** A colour's light. */
export function lightOfHex(hex: string): Light {
  const part = (at: number) => LINEAR_OF_BYTE[Number.parseInt(hex.slice(at, at + 2), 16)]! / LINEAR_ONE;
  return [part(1), part(3), part(5)];
}
