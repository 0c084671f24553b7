import type { Interlacing } from '../weave.ts';

/** Which of a structure's different threads each one is like, numbered from 1 in order of appearance. */
export interface ThreadKinds {
  readonly ends: Int32Array;
  readonly picks: Int32Array;
  /** How many different ends there are: the fewest shafts that weave it. */
  readonly shafts: number;
  /** How many different picks: the fewest treadles, or lines of a lift plan. */
  readonly treadles: number;
}

/** Tells ends and picks apart by what they pass over and under. */
export function threadKinds({ ends, picks, up }: Interlacing): ThreadKinds {
  const endKinds = kindsOf(up, { count: ends, own: 1 }, { count: picks, own: ends });
  const pickKinds = kindsOf(up, { count: picks, own: ends }, { count: ends, own: 1 });
  return { ends: endKinds.kinds, picks: pickKinds.kinds, shafts: endKinds.count, treadles: pickKinds.count };
}

/** Threads of one direction, and how far apart two neighbours lie in the structure's cells. */
interface Threads {
  readonly count: number;
  readonly own: number;
}

/** All threads start as one kind; each crossing thread splits the kinds that pass it in both ways. */
function kindsOf(up: Uint8Array, threads: Threads, crossed: Threads): { kinds: Int32Array; count: number } {
  const kinds = new Int32Array(threads.count).fill(1);
  const renamed = new Int32Array(2 * threads.count + 2);
  let count = 1;
  for (let cross = 0; cross < crossed.count && count < threads.count; cross += 1) {
    renamed.fill(0, 0, 2 * count + 2);
    let found = 0;
    for (let thread = 0; thread < threads.count; thread += 1) {
      const split = 2 * kinds[thread]! + up[thread * threads.own + cross * crossed.own]!;
      if (renamed[split] === 0) {
        found += 1;
        renamed[split] = found;
      }
      kinds[thread] = renamed[split]!;
    }
    count = found;
  }
  return { kinds, count };
}
