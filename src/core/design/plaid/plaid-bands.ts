import type { Sequence } from '../../thread/sequence.ts';
import type { Banded, Direction } from '../construction.ts';
import { turnOf, weftOf } from './compile-plaid.ts';
import type { Plaid } from './plaid-schema.ts';

/** A warp, and a weft that follows it or has bands of its own. */
export const PLAID_BANDS: Banded<Plaid> = {
  railsOf: () => ['warp', 'weft'],
  isShared: ({ weft }) => weft.follows,
  hasStrengths: ({ crossing }) => crossing === 'printed',
  // A weft of its own has the bands that it had before, or the warp's to begin with.
  withShared: (plaid, follows) => {
    const { warp, weft } = plaid;
    if (weft.follows === follows) return plaid;
    return { ...plaid, weft: { ...weft, follows, own: follows ? weft.own : (weft.own ?? warp) } };
  },
  turnOf: (plaid, direction) => (direction === 'weft' ? turnOf(plaid) : 0),
  sequenceOf,
  withSequence: (plaid, direction, sequence) => {
    const copy = { bands: [...sequence.bands], mirror: sequence.mirror };
    const own = direction === 'weft' && !plaid.weft.follows;
    return own ? { ...plaid, weft: { ...plaid.weft, own: copy } } : { ...plaid, warp: copy };
  },
};

function sequenceOf(plaid: Plaid, direction: Direction): Sequence {
  return direction === 'warp' ? plaid.warp : weftOf(plaid);
}
