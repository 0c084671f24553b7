import type { Interlacing } from '../weave.ts';

/** Threads that hang together, by their places in the repeat. */
export interface Layer {
  readonly ends: readonly number[];
  readonly picks: readonly number[];
}

/**
 * The pieces that a structure falls into, uppermost first; one when it hangs together. An arrow goes from each warp or
 * weft thread that lies on top to the one below it; threads of one strongly connected part hold each other, and a part
 * from which arrows only go out lies on the others.
 *
 * Sources: T. C. Enns, An efficient algorithm determining when a fabric hangs together, Geometriae Dedicata 15 (1984)
 * 259–260; C. R. J. Clapham, When a fabric hangs together, Bull. London Math. Soc. 12 (1980) 161–164; the parts by
 * R. Tarjan, Depth-first search and linear graph algorithms, SIAM J. Comput. 1 (1972) 146–160.
 */
export function layersOf({ ends, picks, up }: Interlacing): readonly Layer[] {
  const count = ends + picks;
  // Ends come first, then picks. A thread's arrows are read off the structure: none is stored.
  const goes = (from: number, to: number) =>
    from < ends ? up[to * ends + from] === 1 : up[(from - ends) * ends + to] === 0;
  const width = (from: number) => (from < ends ? picks : ends);
  const target = (from: number, place: number) => (from < ends ? ends + place : place);

  const order = new Int32Array(count).fill(-1);
  const low = new Int32Array(count);
  const next = new Int32Array(count);
  const open = new Uint8Array(count);
  const waiting: number[] = [];
  const path: number[] = [];
  const parts: number[][] = [];
  let visited = 0;
  for (let root = 0; root < count; root += 1) {
    if (order[root] !== -1) continue;
    path.push(root);
    while (path.length > 0) {
      const thread = path.at(-1)!;
      if (order[thread] === -1) {
        order[thread] = visited;
        low[thread] = visited;
        visited += 1;
        open[thread] = 1;
        waiting.push(thread);
      }
      let deeper = -1;
      for (let place = next[thread]!; place < width(thread); place += 1) {
        if (!goes(thread, place)) continue;
        const to = target(thread, place);
        if (order[to] === -1) {
          // Looked at again afterwards, so that what it reached is known here.
          next[thread] = place;
          deeper = to;
          break;
        }
        if (open[to] === 1) low[thread] = Math.min(low[thread]!, low[to]!);
        next[thread] = place + 1;
      }
      if (deeper !== -1) {
        path.push(deeper);
        continue;
      }
      path.pop();
      if (low[thread] !== order[thread]) continue;
      const part: number[] = [];
      for (let member = -1; member !== thread; ) {
        member = waiting.pop()!;
        open[member] = 0;
        part.push(member);
      }
      parts.push(part);
    }
  }
  // Parts are closed from below: the last one found has nothing above it.
  return parts.reverse().map((part) => ({
    ends: part.filter((thread) => thread < ends).sort((a, b) => a - b),
    picks: part
      .filter((thread) => thread >= ends)
      .map((thread) => thread - ends)
      .sort((a, b) => a - b),
  }));
}
