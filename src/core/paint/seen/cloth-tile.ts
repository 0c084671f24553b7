import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import { paintTile } from '../painting.ts';
import { type ClothLight, clothLight } from './cloth-light.ts';

/** Most pixels along a side of the tile that cloth is seen by, and of all of it. */
const MOST_SIDE = 4096;
const MOST_PIXELS = 1 << 21;

/** Pixels of the tile for each of the picture, at the least: light is taken between its pixels. */
const FINER = 1.25;

/** Sides of the tile, powers of two. */
export interface ClothTile {
  readonly width: number;
  readonly height: number;
}

/** How finely a repeat is painted that is seen in so many pixels of the picture. */
export function clothTile(across: number, down: number): ClothTile {
  let width = powerFor(across);
  let height = powerFor(down);
  while (width * height > MOST_PIXELS) {
    if (width > height) width /= 2;
    else height /= 2;
  }
  return { width, height };
}

function powerFor(pixels: number): number {
  const wanted = Math.min(MOST_SIDE, Math.max(1, pixels * FINER));
  return 2 ** Math.ceil(Math.log2(wanted));
}

/** The light of a repeat in a tile. */
export function lightOfUnit(unit: RepeatUnit, { width, height }: ClothTile): ClothLight {
  return clothLight(paintTile(unit, { width, height }), width, height);
}
