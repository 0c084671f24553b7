import type { Direction } from '../../core/design/construction.ts';
import type { Slope } from '../../core/exact/slope.ts';
import type { LaidBand } from '../../core/thread/sequence.ts';
import type { Camera, ClothGeometry, RepeatSize, Size } from '../cloth/cloth-camera.ts';

/** One axis of the cloth as a rail sees it, in CSS pixels. */
export interface RailAxis {
  readonly direction: Direction;
  /** Where the sequence that is worked on begins. */
  readonly anchor: number;
  /** Width of a thread. */
  readonly step: number;
}

/** How the cloth lies under a rail. */
interface RailPlace {
  readonly direction: Direction;
  readonly camera: Camera;
  readonly repeat: RepeatSize;
  readonly view: Size;
  readonly geometry: ClothGeometry;
  /** Threads, or steps, of the laid-out sequence. */
  readonly threads: number;
}

/**
 * The axis of a sequence of threads. Where the cloth repeats only after several laid-out sequences, it is the one in
 * the middle of the view that is worked on.
 */
export function axisOfThreads({
  direction,
  camera,
  repeat,
  view,
  geometry,
  threads,
  turn,
}: RailPlace & { readonly turn: number }): RailAxis {
  const [step, all, start, middle, sign] =
    direction === 'warp'
      ? [geometry.stepX, repeat.ends, camera.x, view.width / 2, 1]
      : [geometry.stepY, repeat.picks, camera.y, view.height / 2, -1];
  const beyond = Math.floor((sign * (middle - start)) / (threads * step));
  const skipped = Math.min(Math.max(0, beyond), Math.max(0, Math.floor(all / threads) - 1));
  const before = skipped * threads - (turn % threads);
  return { direction, anchor: start + sign * before * step, step };
}

/**
 * The axis of a stripe: one period is one repeat of the cloth. Lines at a slope are met where they run into the edge
 * of the view, so that the rail goes along when the cloth is moved up or down.
 */
export function axisOfStripe(
  { direction, camera, repeat, view, geometry, threads }: RailPlace,
  { rise, run }: Slope,
): RailAxis {
  const width = repeat.ends * geometry.stepX;
  const height = repeat.picks * geometry.stepY;
  if (direction === 'weft') return { direction, anchor: camera.y, step: height / threads };
  const leaning = rise === 0 || run === 0 ? 0 : Math.sign(rise) * (camera.y / height) * width;
  const start = camera.x + leaning;
  const beyond = Math.floor((view.width / 2 - start) / width);
  return { direction, anchor: start + beyond * width, step: width / threads };
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
