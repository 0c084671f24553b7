import type { Bands } from '../../core/thread/edit-bands.ts';
import { moveBand, setCount, tradeThreads } from '../../core/thread/edit-bands.ts';
import type { LaidBand } from '../../core/thread/sequence.ts';
import type { edgeAt } from './rail-geometry.ts';

type Edge = NonNullable<ReturnType<typeof edgeAt>>;

/**
 * The bands after an edge is drawn `threads` further: the two neighbours trade threads. With `grow`, at the
 * sequence's end, and where a band meets its own reflection, the band before the edge grows instead.
 */
export function dragEdge(bands: Bands, { before, after }: Edge, threads: number, grow: boolean): Bands {
  const to = before.source;
  if (grow || after === undefined || after.source === to)
    return setCount(bands, to, bands[to]!.count + threads);
  return tradeThreads(bands, to, after.source, threads);
}

/** Place among the typed bands where a band is dropped at that many threads; a reflection stands for its band. */
export function dropPlace(laid: readonly LaidBand[], threads: number): number {
  const typed = laid.filter((band) => !band.reflected);
  const end = typed.at(-1)!;
  if (threads >= end.start + end.count) return threads > 0 ? typed.length - 1 : 0;
  return Math.max(
    0,
    typed.findIndex((band) => threads < band.start + band.count),
  );
}

export function dropBand(bands: Bands, from: number, laid: readonly LaidBand[], threads: number): Bands {
  return moveBand(bands, from, dropPlace(laid, threads));
}
