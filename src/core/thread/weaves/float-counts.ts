import type { Interlacing } from '../weave.ts';

/** How many floats there are of each length, the index; a thread that never goes under counts once, as its whole ring. */
export interface FloatCounts {
  readonly longest: number;
  readonly histogram: readonly number[];
}

/** Floats of the warp (on the face, along ends) and of the weft (along picks), counted round the repeat. */
export function floatCounts({ ends, picks, up }: Interlacing): { warp: FloatCounts; weft: FloatCounts } {
  const warp = new Array<number>(picks + 1).fill(0);
  for (let end = 0; end < ends; end += 1)
    countRuns(up, { from: end, step: ends, count: picks, face: 1 }, warp);
  const weft = new Array<number>(ends + 1).fill(0);
  for (let pick = 0; pick < picks; pick += 1) {
    countRuns(up, { from: pick * ends, step: 1, count: ends, face: 0 }, weft);
  }
  return { warp: trimmed(warp), weft: trimmed(weft) };
}

/** The cells of one thread in a structure, and the face on which it floats. */
interface ThreadCells {
  readonly from: number;
  readonly step: number;
  readonly count: number;
  readonly face: 0 | 1;
}

/** Adds the lengths of a thread's floats round its ring, begun behind a cell where it does not float. */
function countRuns(up: Uint8Array, { from, step, count, face }: ThreadCells, counts: number[]): void {
  let start = 0;
  while (start < count && up[from + start * step] === face) start += 1;
  if (start === count) {
    counts[count]! += 1;
    return;
  }
  let run = 0;
  const end = from + count * step;
  let at = from + start * step;
  for (let left = count; left > 0; left -= 1) {
    at += step;
    if (at >= end) at -= count * step;
    if (up[at] === face) run += 1;
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

/** One byte a cell: 1 where it belongs to a float, of warp or weft, that is longer than a limit. */
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
        marks[pick * ends + end] = 1;
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

/** What there is of a structure's face, in cells and in passages of threads from one face to the other. */
export interface FaceFacts {
  /** Cells where the warp lies on top. */
  readonly warpUp: number;
  /** Passages along picks, and along ends. */
  readonly alongPicks: number;
  readonly alongEnds: number;
}

export function faceFacts({ ends, picks, up }: Interlacing): FaceFacts {
  let warpUp = 0;
  let alongPicks = 0;
  let alongEnds = 0;
  for (let pick = 0; pick < picks; pick += 1) {
    const row = pick * ends;
    const above = pick + 1 === picks ? 0 : row + ends;
    let before = up[row + ends - 1]!;
    for (let end = 0; end < ends; end += 1) {
      const here = up[row + end]!;
      warpUp += here;
      // Both are 0 or 1: they differ where their exclusive or is 1.
      alongPicks += here ^ before;
      alongEnds += here ^ up[above + end]!;
      before = here;
    }
  }
  return { warpUp, alongPicks, alongEnds };
}
