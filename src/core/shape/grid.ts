import type { Place } from './places.ts';

/** Parts of a pixel along each axis that outlines are rounded to. */
export const SUBPIXELS = 256;

/** The subpixels that one repeat is painted in, and how long it is. */
export interface Grid {
  /** Subpixels of one repeat. */
  readonly width: number;
  readonly height: number;
  /** Lengths of one repeat, in the unit of widths and distances. */
  readonly pitch: Place;
  /** Subpixels of that unit. */
  readonly scale: Place;
}

/** @param tile  of one repeat, in whole pixels */
export function gridOf(tile: { readonly width: number; readonly height: number }, pitch: Place): Grid {
  const width = tile.width * SUBPIXELS;
  const height = tile.height * SUBPIXELS;
  return { width, height, pitch, scale: { x: width / pitch.x, y: height / pitch.y } };
}
