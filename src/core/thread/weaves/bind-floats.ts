import type { Interlacing } from '../weave.ts';

/** A structure whose long floats are bound, and how many places were changed for it. */
export interface Bound {
  readonly structure: Interlacing;
  readonly places: number;
}

/** The cells of one thread: where they begin in the structure, and how far apart they lie. */
interface Ring {
  readonly from: number;
  readonly step: number;
  readonly count: number;
}

/**
 * Binds every float that is longer than a limit: where it is cut, the warp goes to the other face of the cloth. Each
 * cut is made where the floats that it makes are the shortest, nearest to the middle, and no place is changed twice.
 * Greedy: the number of places is small, not the smallest.
 *
 * @param limit  at least 1
 * @returns      undefined where it comes to no end so, as with a limit of 1 beside uneven numbers of threads
 */
export function bindFloats({ ends, picks, up }: Interlacing, limit: number): Bound | undefined {
  const cells = up.slice();
  const changed = new Uint8Array(cells.length);
  const warp = (end: number): Ring => ({ from: end, step: ends, count: picks });
  const weft = (pick: number): Ring => ({ from: pick * ends, step: 1, count: ends });
  const across = (cell: number, along: Ring): readonly [ring: Ring, place: number] =>
    along.step === 1
      ? [warp(cell % ends), Math.floor(cell / ends)]
      : [weft(Math.floor(cell / ends)), cell % ends];
  const rings = [
    ...Array.from({ length: ends }, (_, end) => ({ ring: warp(end), face: 1 as const })),
    ...Array.from({ length: picks }, (_, pick) => ({ ring: weft(pick), face: 0 as const })),
  ];
  let places = 0;
  for (let settled = 0; settled < rings.length; ) {
    settled = 0;
    for (const { ring, face } of rings) {
      let whole = true;
      for (
        let float = longFloat(cells, ring, face, limit);
        float !== undefined;
        float = longFloat(cells, ring, face, limit)
      ) {
        let best: { cell: number; cost: number } | undefined;
        for (let at = 0; at < float.length; at += 1) {
          const cell = cellAt(ring, float.start + at);
          if (changed[cell] === 1) continue;
          const longest = Math.max(at, float.length - 1 - at);
          const [crossing, place] = across(cell, ring);
          const made =
            1 + runBeside(cells, crossing, place, face, 1) + runBeside(cells, crossing, place, face, -1);
          const excess = Math.max(0, Math.min(made, crossing.count) - limit);
          const cost = excess * 1_000_000 + longest * 1000 + made;
          if (best === undefined || cost < best.cost) best = { cell, cost };
        }
        if (best === undefined) return undefined;
        cells[best.cell] = 1 - face;
        changed[best.cell] = 1;
        places += 1;
        whole = false;
      }
      if (whole) settled += 1;
    }
  }
  return { structure: { ends, picks, up: cells }, places };
}

function cellAt({ from, step, count }: Ring, place: number): number {
  return from + (((place % count) + count) % count) * step;
}

/** The first float of a thread that is longer than the limit, counted round its ring. */
function longFloat(
  cells: Uint8Array,
  ring: Ring,
  face: 0 | 1,
  limit: number,
): { readonly start: number; readonly length: number } | undefined {
  const { count } = ring;
  let start = 0;
  while (start < count && cells[cellAt(ring, start)] === face) start += 1;
  if (start === count) return count > limit ? { start: 0, length: count } : undefined;
  let run = 0;
  for (let step = 1; step <= count; step += 1) {
    if (cells[cellAt(ring, start + step)] === face) run += 1;
    else {
      if (run > limit) return { start: start + step - run, length: run };
      run = 0;
    }
  }
  return undefined;
}

/** Length of the run of the other face beside a place that is to join it. */
function runBeside(cells: Uint8Array, ring: Ring, place: number, face: 0 | 1, way: 1 | -1): number {
  let length = 0;
  while (length < ring.count - 1 && cells[cellAt(ring, place + way * (length + 1))] !== face) length += 1;
  return length;
}
