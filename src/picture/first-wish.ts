import type { BandUnit } from '../core/units/band-width.ts';
import type { OpenPicture } from './picture-source.ts';
import type { PictureWish } from './picture-wish.ts';

/** Blocks along the shorter side when a picture is opened. */
const FIRST_BLOCKS = 48;

/** What is wished of a picture when it is opened. */
export function firstWish(
  { grid }: OpenPicture,
  { total, unit }: { readonly total: number; readonly unit: BandUnit },
): PictureWish {
  const across = Math.min(grid.columns, grid.rows);
  return {
    times: Math.max(1, Math.floor(across / FIRST_BLOCKS)),
    from: { x: 0, y: grid.height / 2 },
    to: { x: grid.width, y: grid.height / 2 },
    merge: 5,
    shades: 8,
    widths: 'picture',
    total,
    unit,
  };
}

/** So that the largest block is the whole shorter side. */
export function mostTimes({ grid }: OpenPicture): number {
  return Math.max(1, Math.min(grid.columns, grid.rows));
}
