import { strongParts } from '../../exact/strong-parts.ts';
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
 * 259–260; C. R. J. Clapham, When a fabric hangs together, Bull. London Math. Soc. 12 (1980) 161–164.
 */
export function layersOf({ ends, picks, up }: Interlacing): readonly Layer[] {
  const count = ends + picks;
  // Ends come first, then picks. A thread's arrows are read off the structure: none is stored.
  const goes = (from: number, to: number) =>
    from < ends ? up[to * ends + from] === 1 : up[(from - ends) * ends + to] === 0;
  const parts = strongParts({
    count,
    width: (from) => (from < ends ? picks : ends),
    target: (from, place) => (goes(from, place) ? (from < ends ? ends + place : place) : -1),
  });
  return parts.map((part) => ({
    ends: part.filter((thread) => thread < ends).sort((a, b) => a - b),
    picks: part
      .filter((thread) => thread >= ends)
      .map((thread) => thread - ends)
      .sort((a, b) => a - b),
  }));
}
