import type { Shade } from '../../colour/shade.ts';
import { varied } from '../../colour/variations.ts';
import { randomNumbers } from '../../exact/random-numbers.ts';
import { toNumber } from '../../exact/rational.ts';
import { type Colouring, enlarged } from '../../tiling/colourings.ts';
import type { Tiling } from '../../tiling/tiling-form.ts';
import type { FaceColours } from '../../tiling/upright-partition.ts';
import { cellOf, cellsOf } from '../../tiling/within.ts';
import { parseShare } from './tiling-numbers.ts';
import type { TilingSpec } from './tiling-schema.ts';

/** Steps of lightness each way. */
const STEPS = 2;

/** How the versions of a shade are told apart. */
const VERSIONS: readonly (readonly [steps: number, word: string])[] = [
  [-2, 'much darker'],
  [-1, 'darker'],
  [1, 'lighter'],
  [2, 'much lighter'],
];

/**
 * Colours in which single faces take a lighter or darker version of their shade, scattered by a seed over so many times
 * the cells that the colours take, each way, and the shades with their versions behind them.
 */
export function scatterOf(
  tiling: Tiling,
  colouring: Colouring,
  plain: FaceColours,
  { times, seed, share, by }: NonNullable<TilingSpec['scatter']>,
  shades: readonly Shade[],
): { readonly colours: FaceColours; readonly shades: readonly Shade[] } {
  const { keeps, within } = enlarged(tiling, colouring, times);
  const { n, d } = parseShare(share);
  const random = randomNumbers(seed);
  // A whole number below d, exact for shares of at most thousandths; 0 leaves a face as it is.
  const versions = Array.from({ length: cellsOf(within) * tiling.faces.length }, () => {
    const taken = BigInt(random()) % d < n;
    const version = random() % VERSIONS.length;
    return taken ? version + 1 : 0;
  });
  const most = toNumber(parseShare(by));
  const others = VERSIONS.flatMap(([steps, word]) =>
    varied(shades, { kind: 'lighten', amount: (most * steps) / STEPS }).map((hex, index) => ({
      ...shades[index]!,
      name: `${shades[index]!.name}, ${word}`,
      hex,
    })),
  );
  return {
    colours: {
      keeps,
      shadeOf: (face, i, j) => {
        const version = versions[cellOf(within, i, j) * tiling.faces.length + face]!;
        return version * shades.length + plain.shadeOf(face, i, j);
      },
    },
    shades: [...shades, ...others],
  };
}
