import type { Interlacing } from '../weave.ts';

/** How many floats there are of each length, the index; a thread that never goes under counts once, as its whole ring. */
export interface FloatCounts {
  readonly longest: number;
  readonly histogram: readonly number[];
}

/** Floats of the warp (on the face, along ends) and of the weft (along picks), counted round the repeat. */
export function floatCounts({ ends, picks, up }: Interlacing): { warp: FloatCounts; weft: FloatCounts } {
  const warp = new Array<number>(picks + 1).fill(0);
  for (let end = 0; end < ends; end += 1) countRuns(picks, (pick) => up[pick * ends + end] === 1, warp);
  const weft = new Array<number>(ends + 1).fill(0);
  for (let pick = 0; pick < picks; pick += 1) countRuns(ends, (end) => up[pick * ends + end] === 0, weft);
  return { warp: trimmed(warp), weft: trimmed(weft) };
}

/** Adds the lengths of the runs round a ring, begun behind a place that does not hold. */
function countRuns(length: number, holds: (place: number) => boolean, counts: number[]): void {
  let start = 0;
  while (start < length && holds(start)) start += 1;
  if (start === length) {
    counts[length]! += 1;
    return;
  }
  let run = 0;
  for (let step = 1; step <= length; step += 1) {
    if (holds((start + step) % length)) run += 1;
    else if (run > 0) {
      counts[run]! += 1;
      run = 0;
    }
  }
}

function trimmed(histogram: readonly number[]): FloatCounts {
  const longest = histogram.findLastIndex((count) => count > 0);
  return { longest: Math.max(0, longest), histogram: histogram.slice(0, Math.max(0, longest) + 1) };
}

/** A cell of a float that is longer than a limit: 1 where the warp floats, 2 where the weft does, else 0. */
export function markLongFloats({ ends, picks, up }: Interlacing, limit: number): Uint8Array {
  const marks = new Uint8Array(ends * picks);
  for (let end = 0; end < ends; end += 1) {
    markRuns(
      picks,
      limit,
      (pick) => up[pick * ends + end] === 1,
      (pick) => {
        marks[pick * ends + end] = 1;
      },
    );
  }
  for (let pick = 0; pick < picks; pick += 1) {
    markRuns(
      ends,
      limit,
      (end) => up[pick * ends + end] === 0,
      (end) => {
        marks[pick * ends + end] = 2;
      },
    );
  }
  return marks;
}

function markRuns(
  length: number,
  limit: number,
  holds: (place: number) => boolean,
  mark: (place: number) => void,
): void {
  let start = 0;
  while (start < length && holds(start)) start += 1;
  const whole = start === length;
  for (let step = 1, run = 0; step <= length; step += 1) {
    const place = (start + step) % length;
    if (holds(place)) run += 1;
    const ends = !holds(place) || step === length;
    if (!ends) continue;
    const last = holds(place) ? step : step - 1;
    if (run > limit || (whole && length > limit)) {
      for (let back = 0; back < run; back += 1) mark((start + last - back) % length);
    }
    run = 0;
  }
}

/** Share of the face that is warp, as cells; and how often a thread passes from one face to the other. */
export function faceFacts({ ends, picks, up }: Interlacing): { warpUp: number; intersections: number } {
  let [warpUp, intersections] = [0, 0];
  for (let pick = 0; pick < picks; pick += 1) {
    for (let end = 0; end < ends; end += 1) {
      const here = up[pick * ends + end]!;
      warpUp += here;
      if (here !== up[pick * ends + ((end + 1) % ends)]) intersections += 1;
      if (here !== up[((pick + 1) % picks) * ends + end]) intersections += 1;
    }
  }
  return { warpUp, intersections };
}
