import { modulo } from '../exact/modulo.ts';
import type { ImagesProof } from '../repeat/check-repeat.ts';
import type { GridMotions } from '../repeat/lay/grid-motions.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import { paintRows, preparePainting } from './painting.ts';

/**
 * Levels by which a byte may differ from its image. Corners are rounded to 1/256 of a pixel, a half up, which a mirror turns
 * round: an edge may lie 1/128 aside, and so much of all light is 12.92 · 255/128 levels near black (IEC 61966-2-1).
 */
const ROUNDING = 26;

/** Paints a tile once and compares it with its image under each motion. */
export function paintMotions(unit: RepeatUnit, { tile, motions }: GridMotions): ImagesProof {
  const { width, height } = tile;
  const painting = preparePainting(unit, { tile, width, offset: { x: 0, y: 0 }, look: 'flat' });
  const pixels = new Uint32Array(width * height);
  paintRows(painting, 0, height, pixels);
  const bytes = new Uint8Array(pixels.buffer);
  let differingBytes = 0;
  for (const { across, up, at } of motions) {
    // A pixel is carried by its middle.
    const first = {
      x: Math.floor(at.x + (across.x + up.x) / 2),
      y: Math.floor(at.y + (across.y + up.y) / 2),
    };
    for (let y = 0; y < height; y += 1) {
      for (let x = 0; x < width; x += 1) {
        const toX = modulo(first.x + x * across.x + y * up.x, width);
        const toY = modulo(first.y + x * across.y + y * up.y, height);
        const one = ((height - 1 - y) * width + x) * 4;
        const other = ((height - 1 - toY) * width + toX) * 4;
        differingBytes += differing(bytes, one, other);
      }
    }
  }
  return {
    width,
    height,
    motions: motions.length,
    comparedBytes: bytes.length * motions.length,
    differingBytes,
  };
}

/** How many of the bytes of two pixels differ by more than rounding; a colour counts as far as it covers. */
function differing(bytes: Uint8Array, one: number, other: number): number {
  const cover = bytes[one + 3]! / 255;
  const otherCover = bytes[other + 3]! / 255;
  let count = Math.abs(bytes[one + 3]! - bytes[other + 3]!) > ROUNDING ? 1 : 0;
  for (let part = 0; part < 3; part += 1) {
    const gap = Math.abs(bytes[one + part]! * cover - bytes[other + part]! * otherCover);
    if (gap > ROUNDING) count += 1;
  }
  return count;
}
