import type { Substrate } from './substrate.ts';

/** Mean of a sine over half a turn. */
const MEAN = 2 / Math.PI;

/** Pixels of a thread from which its roundness is seen in full; of one pixel it is not seen at all. */
const SEEN = 3;

/**
 * The light that falls on plain-woven cloth at a pixel, 1 in the mean: each thread that lies on top is round, light along its
 * middle and dark at its sides.
 * @param pixelsPerMetre  of the picture, each way
 */
export function weaveRelief(
  { threads, relief }: Substrate,
  pixelsPerMetre: { readonly x: number; readonly y: number },
): (x: number, y: number) => number {
  const across = (threads * 100) / pixelsPerMetre.x;
  const down = (threads * 100) / pixelsPerMetre.y;
  const seen = Math.max(0, Math.min(1, (1 / Math.max(across, down) - 1) / (SEEN - 1)));
  return (x, y) => {
    const end = x * across;
    const pick = y * down;
    const isWarp = (Math.floor(end) + Math.floor(pick)) % 2 === 0;
    const along = isWarp ? end : pick;
    return 1 + relief * seen * (Math.sin(Math.PI * (along - Math.floor(along))) - MEAN);
  };
}
