import type { Interlacing } from './weave.ts';

/** Longest run of warp over weft (along an end) and of weft over warp (along a pick), counted round the repeat. */
export function longestFloat({ ends, picks, up }: Interlacing): { warp: number; weft: number } {
  let warp = 0;
  let weft = 0;
  for (let end = 0; end < ends; end += 1) {
    warp = Math.max(
      warp,
      longestRun(picks, (pick) => up[pick * ends + end] === 1),
    );
  }
  for (let pick = 0; pick < picks; pick += 1) {
    weft = Math.max(
      weft,
      longestRun(ends, (end) => up[pick * ends + end] === 0),
    );
  }
  return { warp, weft };
}

/** Longest run of places that hold, round a ring of `length`; the whole ring counts as its length. */
function longestRun(length: number, holds: (place: number) => boolean): number {
  let longest = 0;
  let run = 0;
  for (let place = 0; place < 2 * length; place += 1) {
    run = holds(place % length) ? run + 1 : 0;
    longest = Math.max(longest, run);
  }
  return Math.min(longest, length);
}
