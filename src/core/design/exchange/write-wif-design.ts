import { CoreError } from '../../error.ts';
import { commonMultiple } from '../../exact/common-multiple.ts';
import { MAX_WIF_THREADS, type WifThreads } from '../../formats/wif/wif.ts';
import { writeWif } from '../../formats/wif/write-wif.ts';
import { smallestPeriod } from '../../thread/smallest-period.ts';
import { draftSize } from '../../thread/weaves/draft.ts';
import { weaveDraft } from '../../thread/weaves/weave-draft.ts';
import { MAX_TREADLES } from '../../thread/weaves/weave-spec.ts';
import type { PlaidDesign } from '../design-schema.ts';
import { threadsOfPlaid } from '../plaid/compile-plaid.ts';
import { spacingOf } from './wif-density.ts';
import { asLines, MEASURED, measuresIn, SHADES } from './wif-measures.ts';

/**
 * A woven design as a weave file: one common repeat of its colours and its structure.
 * @throws CoreError "wif/too-large" {ends, picks, most}, or of `weaveDraft`
 */
export function plaidToWif({ construction, shades, lay, name, kept }: PlaidDesign): string {
  const draft = weaveDraft(construction.weave);
  const threads = threadsOfPlaid(construction, shades);
  const ends = commonMultiple(smallestPeriod(threads.warp), periodOf(draft.threading));
  const picks = commonMultiple(smallestPeriod(threads.weft), periodOf(draft.treadling));
  if (ends > MAX_WIF_THREADS || picks > MAX_WIF_THREADS) {
    throw new CoreError('wif/too-large', { ends, picks, most: MAX_WIF_THREADS });
  }
  const round = <T>(list: ArrayLike<T>, count: number) =>
    Array.from({ length: count }, (_, at) => list[at % list.length]!);
  const direction = (
    way: 'WARP' | 'WEFT',
    count: number,
    colours: Uint16Array,
    density: string,
  ): WifThreads => ({
    count,
    colours: round(colours, count),
    measures: {
      ...measuresIn(way, kept, count, lay.per),
      spacing: spacingOf(density),
    },
  });
  const treadling = round(draft.treadling, picks);
  return writeWif({
    title: name,
    shafts: draftSize(draft).shafts,
    warp: direction('WARP', ends, threads.warp, lay.ends),
    weft: direction('WEFT', picks, threads.weft, lay.picks),
    threading: round(draft.threading, ends).map((shaft) => [shaft]),
    lifts: treadling.map((treadle) => draft.tieup[treadle - 1]!),
    treadles: draft.tieup.length > MAX_TREADLES ? undefined : { tieup: draft.tieup, treadling },
    palette: shades.map(({ hex }) => hex),
    kept: [
      {
        section: SHADES,
        lines: shades.map(({ key, name: shade }, index) => [String(index + 1), `${key} ${shade}`] as const),
      },
      ...asLines(kept).filter(({ section }) => !MEASURED.test(section)),
    ],
  });
}

/** Places after which a threading or treadling comes round. */
function periodOf(places: readonly number[]): number {
  return smallestPeriod(Uint16Array.from(places));
}
