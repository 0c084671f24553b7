import type { Shade } from '../../colour/shade.ts';
import type { Cells } from '../../thread/cells.ts';
import { cross } from '../../thread/cross.ts';
import { type Sequence, threadsOf } from '../../thread/sequence.ts';
import { interlace } from '../../thread/weave.ts';
import type { Plaid } from './plaid-schema.ts';

/** The weft that is woven: the warp's sequence when it follows the warp, else its own. */
export function weftOf({ warp, weft }: Plaid): Sequence {
  return weft.follows || weft.own === null ? warp : weft.own;
}

/** @throws CoreError of `threadsOf`, `interlace` and `cross` */
export function compilePlaid(plaid: Plaid, shades: readonly Shade[]): Cells {
  const keys = shades.map((shade) => shade.key);
  const warp = threadsOf(plaid.warp, keys);
  const sequence = weftOf(plaid);
  return cross({
    shades,
    warp,
    weft: sequence === plaid.warp ? warp : threadsOf(sequence, keys),
    interlacing: interlace(plaid.weave),
  });
}
