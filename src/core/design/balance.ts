import type { Shade } from '../colour/shade.ts';
import { type Rational, rational } from '../exact/rational.ts';
import type { Cells } from '../thread/cells.ts';
import { type LaidBand, layOut } from '../thread/sequence.ts';
import { isSameTurned, isSymmetric } from '../thread/symmetry.ts';
import type { PlaidDesign } from './design-schema.ts';
import { compilePlaid, threadsOfPlaid, weftOf } from './plaid/compile-plaid.ts';

/** How much of something there is of one shade. */
export interface ShadeShare {
  readonly shade: Shade;
  readonly count: number;
  /** Of the whole, exact. */
  readonly share: Rational;
}

export interface DirectionBalance {
  readonly threads: number;
  readonly shares: readonly ShadeShare[];
  readonly largest: LaidBand;
  readonly smallest: LaidBand;
  readonly symmetric: boolean;
}

/** The balance of a design: what there is of each shade, and what is the same as what. */
export interface Balance {
  readonly warp: DirectionBalance;
  readonly weft: DirectionBalance;
  /** Counted on the cloth, cell by cell; for a print, each colour that two stripes make. Largest first. */
  readonly cloth: readonly ShadeShare[];
  readonly sameTurned: boolean | undefined;
}

/** @throws CoreError as `compile` */
export function balanceOf(design: PlaidDesign): Balance {
  const { construction, shades } = design;
  const content = compilePlaid(construction, shades);
  const threads = threadsOfPlaid(construction, shades);
  const direction = (sequence: Uint16Array, bands: readonly LaidBand[]): DirectionBalance => {
    const sorted = [...bands].sort((a, b) => b.count - a.count);
    return {
      threads: sequence.length,
      shares: sharesOf(shades, countThreads(sequence, shades.length)),
      largest: sorted[0]!,
      smallest: sorted.at(-1)!,
      symmetric: isSymmetric(sequence),
    };
  };
  return {
    warp: direction(threads.warp, layOut(construction.warp)),
    weft: direction(threads.weft, layOut(weftOf(construction))),
    cloth: [...sharesOf(content.shades, countCells(content))].sort((a, b) => b.count - a.count),
    sameTurned: isSameTurned(content),
  };
}

function countThreads(threads: Uint16Array, shades: number): readonly number[] {
  const counts = new Array<number>(shades).fill(0);
  for (const shade of threads) counts[shade]! += 1;
  return counts;
}

/** Each different row is counted once and taken as often as it stands. */
function countCells({ rows, rowAt, shades }: Cells): readonly number[] {
  const times = new Array<number>(rows.length).fill(0);
  for (const row of rowAt) times[row]! += 1;
  const counts = new Array<number>(shades.length).fill(0);
  rows.forEach((row, index) => {
    for (const shade of row) counts[shade]! += times[index]!;
  });
  return counts;
}

/** Shades that there are some of. */
function sharesOf(shades: readonly Shade[], counts: readonly number[]): readonly ShadeShare[] {
  const all = counts.reduce((sum, count) => sum + count, 0);
  return shades
    .map((shade, index) => ({ shade, count: counts[index]!, share: rational(counts[index]!, all) }))
    .filter(({ count }) => count > 0);
}
