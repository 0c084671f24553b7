import { LINEAR_OF_BYTE, LINEAR_ONE } from '../colour/linear.ts';
import { coveredArea, printedArea, reflectanceOf } from './dot-gain.ts';
import type { Substrate } from './substrate.ts';

/** Red, green and blue as light, each 0 to 1. */
export type Light = readonly [red: number, green: number, blue: number];

/**
 * How a colour comes out in print, as light. First it is brought into what the inks reach (`inGamut`), then its dots grow, then
 * it is seen on the cloth, whose own colour no ink makes lighter. White stays the bare cloth.
 */
export function printedLight(light: Light, { gain, black }: Substrate, cloth: Light): Light {
  const reached = inGamut(light, black);
  const seen = (at: 0 | 1 | 2) => {
    const area = printedArea(coveredArea(reached[at], black), gain);
    return reflectanceOf(area, black) * cloth[at];
  };
  return [seen(0), seen(1), seen(2)];
}

/** The nearest colour that the inks reach: no part of it is darker than black ink. */
export function inGamut([red, green, blue]: Light, black: number): Light {
  return [Math.max(red, black), Math.max(green, black), Math.max(blue, black)];
}

/** A colour's light. */
export function lightOfHex(hex: string): Light {
  const part = (at: number) => LINEAR_OF_BYTE[Number.parseInt(hex.slice(at, at + 2), 16)]! / LINEAR_ONE;
  return [part(1), part(3), part(5)];
}
