import { rgbOf } from '../colour/hex.ts';
import type { Shade } from '../colour/shade.ts';

/** Each shade as one opaque RGBA pixel in this machine's byte order. */
export function packShades(shades: readonly Shade[]): Uint32Array {
  const bytes = new Uint8Array(shades.length * 4);
  shades.forEach((shade, index) => {
    bytes.set([...rgbOf(shade.hex), 255], index * 4);
  });
  return new Uint32Array(bytes.buffer);
}
