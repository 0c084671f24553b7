import { CoreError } from '../error.ts';
import { layOut } from '../thread/sequence.ts';
import { turnSequence } from '../thread/turn.ts';
import { buildWeave } from '../thread/weaves/build-weave.ts';
import { draftSize } from '../thread/weaves/draft.ts';
import { editMatrix, matrixRows } from '../thread/weaves/matrix.ts';
import { asWoven } from './design-facts.ts';
import type { Design, PlaidDesign } from './design-schema.ts';
import { turnOf, weftOf } from './plaid/compile-plaid.ts';
import type { Weave } from './plaid/weave-schema.ts';

/**
 * A woven design as it is seen from behind: left and right are exchanged, and what lies on top lies below. Prints, stripes
 * and what is laid so that it cannot be woven have no back.
 */
export function seenFromBehind(design: Design): Design {
  const woven = wovenAsLaid(design);
  if (woven === undefined) return design;
  const { construction, lay } = woven;
  const laid = layOut(construction.warp).map(({ shade, count }) => ({ shade, count }));
  const weft = turnSequence(weftOf(construction), turnOf(construction));
  const own = { bands: weft.bands.map((band) => ({ ...band })), mirror: weft.mirror };
  const behind: PlaidDesign['construction'] = {
    ...construction,
    warp: { bands: laid.reverse(), mirror: 'none' },
    weft: { follows: false, turn: 0, own },
    weave: weaveBehind(construction.weave),
  };
  return { ...design, lay, construction: behind };
}

function wovenAsLaid(design: Design): PlaidDesign | undefined {
  try {
    return asWoven(design);
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}

function weaveBehind(weave: Weave): Weave {
  if (weave.kind !== 'draft') {
    const structure = editMatrix(editMatrix(buildWeave(weave), 'mirror-across'), 'invert');
    return { kind: 'matrix', rows: matrixRows(structure) };
  }
  const { shafts } = draftSize(weave);
  const all = Array.from({ length: shafts }, (_, index) => index + 1);
  return {
    ...weave,
    threading: [...weave.threading].reverse(),
    tieup: weave.tieup.map((lifted) => all.filter((shaft) => !lifted.includes(shaft))),
  };
}
