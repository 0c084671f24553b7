import { BYTE_OF_LINEAR, LINEAR_OF_BYTE, LINEAR_ONE } from '../colour/linear.ts';
import { type Light, lightOfHex, printedLight } from './printed-colour.ts';
import type { Substrate } from './substrate.ts';
import { weaveRelief } from './weave-relief.ts';

/** Prints one row of packed RGBA pixels, the y-th from the top: three bytes a pixel, as it is seen on the cloth. */
export type Press = (pixels: Uint32Array, y: number) => Uint8Array;

/** @param pixelsPerMetre  of the picture, each way */
export function pressOf(
  substrate: Substrate,
  pixelsPerMetre: { readonly x: number; readonly y: number },
): Press {
  const printed = printer(substrate);
  const relief = weaveRelief(substrate, pixelsPerMetre);
  return (pixels, y) => {
    const line = new Uint8Array(pixels.length * 3);
    for (let x = 0; x < pixels.length; x += 1) {
      const light = printed(pixels[x]!);
      const falls = relief(x, y);
      for (let part = 0; part < 3; part += 1) line[x * 3 + part] = byteOf(light[part]! * falls);
    }
    return line;
  };
}

/** The printed light of a pixel, each colour worked out once. What is clear is bare cloth. */
function printer(substrate: Substrate): (pixel: number) => Light {
  const cloth = lightOfHex(substrate.hex);
  const known = new Map<number, Light>();
  return (pixel) => {
    let light = known.get(pixel);
    if (light === undefined) {
      light = printedLight(wantedLight(pixel), substrate, cloth);
      known.set(pixel, light);
    }
    return light;
  };
}

/** Light of a packed pixel over white, which is no ink. */
function wantedLight(pixel: number): Light {
  const opacity = (pixel >>> 24) / 255;
  const part = (shift: number) => 1 - opacity * (1 - LINEAR_OF_BYTE[(pixel >>> shift) & 255]! / LINEAR_ONE);
  return [part(0), part(8), part(16)];
}

function byteOf(light: number): number {
  return BYTE_OF_LINEAR[Math.max(0, Math.min(LINEAR_ONE, Math.round(light * LINEAR_ONE)))]!;
}
