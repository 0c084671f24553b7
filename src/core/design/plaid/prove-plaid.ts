import type { Shade } from '../../colour/shade.ts';
import { buildWeave } from '../../thread/weaves/build-weave.ts';
import { threadKinds } from '../../thread/weaves/thread-kinds.ts';
import { inksOfPlaid, threadsOfPlaid } from './compile-plaid.ts';
import type { Plaid } from './plaid-schema.ts';

/**
 * How many ends and picks are not carried onto their like by a move of `ends` and `picks` threads, counted on the
 * sequences and the weave themselves and not on the cells that were made of them: both 0 when the plaid repeats so.
 */
export function missesOfPlaid(
  plaid: Plaid,
  shades: readonly Shade[],
  { ends, picks }: { readonly ends: number; readonly picks: number },
): readonly [number, number] {
  const isWoven = plaid.crossing === 'woven';
  const { warp, weft } = isWoven ? threadsOfPlaid(plaid, shades) : inksOfPlaid(plaid, shades);
  const woven = isWoven ? buildWeave(plaid.weave) : { ends: 1, picks: 1, up: Uint8Array.of(1) };
  const kinds = threadKinds(woven);
  return [misses(warp, kinds.ends, ends), misses(weft, kinds.picks, picks)];
}

/** Places whose thread or whose place in the weave is another `by` threads on; looked at all round both. */
function misses(threads: Uint16Array, weave: Int32Array, by: number): number {
  let count = 0;
  const round = Math.max(by, threads.length, weave.length);
  for (let at = 0; at < round; at += 1) {
    const sameShade = threads[at % threads.length] === threads[(at + by) % threads.length];
    const sameWeave = weave[at % weave.length] === weave[(at + by) % weave.length];
    if (!sameShade || !sameWeave) count += 1;
  }
  return count;
}
