import type { Design } from '../../core/design/design-schema.ts';
import { typedThreads } from '../../core/thread/band.ts';
import { measuresOf, sequenceOf } from '../state/band-edits.ts';
import type { OpenPicture } from './picture-source.ts';
import type { PictureWish } from './picture-wish.ts';

/** Blocks along the shorter side when a picture is opened. */
const FIRST_BLOCKS = 48;

/** What is wished of a picture when it is opened. */
export function firstWish({ grid }: OpenPicture, design: Design): PictureWish {
  const across = Math.min(grid.columns, grid.rows);
  return {
    times: Math.max(1, Math.floor(across / FIRST_BLOCKS)),
    from: { x: 0, y: grid.height / 2 },
    to: { x: grid.width, y: grid.height / 2 },
    merge: 5,
    shades: 8,
    widths: 'picture',
    total: firstTotal(design),
  };
}

/** As much as the sequence has now, but enough for some bands. */
function firstTotal(design: Design): number {
  const steps = typedThreads(sequenceOf(design, 'warp').bands);
  const measures = measuresOf(design);
  if (measures === undefined) return Math.max(48, steps);
  const { n, d } = measures.step;
  return Math.max(20, Math.round((steps * Number(n)) / Number(d)));
}

/** So that the largest block is the whole shorter side. */
export function mostTimes({ grid }: OpenPicture): number {
  return Math.max(1, Math.min(grid.columns, grid.rows));
}
