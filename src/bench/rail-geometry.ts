import type { LaidBand } from '../core/thread/sequence.ts';
import type { Direction } from './design-edits.ts';

/** One axis of the cloth as a rail sees it, in CSS pixels. */
export interface RailAxis {
  readonly direction: Direction;
  /** Where the sequence that is worked on begins. */
  readonly anchor: number;
  /** Width of a thread. */
  readonly step: number;
}

/** Start and length of a band along the rail's pixels: warp from the left, weft from the bottom up. */
export function placeBand(
  { direction, anchor, step }: RailAxis,
  band: LaidBand,
): { start: number; length: number } {
  const length = band.count * step;
  const before = band.start * step;
  return { start: direction === 'warp' ? anchor + before : anchor - before - length, length };
}

/** Threads from the sequence's start to a place on the rail; not rounded. */
export function threadsAt({ direction, anchor, step }: RailAxis, place: number): number {
  return (direction === 'warp' ? place - anchor : anchor - place) / step;
}

/** The laid-out band at that many threads from the start, or undefined outside the sequence. */
export function bandAt(laid: readonly LaidBand[], threads: number): LaidBand | undefined {
  return laid.find((band) => threads >= band.start && threads < band.start + band.count);
}

/**
 * The edge of a band that lies within `reach` threads of a place: the laid-out band before it and the one after.
 * The sequence's own start and end are no such edges, except that its end can be drawn out.
 */
export function edgeAt(
  laid: readonly LaidBand[],
  threads: number,
  reach: number,
): { readonly before: LaidBand; readonly after: LaidBand | undefined } | undefined {
  let found: { before: LaidBand; after: LaidBand | undefined } | undefined;
  let nearest = reach;
  laid.forEach((before, index) => {
    const distance = Math.abs(threads - before.start - before.count);
    if (distance > nearest || distance > before.count / 2) return;
    nearest = distance;
    found = { before, after: laid[index + 1] };
  });
  return found;
}
