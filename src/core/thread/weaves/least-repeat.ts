import { smallestPeriod } from '../smallest-period.ts';
import type { Interlacing } from '../weave.ts';
import { buildWeave } from './build-weave.ts';
import { threadKinds } from './thread-kinds.ts';
import type { WeaveSpec } from './weave-spec.ts';

/**
 * The structure of a weave over its least repeat: herringbone 1/1 is plain weave, whatever its runs. A draft is reduced by
 * its threading and treadling, which is quick however large it is.
 *
 * @throws CoreError as `buildWeave`
 */
export function leastWeave(spec: WeaveSpec): Interlacing {
  if (spec.kind === 'draft') {
    const { threading, treadling } = spec;
    const short = (list: readonly number[]) => list.slice(0, smallestPeriod(Uint16Array.from(list)));
    return buildWeave({ ...spec, threading: short(threading), treadling: short(treadling) });
  }
  return leastRepeat(buildWeave(spec));
}

/** A structure over the fewest ends and picks after which it comes round; the same object where it has no fewer. */
export function leastRepeat(structure: Interlacing): Interlacing {
  const kinds = threadKinds(structure);
  const ends = smallestPeriod(Uint16Array.from(kinds.ends));
  const picks = smallestPeriod(Uint16Array.from(kinds.picks));
  if (ends === structure.ends && picks === structure.picks) return structure;
  const up = new Uint8Array(ends * picks);
  for (let pick = 0; pick < picks; pick += 1) {
    const from = pick * structure.ends;
    up.set(structure.up.subarray(from, from + ends), pick * ends);
  }
  return { ends, picks, up };
}
