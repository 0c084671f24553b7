import { type Rational, rational } from '../exact/rational.ts';
import { type FloatCounts, faceFacts, floatCounts } from '../thread/weaves/float-counts.ts';
import { type Layer, layersOf } from '../thread/weaves/layers.ts';
import { threadKinds } from '../thread/weaves/thread-kinds.ts';
import type { PlaidDesign } from './design-schema.ts';
import { laidStructure } from './plaid/laid-plaid.ts';

/** What there is to know of a structure. */
export interface WeaveFacts {
  readonly ends: number;
  readonly picks: number;
  readonly floats: { readonly warp: FloatCounts; readonly weft: FloatCounts };
  /** Uppermost first; one when it hangs together. */
  readonly layers: readonly Layer[];
  /** Of the face, exact. */
  readonly warpShare: Rational;
  readonly intersections: number;
  /** Fewest that weave it, however many a loom has. */
  readonly shafts: number;
  readonly treadles: number;
}

/**
 * The facts of a woven design's structure, as it is laid.
 * @throws CoreError as `laidStructure`
 */
export function weaveFacts(design: PlaidDesign): WeaveFacts {
  const structure = laidStructure(design);
  const { shafts, treadles } = threadKinds(structure);
  const { warpUp, alongPicks, alongEnds } = faceFacts(structure);
  return {
    ends: structure.ends,
    picks: structure.picks,
    floats: floatCounts(structure),
    layers: layersOf(structure),
    warpShare: rational(warpUp, structure.up.length),
    intersections: alongPicks + alongEnds,
    shafts,
    treadles,
  };
}
